import type { Derived } from '../derivation/derived';
import { roundDownToDivision, toDecimals } from '../quantity/rounding';

/** Target cuff pressure in mmHg, with what share of LOP it truly is. */
export type TargetPressure = { target: Derived; trueRange: Derived };

/**
 * Cuff pressure for a share of the limb occlusion pressure (rule PRS-1).
 * @param occlusionMmHg measured LOP and its expanded uncertainty, in mmHg
 * @param percentLop intended share, in % of LOP
 * @param gaugeDivisionMmHg smallest division of the gauge, in mmHg
 * @returns the target rounded down to the division, and the true range as %LOP
 * @example LOP 174 ± 5 at 60 %, division 2 → 104 mmHg, truly 57.5–62.1 %LOP
 */
export function targetPressure(
  occlusionMmHg: { value: number; uncertainty: number },
  percentLop: number,
  gaugeDivisionMmHg: number,
): TargetPressure {
  const exact = toDecimals((occlusionMmHg.value * percentLop) / 100, 2);
  const target = roundDownToDivision(exact, gaugeDivisionMmHg);
  const half = gaugeDivisionMmHg / 2;
  const low = toDecimals((100 * (target - half)) / (occlusionMmHg.value + occlusionMmHg.uncertainty), 1);
  const high = toDecimals((100 * (target + half)) / (occlusionMmHg.value - occlusionMmHg.uncertainty), 1);
  const truePercent = toDecimals((100 * target) / occlusionMmHg.value, 1);
  return {
    target: {
      value: target,
      unit: 'mmHg',
      working: [
        { label: 'Share of LOP', detail: `${occlusionMmHg.value} mmHg × ${percentLop} % = ${exact} mmHg` },
        { label: 'Rounded down', detail: `to the gauge division of ${gaugeDivisionMmHg} → ${target} mmHg` },
      ],
      rules: ['PRS-1'],
    },
    trueRange: {
      value: truePercent,
      unit: '%LOP',
      interval: { low, high },
      working: [
        {
          label: 'At the least',
          detail: `(${target} − ${half}) ÷ (${occlusionMmHg.value} + ${occlusionMmHg.uncertainty}) = ${low} %`,
        },
        {
          label: 'At the most',
          detail: `(${target} + ${half}) ÷ (${occlusionMmHg.value} − ${occlusionMmHg.uncertainty}) = ${high} %`,
        },
      ],
      rules: ['PRS-1'],
    },
  };
}
