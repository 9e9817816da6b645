import type { DeviceFrame } from '#contract/device';
import { FrameHub, type PressureSource } from './pressure-source';

/** A gauge read by eye: its pressure is what was typed, or stepped with the keys. */
export function typedSource(): PressureSource {
  const hub = new FrameHub();
  let frame: DeviceFrame = {
    v: 1,
    deviceId: 'typed',
    seq: 0,
    atMs: Date.now(),
    pressureMmHg: 0,
    valve: 'closed',
    plugged: true,
    measuring: false,
    measuredMmHg: null,
  };
  const read = (pressureMmHg: number) => {
    frame = {
      ...frame,
      seq: frame.seq + 1,
      atMs: Date.now(),
      pressureMmHg: Math.min(400, Math.max(0, pressureMmHg)),
    };
    hub.publish(frame);
  };
  hub.publish(frame);
  return {
    kind: 'typed',
    subscribe: (listener) => hub.subscribe(listener),
    command: (command) => {
      if (command.do === 'squeeze') read(frame.pressureMmHg + command.byMmHg);
      if (command.do === 'bleed') read(frame.pressureMmHg - command.byMmHg);
      if (command.do === 'inflate-to') read(command.pressureMmHg);
      if (command.do === 'release') read(0);
    },
    close: () => {},
  };
}
