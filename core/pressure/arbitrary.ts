import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { type Message, msg } from '../message/message';
import type { WorkMode } from '../protocol/work-mode';
import type { Day } from '../quantity/days';
import { LIMB_LABELS, type Limb, limbKind } from '../quantity/limb';
import { roundDownToDivision, toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import { climb, type RampSession } from './ramp';

const { fromMmHg, mostEffort, gaugeMmHg, ceilingMost, percentLop: SHARES } = RULES['PRS-7'].figures;
const { withoutLopMmHg } = RULES['PRS-4'].figures;

/** What a gauge shows where nothing was measured with one: pressures are rounded down to it. */
export const ARBITRARY_DIVISION_MMHG = gaugeMmHg;

/** Between what a practice may set the most that is put on a limb without a LOP, in mmHg. */
export const CEILING_MMHG = { least: fromMmHg, most: ceilingMost };

/** Work that may be done under a pressure without a measured LOP (rule PRS-7). */
export const mayBeArbitrary = (limb: Limb, mode: WorkMode): boolean =>
  limbKind(limb) === 'leg' && (mode === 'aerobic' || mode === 'preparation');

/**
 * What may be put on a limb without a LOP, in mmHg: the usual most, and the absolute most (rule PRS-7).
 * @param leastLopMmHg the least of the LOP to expect and of those on record for that limb and width
 * @example arbitraryMostMmHg(111) //=> { usual: 66, hard: 88 }
 */
export const arbitraryMostMmHg = (leastLopMmHg: number): { usual: number; hard: number } => ({
  usual: roundDownToDivision((leastLopMmHg * SHARES.usualMost) / 100, gaugeMmHg),
  hard: roundDownToDivision((leastLopMmHg * SHARES.most) / 100, gaugeMmHg),
});

/** A session under an arbitrary pressure, with the pressure it was planned at in mmHg; earlier releases did not keep it. */
export type ArbitrarySession = Pick<RampSession, 'atMs' | 'day' | 'tolerated'> & {
  pressureMmHg: number | null;
};

/**
 * The pressure the millimetre ramp allows now (rules PRS-4, PRS-7): before the first session 130 mmHg, or what is usually the most
 * where that is lower. Then it starts as it was set for that session, where that was lower still, and rises by 10 for each seven
 * days in which a person trained so and it was tolerated, up to what is usually the most and to the practice's most.
 * @param done sessions done under an arbitrary pressure, in any order
 * @param ceilingMmHg the practice's most
 * @param leastLopMmHg as in `arbitraryMostMmHg`
 * @example sessions on days 0, 3 and 8, looked at on day 9, for a LOP of 250 //=> 140; set at 100 the first time //=> 110
 */
export function arbitraryLevelMmHg(
  done: readonly ArbitrarySession[],
  ceilingMmHg: number,
  leastLopMmHg: number,
  today: Day,
): number {
  const { usual } = arbitraryMostMmHg(leastLopMmHg);
  const mine = [...done].sort((a, b) => a.atMs - b.atMs);
  return climb(
    mine,
    {
      start: Math.min(fromMmHg, usual, mine[0]?.pressureMmHg ?? usual),
      most: Math.min(ceilingMmHg, usual),
      aWeek: withoutLopMmHg.aWeek,
      down: withoutLopMmHg.down,
    },
    today,
  ).level;
}

/** The most that follows on a pressure a person chose: a step of the ramp, whatever it allows beyond. In mmHg. */
export const stepUpMmHg = (pressureMmHg: number): number => pressureMmHg + withoutLopMmHg.aWeek;

/** A pressure as it is asked for, with what it is: its share of LOP is not known. */
export const arbitraryPressure = (pressureMmHg: number): Derived => ({
  value: pressureMmHg,
  unit: 'mmHg',
  working: [
    {
      label: msg('Arbitrary pressure'),
      detail: msg('{pressureMmHg} mmHg, chosen; no LOP was measured', { pressureMmHg }),
    },
  ],
  rules: ['PRS-7'],
});

/** What an arbitrary pressure is checked against. Pressures in mmHg. */
export type ArbitraryBounds = {
  limb: Limb;
  mode: WorkMode;
  /** The practice's most; null where no clinician has switched it on. */
  ceilingMmHg: number | null;
  /** The least LOP to reckon with, and what the millimetre ramp allows this week; null where girth or width is unknown. */
  known: { leastLopMmHg: number; levelMmHg: number } | null;
  /** A LOP of this limb and cuff that holds. */
  lopMmHg: number | null;
  operated: boolean;
  /** A share of LOP that a clearance caps the person at. */
  capPercentLop: number | null;
};

/** Findings on a pressure without a measured LOP (rules PRS-4, PRS-7). */
export function checkArbitrary(pressureMmHg: number, bounds: ArbitraryBounds): Finding[] {
  const { limb, mode, ceilingMmHg, known, lopMmHg, operated, capPercentLop } = bounds;
  const name = LIMB_LABELS[limb];
  const hard = (message: Message, remedy: Message, to?: number): Finding[] => [
    {
      rule: 'PRS-7',
      level: 'hard',
      subject: 'pressureMmHg',
      message,
      remedy,
      ...(to === undefined ? {} : { fix: { set: 'pressureMmHg', to } }),
    },
  ];
  if (ceilingMmHg === null)
    return hard(
      msg('This practice does not work without a LOP.'),
      msg('Measure the limb, or have a clinician switch it on for the practice.'),
    );
  if (!mayBeArbitrary(limb, mode))
    return hard(
      msg('{name}: without a LOP there is aerobic work and cycles of the lower limbs only.', { name }),
      msg('Measure the limb.'),
    );
  if (lopMmHg !== null)
    return hard(
      msg('{name}: its LOP of {lopMmHg} mmHg is in force.', { name, lopMmHg }),
      msg('Go by a share of it.'),
    );
  if (operated) return hard(msg('{name} was operated on.', { name }), msg('Measure its LOP.'));
  if (capPercentLop !== null)
    return hard(
      msg('A clearance allows {capPercentLop} % of LOP at most, which nothing but a LOP can keep.', {
        capPercentLop,
      }),
      msg('Measure the limb.'),
    );
  if (!known)
    return hard(
      msg('{name}: its girth under this cuff is not known, so it cannot be said what LOP to expect.', {
        name,
      }),
      msg('Take the girth in Fit, or measure the limb.'),
    );
  const { leastLopMmHg, levelMmHg } = known;
  const most = arbitraryMostMmHg(leastLopMmHg);
  const lop = toDecimals(leastLopMmHg, 0);
  if (pressureMmHg > most.hard)
    return hard(
      msg(
        '{name}: {pressureMmHg} mmHg is over {most} % of a LOP of {lop} mmHg, which is to be reckoned with.',
        { name, pressureMmHg, most: SHARES.most, lop },
      ),
      msg('Set {levelMmHg} mmHg, or measure the limb.', { levelMmHg }),
      levelMmHg,
    );
  if (pressureMmHg > ceilingMmHg)
    return hard(
      msg('{pressureMmHg} mmHg is above the {ceilingMmHg} mmHg this practice goes to without a LOP.', {
        pressureMmHg,
        ceilingMmHg,
      }),
      msg('Set {levelMmHg} mmHg, or measure the limb.', { levelMmHg }),
      levelMmHg,
    );
  return [
    {
      rule: 'PRS-7',
      level: 'note',
      subject: 'pressureMmHg',
      message: msg('An arbitrary pressure: what share of the LOP {pressureMmHg} mmHg is, is not known.', {
        pressureMmHg,
      }),
      remedy: msg('Measure it as soon as you can; until then effort {mostEffort} of 10 at most.', {
        mostEffort,
      }),
    },
    ...(pressureMmHg > most.usual
      ? [
          {
            rule: 'PRS-7' as const,
            level: 'guard' as const,
            subject: 'pressureMmHg',
            message: msg(
              '{name}: {pressureMmHg} mmHg is over {usualMost} % of a LOP of {lop} mmHg, which is to be reckoned with.',
              { name, pressureMmHg, usualMost: SHARES.usualMost, lop },
            ),
            remedy: msg('Set {levelMmHg} mmHg, or have a clinician give the reason.', { levelMmHg }),
            fix: { set: 'pressureMmHg' as const, to: levelMmHg },
          },
        ]
      : []),
    ...(pressureMmHg > levelMmHg
      ? [
          {
            rule: 'PRS-4' as const,
            level: 'guard' as const,
            subject: 'pressureMmHg',
            message: msg(
              '{name}: {pressureMmHg} mmHg is above the {levelMmHg} mmHg that the ramp allows this week.',
              { name, pressureMmHg, levelMmHg },
            ),
            remedy: msg('Set {levelMmHg} mmHg or lower, or have a clinician give the reason.', { levelMmHg }),
            fix: { set: 'pressureMmHg' as const, to: levelMmHg },
          },
        ]
      : []),
  ];
}
