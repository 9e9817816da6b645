import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { tidy, toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** A limb and what is known of the person that bears on its occlusion pressure. Lengths in cm, pressures in mmHg. */
export type PlausibleFrom = {
  girthCm: number;
  widthCm: number;
  /** The newest resting blood pressure of the last 12 weeks, where there is one. */
  resting?: { systolicMmHg: number; diastolicMmHg: number } | undefined;
};

/**
 * Occlusion pressure to expect from the limb, the cuff and the blood pressure, in mmHg. A check, never a prescription
 * (rule LOP-7).
 * @example girth 54, width 11.5, 124/78 //=> 150
 */
export function expectedOcclusionPressureMmHg({ girthCm, widthCm, resting }: PlausibleFrom): number {
  const { baseMmHg, perRatioMmHg, widthsPerGirth } = RULES['LOP-7'].figures.expected;
  if (!resting) return baseMmHg + (perRatioMmHg * girthCm) / widthCm;
  const { systolicMmHg, diastolicMmHg } = resting;
  return diastolicMmHg + ((systolicMmHg - diastolicMmHg) * girthCm) / (widthsPerGirth * widthCm);
}

/** Findings on a measured occlusion pressure in mmHg: refused above 300, to be checked when implausible (rule LOP-7). */
export function checkPlausibility(pressureMmHg: number, from: PlausibleFrom): Finding[] {
  const { plausibleShare, slimCuff, occlusionPressureMmHg } = RULES['LOP-7'].figures;
  const { checkAbove, refuseAbove } = occlusionPressureMmHg;
  if (pressureMmHg > refuseAbove) {
    return [
      {
        rule: 'LOP-7',
        level: 'hard',
        subject: 'pressureMmHg',
        message: msg('{pressureMmHg} mmHg is above {refuseAbove} and is refused.', {
          pressureMmHg,
          refuseAbove,
        }),
        remedy: msg('Let the cuff down. Check overlap, zero and probe, or use a wider cuff.'),
      },
    ];
  }
  const expected = expectedOcclusionPressureMmHg(from);
  const share = tidy(Math.abs(pressureMmHg - expected) / expected);
  // Under a cuff that is narrow for the limb the rule of thumb says less.
  const most = from.girthCm / from.widthCm > slimCuff.girthToWidth ? slimCuff.plausibleShare : plausibleShare;
  if (pressureMmHg <= checkAbove && share <= most) return [];
  return [
    {
      rule: 'LOP-7',
      level: 'note',
      subject: 'pressureMmHg',
      message:
        share > most
          ? msg('{pressureMmHg} mmHg is {share} % away from about {expected} for this girth and cuff.', {
              pressureMmHg,
              share: toDecimals(share * 100, 0),
              expected: toDecimals(expected, 0),
            })
          : msg('{pressureMmHg} mmHg is above {checkAbove}.', { pressureMmHg, checkAbove }),
      remedy: msg('Check overlap of the ends, gauge at zero, and the probe before you trust it.'),
    },
  ];
}
