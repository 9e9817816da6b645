import { toDecimals } from '../quantity/rounding';
import type { Finding } from '../rules/finding';
import { LIMITS } from '../rules/limits';

/**
 * Occlusion pressure to expect from the limb and the cuff, in mmHg. A check, never a prescription (rule LOP-7).
 * @param girthCm limb girth where the cuff sits, in cm
 * @param widthCm bladder width, in cm
 */
export function expectedOcclusionPressureMmHg(girthCm: number, widthCm: number): number {
  return 67 + (16.67 * girthCm) / widthCm;
}

/** Findings on a measured occlusion pressure in mmHg: refused above 300, to be checked when implausible (rule LOP-7). */
export function checkPlausibility(pressureMmHg: number, girthCm: number, widthCm: number): Finding[] {
  const { checkAbove, refuseAbove, plausibleShare } = LIMITS.occlusionPressureMmHg;
  if (pressureMmHg > refuseAbove) {
    return [
      {
        rule: 'LOP-7',
        level: 'hard',
        subject: 'pressureMmHg',
        message: `${pressureMmHg} mmHg is above ${refuseAbove} and is refused.`,
        remedy: 'Let the cuff down. Check overlap, zero and probe, or use a wider cuff.',
      },
    ];
  }
  const expected = expectedOcclusionPressureMmHg(girthCm, widthCm);
  const share = Math.abs(pressureMmHg - expected) / expected;
  if (pressureMmHg <= checkAbove && share <= plausibleShare) return [];
  return [
    {
      rule: 'LOP-7',
      level: 'note',
      subject: 'pressureMmHg',
      message:
        share > plausibleShare
          ? `${pressureMmHg} mmHg is ${toDecimals(share * 100, 0)} % away from about ${toDecimals(expected, 0)} for this girth and cuff.`
          : `${pressureMmHg} mmHg is above ${checkAbove}.`,
      remedy: 'Check overlap of the ends, gauge at zero, and the probe before you trust it.',
    },
  ];
}
