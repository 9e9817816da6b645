import type { Finding } from '../findings/finding';
import { list, msg } from '../message/message';
import { PROTOCOLS } from '../protocol/data/protocols';
import { type Rung, rungHeight } from '../protocol/exercise';
import { rangeWords } from '../protocol/joint-range';
import { WORK_MODE_NAMES } from '../protocol/work-mode';
import { LIMB_LABELS, LIMB_NAMES } from '../quantity/limb';
import { type Basis, isPostOperativeWork, type Resolved } from './basis';
import { RUNG_NAMES } from './goals';
import { rangesCrossed, rungPassed } from './letter-work';

/** The rung of an exercise with what loads it: with kilograms on it, work without a load is loaded (rule PRO-5). */
const rungOf = ({ choice, exercise }: Resolved): Rung =>
  exercise.rung === 'unloaded' && choice.load.kind === 'weighed' ? 'loaded' : exercise.rung;

/**
 * Work above the rung that a limb is on: of an operated limb, and of any on the ladder, however long ago that was; it ends by
 * *done with the cuff* alone. An operated one never checked is under the first rung that moves (rule PRO-5).
 */
export function checkRung(one: Resolved, basis: Basis): Finding[] {
  const rung = rungOf(one);
  return one.choice.limbs.flatMap(({ limb }): Finding[] => {
    const stood = basis.rungs.get(limb);
    if (stood === undefined && !isPostOperativeWork([limb], basis)) return [];
    const name = LIMB_NAMES[limb];
    if (stood === 'done')
      return [
        {
          rule: 'PRO-5',
          level: 'note',
          subject: 'exerciseId',
          message: msg('The {name} is done with the cuff: work of it under one is a new plan.', { name }),
          remedy: msg('Heavy work without the cuff comes next.'),
        },
      ];
    if (rungHeight(rung) <= rungHeight(stood ?? 'passive')) return [];
    const { label } = one.exercise;
    const work = rung === one.exercise.rung ? label : msg('{label} with a weight', { label });
    return [
      {
        rule: 'PRO-5',
        level: 'guard',
        subject: 'exerciseId',
        message: stood
          ? msg('{work} is {rung} work; the {name} is on {stood}.', {
              work,
              rung: RUNG_NAMES[rung],
              name,
              stood: RUNG_NAMES[stood],
            })
          : msg('{work} is {rung} work, and no rung is on record for the {name}.', {
              work,
              rung: RUNG_NAMES[rung],
              name,
            }),
        remedy: msg('Check the limb for the rung, or give the reason.'),
      },
    ];
  });
}

/** Limb by limb: what the letters that speak of it allow (rule SCR-2). */
export function checkClearance(one: Resolved, { limits }: Basis): Finding[] {
  const { choice, exercise } = one;
  const rung = rungOf(one);
  const { mode } = PROTOCOLS[choice.protocolId];
  const hard = (finding: Omit<Finding, 'rule' | 'level'>): Finding => ({
    rule: 'SCR-2',
    level: 'hard',
    ...finding,
  });
  return choice.limbs.flatMap((target) => {
    const { limb } = target;
    const { maxPercentLop, capFrom, modes, isCleared } = limits[limb];
    const name = LIMB_LABELS[limb];
    const findings: Finding[] = [];
    if (target.kind === 'measured' && maxPercentLop !== null && target.percentLop > maxPercentLop)
      findings.push(
        hard({
          subject: 'percentLop',
          message: msg(
            '{name}: {percentLop} % is above the {maxPercentLop} % of LOP that {capFrom} has cleared.',
            { name, percentLop: target.percentLop, maxPercentLop, capFrom: capFrom ?? '' },
          ),
          remedy: msg('Set {maxPercentLop} % or lower, or have a clinician record a new clearance.', {
            maxPercentLop,
          }),
          fix: { set: 'percentLop', to: maxPercentLop, as: 'most', limb },
        }),
      );
    if (!isCleared)
      findings.push(
        hard({
          subject: 'limb',
          message: msg('{name}: the clearances on record do not speak of it.', { name }),
          remedy: msg('Choose a limb that is cleared.'),
        }),
      );
    if (modes && !modes.includes(mode))
      findings.push(
        hard({
          subject: 'protocolId',
          message:
            modes.length === 0
              ? msg('{name}: the clearance allows no work.', { name })
              : msg('{name}: the clearance allows {modes} work only.', {
                  name,
                  modes: list(
                    modes.map((one) => WORK_MODE_NAMES[one]),
                    ', ',
                  ),
                }),
          remedy: msg('Prescribe work that is cleared.'),
        }),
      );
    const highest = rungPassed(limits[limb], rung);
    if (highest)
      findings.push(
        hard({
          subject: 'exerciseId',
          message: msg('{name}: the clearance allows work up to {highest} only, and this is {rung}.', {
            name,
            highest: RUNG_NAMES[highest],
            rung: RUNG_NAMES[rung],
          }),
          remedy: msg('Prescribe work that is cleared.'),
        }),
      );
    for (const { from, ...range } of rangesCrossed(limits[limb], choice.exerciseId, exercise, rung))
      findings.push({
        rule: 'SCR-2',
        level: 'guard',
        subject: 'exerciseId',
        message: msg('{name}: {exercise} goes through what {from} forbids: {range}.', {
          name,
          exercise: exercise.label,
          from,
          range: rangeWords(range),
        }),
        remedy: msg('Choose an exercise that does not go through it, or say how its range is kept.'),
      });
    return findings;
  });
}
