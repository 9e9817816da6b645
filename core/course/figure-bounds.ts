import { type Message, msg } from '../message/message';
import { withoutLop } from '../plan/check-limb';
import type { ExerciseChoice } from '../plan/choices';
import type { Plan } from '../plan/plan';
import { arbitraryMostMmHg } from '../pressure/arbitrary';
import { mostPercentLop } from '../pressure/most-percent-lop';
import { rampLevel } from '../pressure/ramp';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import type { Day } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { RULES, type RuleId } from '../rules/catalogue';
import type { CourseRecord } from './course-record';
import type { Figure } from './figure';

/** The least that bounds a figure, and what that is, in words (rule CRS-4). */
export type FigureBound = { most: number; why: Message; rule: RuleId };

type Where = {
  plan: Plan;
  choice: ExerciseChoice;
  exerciseIndex: number;
  record: CourseRecord;
  day: Day;
};

/** Of what was signed, the school's top, the ramp, a cap and the hard limits, the least (rule CRS-4). */
export function boundOf(figure: Figure, where: Where): FigureBound {
  return boundsOf(figure, where).reduce((least, one) => (one.most < least.most ? one : least));
}

function boundsOf(figure: Figure, where: Where): [FigureBound, ...FigureBound[]] {
  const signed: FigureBound = {
    most: Math.max(figure.start, figure.movement?.to ?? figure.start),
    why: msg('the bound that was signed'),
    rule: 'CRS-1',
  };
  switch (figure.figure) {
    case 'percent-lop':
      return [signed, ...boundsOfShare(figure, where)];
    case 'mmHg':
      return [signed, ...boundsOfPressure(figure, where)];
    case 'percent-1rm':
      return [signed, ...boundsOfLoad(where)];
    default:
      return [signed];
  }
}

const passedAt =
  ({ passed }: CourseRecord, exerciseIndex: number) =>
  (rule: RuleId): boolean =>
    passed.some((guard) => guard.rule === rule && guard.exerciseIndex === exerciseIndex);

/** A guard that was passed when it was signed stands for the limit it passed. */
function boundsOfShare({ limb }: Figure, { plan, choice, exerciseIndex, record, day }: Where): FigureBound[] {
  if (limb === undefined) return [];
  const { basis } = record;
  const isPassed = passedAt(record, exerciseIndex);
  const { mode } = PROTOCOLS[choice.protocolId];
  const most = mostPercentLop(mode);
  const bounds: FigureBound[] = [{ most, why: msg('{most} % of LOP is the most', { most }), rule: 'PRS-3' }];
  const cap = basis.limits[limb].maxPercentLop;
  if (cap !== null && !isPassed('SCR-2'))
    bounds.push({ most: cap, why: msg('the clearance’s {cap} %', { cap }), rule: 'SCR-2' });
  if (mode === 'passive') return bounds;
  const kind = limbKind(limb);
  const { top } = SCHOOLS[plan.schoolId].percentLop[kind];
  if (!isPassed('PRS-3'))
    bounds.push({ most: top, why: msg('the school’s top of {top} %', { top }), rule: 'PRS-3' });
  const ramp = rampLevel(basis.done, kind, plan.schoolId, day);
  if (ramp.running && !isPassed('PRS-4'))
    bounds.push({
      most: ramp.percentLop,
      why: msg('the ramp is at {percentLop} %', { percentLop: ramp.percentLop }),
      rule: 'PRS-4',
    });
  return bounds;
}

/** Without a LOP: the practice's most, the share of the LOP to reckon with, and the millimetre ramp (rules PRS-4, PRS-7). */
function boundsOfPressure({ limb }: Figure, { choice, exerciseIndex, record, day }: Where): FigureBound[] {
  const worn = choice.limbs.find((one) => one.limb === limb);
  const { basis } = record;
  const isPassed = passedAt(record, exerciseIndex);
  const cuff = basis.cuffs.find(({ id }) => worn?.kind === 'arbitrary' && id === worn.cuffId);
  const known = limb && cuff && withoutLop(limb, cuff, { ...basis, today: day });
  if (!known) return [];
  const { usual, hard } = arbitraryMostMmHg(known.leastLopMmHg);
  const ceiling = basis.arbitraryUpToMmHg ?? hard;
  const most = Math.min(ceiling, isPassed('PRS-7') ? hard : usual);
  return [
    { most, why: msg('{most} mmHg is the most without a LOP', { most }), rule: 'PRS-7' },
    ...(isPassed('PRS-4')
      ? []
      : [
          {
            most: known.levelMmHg,
            why: msg('the ramp is at {level} mmHg', { level: known.levelMmHg }),
            rule: 'PRS-4' as const,
          },
        ]),
  ];
}

function boundsOfLoad({ exerciseIndex, record }: Where): FigureBound[] {
  const { usualHigh, most } = RULES['LOAD-3'].figures.percentOneRepMax;
  const limit = passedAt(record, exerciseIndex)('LOAD-3') ? most : usualHigh;
  return [{ most: limit, why: msg('{limit} % of 1RM is the most', { limit }), rule: 'LOAD-3' }];
}
