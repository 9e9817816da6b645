import type { Derived } from '../derivation/derived';
import { msg } from '../message/message';
import type { LimbKind } from '../quantity/limb';
import { roundDownToDivision, tidy, toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** Target cuff pressure in mmHg, with what share of LOP it truly is. */
export type TargetPressure = { target: Derived; trueRange: Derived };

/** A limb occlusion pressure as kept, in mmHg, and how much higher it may really be where it will be used. */
export type KnownOcclusion = {
  value: number;
  uncertainty: number;
  /** What sitting up or standing adds at the most, where it was measured more reclined (rule LOP-5). */
  uprightAddsMmHg?: number;
};

/**
 * The highest target whose true range stays at or under 100 % of LOP, in mmHg: LOP − U − half a division, floored to the
 * division (rule PRS-3, hard).
 * @example highestTargetMmHg({ value: 174, uncertainty: 5 }, 2) //=> 168
 */
export const highestTargetMmHg = (
  { value, uncertainty }: KnownOcclusion,
  gaugeDivisionMmHg: number,
): number => roundDownToDivision(Math.max(0, value - uncertainty - gaugeDivisionMmHg / 2), gaugeDivisionMmHg);

/**
 * What a share of a measured pressure comes to, rounded down to the division, in mmHg (rule PRS-1).
 * @example shareMmHg(156.5, 60, 2) //=> 92
 */
export const shareMmHg = (lopMmHg: number, percentLop: number, divisionMmHg: number): number =>
  roundDownToDivision(tidy((lopMmHg * percentLop) / 100), divisionMmHg);

/**
 * Cuff pressure for a share of the limb occlusion pressure (rules PRS-1, PRS-3).
 * @param percentLop intended share, in % of LOP
 * @param gaugeDivisionMmHg smallest division of the gauge, in mmHg
 * @returns the exact product rounded down to the division, and the true range as %LOP
 * @example LOP 174 ± 5 at 60 %, division 2 //=> 104 mmHg, truly 57.5–62.1 %LOP
 * @example LOP 98.3 ± 4 at 59 %, division 1 //=> 57 mmHg, since 57.997 is not 58
 */
export function targetPressure(
  occlusion: KnownOcclusion,
  percentLop: number,
  gaugeDivisionMmHg: number,
): TargetPressure {
  const { value, uncertainty, uprightAddsMmHg = 0 } = occlusion;
  const exact = tidy((value * percentLop) / 100);
  const highest = highestTargetMmHg(occlusion, gaugeDivisionMmHg);
  const rounded = roundDownToDivision(exact, gaugeDivisionMmHg);
  const target = Math.min(rounded, highest);
  const half = gaugeDivisionMmHg / 2;
  const atMost = value + uncertainty + uprightAddsMmHg;
  const low = toDecimals((100 * (target - half)) / atMost, 1);
  const high = toDecimals((100 * (target + half)) / (value - uncertainty), 1);
  return {
    target: {
      value: target,
      unit: 'mmHg',
      working: [
        {
          label: msg('Share of LOP'),
          detail: msg('{value} mmHg × {percentLop} % = {exact} mmHg', { value, percentLop, exact }),
        },
        {
          label: msg('Rounded down'),
          detail: msg('to the gauge division of {gaugeDivisionMmHg} → {rounded} mmHg', {
            gaugeDivisionMmHg,
            rounded,
          }),
        },
        ...(target < rounded
          ? [
              {
                label: msg('Kept under LOP'),
                detail: msg('{value} − {uncertainty} − {half}, to the division → {target} mmHg', {
                  value,
                  uncertainty,
                  half,
                  target,
                }),
              },
            ]
          : []),
      ],
      rules: target < rounded ? ['PRS-1', 'PRS-3'] : ['PRS-1'],
    },
    trueRange: {
      value: toDecimals((100 * target) / value, 1),
      unit: '%LOP',
      interval: { low, high },
      working: [
        {
          label: msg('At the least'),
          detail:
            uprightAddsMmHg > 0
              ? msg(
                  '({target} − {half}) ÷ ({value} + {uncertainty} + {uprightAddsMmHg} for being more upright) = {low} %',
                  { target, half, value, uncertainty, uprightAddsMmHg, low },
                )
              : msg('({target} − {half}) ÷ ({value} + {uncertainty}) = {low} %', {
                  target,
                  half,
                  value,
                  uncertainty,
                  low,
                }),
        },
        {
          label: msg('At the most'),
          detail: msg('({target} + {half}) ÷ ({value} − {uncertainty}) = {high} %', {
            target,
            half,
            value,
            uncertainty,
            high,
          }),
        },
      ],
      rules: uprightAddsMmHg > 0 ? ['PRS-1', 'LOP-5'] : ['PRS-1'],
    },
  };
}

/** The most that sitting up or standing adds to an occlusion pressure, in mmHg, where it was not measured (rule LOP-5). */
export const UPRIGHT_ADDS_MMHG: Record<LimbKind, number> = RULES['LOP-5'].figures.uprightAddsMmHg;

/**
 * The share of LOP that a pressure in mmHg comes to, in % to a tenth, so that the target made from it is that pressure
 * (rule PRS-1).
 * @param mmHg on the division of the gauge
 * @example percentOf(80, 174) //=> 46
 */
export const percentOf = (mmHg: number, lopMmHg: number): number =>
  Math.ceil(tidy((1000 * mmHg) / lopMmHg)) / 10;
