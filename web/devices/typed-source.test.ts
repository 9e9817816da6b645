import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { DeviceCommand, DeviceFrame } from '#contract/device';
import { deviceFrameSchema } from '#contract/device';
import { typedSource } from './typed-source';

const follow = () => {
  const source = typedSource();
  const frames: (DeviceFrame | null)[] = [];
  const stop = source.subscribe((frame) => frames.push(frame));
  return { source, frames, stop, pressure: () => frames.at(-1)?.pressureMmHg };
};

it('gives the newest reading at once, follows what is typed and stepped, and stops', () => {
  const { source, frames, stop, pressure } = follow();
  expect(pressure()).toBe(0);
  source.command({ do: 'inflate-to', pressureMmHg: 170 });
  source.command({ do: 'squeeze', byMmHg: 10 });
  source.command({ do: 'bleed', byMmHg: 4 });
  expect(pressure()).toBe(176);
  source.command({ do: 'release' });
  expect(pressure()).toBe(0);
  const heard = frames.length;
  stop();
  source.command({ do: 'squeeze', byMmHg: 10 });
  expect(frames).toHaveLength(heard);
});

it('never gives a frame outside the protocol, whatever it is commanded', () => {
  const amount = fc.double({ min: -1e6, max: 1e6, noNaN: true });
  const command: fc.Arbitrary<DeviceCommand> = fc.oneof(
    fc.record({ do: fc.constantFrom('squeeze' as const, 'bleed' as const), byMmHg: amount }),
    fc.record({ do: fc.constant('inflate-to' as const), pressureMmHg: amount }),
    fc.constantFrom<DeviceCommand>({ do: 'measure' }, { do: 'unplug' }, { do: 'contract' }),
  );
  fc.assert(
    fc.property(fc.array(command), (commands) => {
      const { source, frames } = follow();
      for (const each of commands) source.command(each);
      for (const frame of frames) expect(deviceFrameSchema.safeParse(frame).success).toBe(true);
    }),
  );
});
