import type { DeviceCommand, DeviceFrame } from '#contract/device';

/** A pressure as it was recorded, and when after the beginning of the trace. */
export type TracePoint = { afterMs: number; pressureMmHg: number };

const TOP_MMHG = 300;
const RISE_MMHG_PER_S = 40;
const FALL_MMHG_PER_S = 120;

/**
 * The pressure of a trace at a time, straight from point to point, over and over.
 * @example pressureAt([{ afterMs: 0, pressureMmHg: 0 }, { afterMs: 1000, pressureMmHg: 50 }], 500) //=> 25
 */
export function pressureAt(trace: readonly TracePoint[], elapsedMs: number): number {
  const [first, last] = [trace[0], trace.at(-1)];
  if (!first || !last) return 0;
  const afterMs = last.afterMs > 0 ? elapsedMs % last.afterMs : 0;
  const next = trace.findIndex((point) => point.afterMs > afterMs);
  const [from, to] = [trace[Math.max(0, next - 1)] ?? first, trace[next] ?? last];
  const share = to.afterMs === from.afterMs ? 0 : (afterMs - from.afterMs) / (to.afterMs - from.afterMs);
  return from.pressureMmHg + share * (to.pressureMmHg - from.pressureMmHg);
}

/**
 * A reference of what a bridge to a real pump has to do (docs/device-protocol.md): it plays a trace that was recorded until it
 * is sent a command, and from then on follows commands. It has no probe.
 */
export class ReplayDevice {
  private seq = 0;
  private commanded: {
    targetMmHg: number;
    valve: DeviceFrame['valve'];
    fromMmHg: number;
    fromMs: number;
  } | null = null;

  constructor(
    private readonly trace: readonly TracePoint[],
    private readonly startMs: number,
  ) {}

  command(command: DeviceCommand, nowMs: number): void {
    const fromMmHg = this.pressureMmHg(nowMs);
    if (command.do === 'release') this.commanded = { targetMmHg: 0, valve: 'open', fromMmHg, fromMs: nowMs };
    if (command.do === 'inflate-to') {
      const targetMmHg = Math.min(TOP_MMHG, command.pressureMmHg);
      this.commanded = { targetMmHg, valve: 'closed', fromMmHg, fromMs: nowMs };
    }
  }

  frame(nowMs: number): DeviceFrame {
    this.seq += 1;
    return {
      v: 1,
      deviceId: 'replay',
      seq: this.seq,
      atMs: nowMs,
      pressureMmHg: Math.round(this.pressureMmHg(nowMs) * 10) / 10,
      valve: this.commanded?.valve ?? 'closed',
      plugged: true,
      measuring: false,
      measuredMmHg: null,
    };
  }

  private pressureMmHg(nowMs: number): number {
    if (!this.commanded) return pressureAt(this.trace, nowMs - this.startMs);
    const { targetMmHg, fromMmHg, fromMs } = this.commanded;
    const elapsedS = (nowMs - fromMs) / 1000;
    return targetMmHg >= fromMmHg
      ? Math.min(targetMmHg, fromMmHg + RISE_MMHG_PER_S * elapsedS)
      : Math.max(targetMmHg, fromMmHg - FALL_MMHG_PER_S * elapsedS);
  }
}
