import { useEffect, useState } from 'react';
import type { DeviceFrame } from '#contract/device';
import type { PressureSource } from './pressure-source';

const SAME: (before: DeviceFrame, after: DeviceFrame) => boolean = (before, after) =>
  Math.round(before.pressureMmHg) === Math.round(after.pressureMmHg) &&
  before.valve === after.valve &&
  before.plugged === after.plugged &&
  before.measuring === after.measuring &&
  before.measuredMmHg === after.measuredMmHg;

/** The newest frame of a source, renewed only when a figure on screen would change; `null` while the stream is lost. */
export function useFrame(source: PressureSource): DeviceFrame | null {
  const [frame, setFrame] = useState<DeviceFrame | null>(null);
  useEffect(
    () => source.subscribe((next) => setFrame((old) => (old && next && SAME(old, next) ? old : next))),
    [source],
  );
  return frame;
}
