import type { DeviceFrame } from '#contract/device';
import {
  advancePump,
  beatPhase,
  commandPump,
  newPump,
  oximeterAfter,
  type PumpState,
  pulseStrength,
  type SimulatedLimb,
  seededRandom,
} from '#core/simulation';
import { FrameHub, type PressureSource } from './pressure-source';

const FRAME_MS = 50;

/** A pump on a simulated limb of this page, for the practice bench. `limb` is asked again for each frame. */
export function localSource(
  limb: () => SimulatedLimb,
  seed: number,
  kind: PumpState['kind'],
): PressureSource {
  const hub = new FrameHub();
  const random = seededRandom(seed);
  let pump = newPump(kind);
  let oximeter = 1;
  let seq = 0;
  let lastMs = Date.now();
  const frame = (): DeviceFrame => {
    const nowMs = Date.now();
    const elapsedMs = nowMs - lastMs;
    lastMs = nowMs;
    seq += 1;
    const strengthAt = (cuffMmHg: number) => pulseStrength(limb(), cuffMmHg, nowMs);
    pump = advancePump(pump, elapsedMs, strengthAt, random);
    const strength = strengthAt(pump.pressureMmHg);
    oximeter = oximeterAfter(oximeter, strength, elapsedMs);
    return {
      v: 1,
      deviceId: 'practice',
      seq,
      atMs: nowMs,
      pressureMmHg: Math.round(pump.pressureMmHg),
      valve: pump.valveOpen ? 'open' : 'closed',
      plugged: pump.plugged,
      pulse: { strength, phase: beatPhase(limb(), nowMs), rateBpm: Math.round(limb().heartRateBpm) },
      oximeter,
      measuring: pump.measuring,
      measuredMmHg: pump.measuredMmHg,
    };
  };
  const timer = setInterval(() => hub.publish(frame()), FRAME_MS);
  return {
    kind,
    subscribe: (listener) => hub.subscribe(listener),
    command: (command) => {
      pump = commandPump(pump, command);
      hub.publish(frame());
    },
    close: () => clearInterval(timer),
  };
}
