import type { DeviceCommand, DeviceFrame } from '#contract/device';
import {
  advancePump,
  beatPhase,
  commandPump,
  newPump,
  oximeterAfter,
  type PumpState,
  pulseStrength,
  type Random,
  type SimulatedLimb,
  seededRandom,
} from '#core/simulation';

/** How finely a device is worked out between two looks at it. */
const STEP_MS = 50;
/** No frame takes this long: a device that was asleep wakes where it was. */
const LONGEST_GAP_MS = 60_000;

/**
 * A simulated cuff on a simulated limb. All times are given, so that a test or a replay decides them; the same seed
 * and the same commands at the same times give the same frames.
 */
export class SimulatedDevice {
  private pump: PumpState;
  private oximeter = 1;
  private seq = 0;
  private readonly random: Random;

  constructor(
    readonly id: string,
    private readonly limb: SimulatedLimb,
    kind: PumpState['kind'],
    seed: number,
    private atMs: number,
  ) {
    this.pump = newPump(kind);
    this.random = seededRandom(seed);
  }

  command(command: DeviceCommand, nowMs: number): void {
    this.advanceTo(nowMs);
    this.pump = commandPump(this.pump, command);
  }

  /** The next frame of the stream, as things are at `nowMs`. */
  frame(nowMs: number): DeviceFrame {
    this.advanceTo(nowMs);
    this.seq += 1;
    return {
      v: 1,
      deviceId: this.id,
      seq: this.seq,
      atMs: nowMs,
      pressureMmHg: Math.round(this.pump.pressureMmHg * 10) / 10,
      valve: this.pump.valveOpen ? 'open' : 'closed',
      plugged: this.pump.plugged,
      pulse: {
        strength: pulseStrength(this.limb, this.pump.pressureMmHg, nowMs),
        phase: beatPhase(this.limb, nowMs),
        rateBpm: Math.round(this.limb.heartRateBpm),
      },
      oximeter: this.oximeter,
      measuring: this.pump.measuring,
      measuredMmHg: this.pump.measuredMmHg,
    };
  }

  private advanceTo(nowMs: number): void {
    this.atMs = Math.max(this.atMs, nowMs - LONGEST_GAP_MS);
    while (this.atMs < nowMs) {
      const elapsedMs = Math.min(STEP_MS, nowMs - this.atMs);
      this.atMs += elapsedMs;
      const strengthAt = (cuffMmHg: number) => pulseStrength(this.limb, cuffMmHg, this.atMs);
      this.pump = advancePump(this.pump, elapsedMs, strengthAt, this.random);
      this.oximeter = oximeterAfter(this.oximeter, strengthAt(this.pump.pressureMmHg), elapsedMs);
    }
  }
}
