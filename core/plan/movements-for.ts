import { arbitraryMostMmHg } from '../pressure/arbitrary';
import { mostPercentLop } from '../pressure/most-percent-lop';
import { rampLevel } from '../pressure/ramp';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import type { SchoolId } from '../protocol/schools';
import { limbKind } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_MINUTE } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type Basis, isPostOperativeWork } from './basis';
import { withoutLop } from './check-limb';
import type { ExerciseChoice } from './choices';
import { FIGURE_KINDS, type FigureId, type FigureKind, MOST_A_WEEK } from './figure-ids';
import { FIGURE_OF, figureValue, withLimbValue } from './figures';
import type { GoalId } from './goals';
import type { Movement } from './movement';

type For = { schoolId: SchoolId; basis: Basis };

const { usualHigh, startHigh } = RULES['LOAD-3'].figures.percentOneRepMax;

/**
 * How a kind of figure of an exercise may move, each with the bound that is usual there (rule CRS-1); none where it has no such
 * figure, or no room.
 */
export function movementsFor(choice: ExerciseChoice, kind: FigureKind, of: For): Movement[] {
  const all = kind === 'pressure' ? pressureMovements(choice, of) : weekMovements(choice, kind);
  return all.filter(({ figure, to }) => to > (figureValue(choice, figure) ?? to));
}

function pressureMovements(choice: ExerciseChoice, { schoolId, basis }: For): Movement[] {
  const [worn] = choice.limbs;
  if (!worn) return [];
  const limbs = choice.limbs.map(({ limb }) => limb);
  const { mode } = PROTOCOLS[choice.protocolId];
  switch (worn.kind) {
    case 'measured': {
      const to = usualShare(choice, schoolId, basis);
      if (mode === 'passive')
        return isPostOperativeWork(limbs, basis)
          ? [
              { by: 're-entry', figure: 'percent-lop', to },
              { by: 'week', figure: 'percent-lop', step: 5, to },
            ]
          : [{ by: 'week', figure: 'percent-lop', step: 5, to }];
      return [
        ...(isOnRamp(choice, schoolId, basis)
          ? [{ by: 'ramp' as const, figure: 'percent-lop' as const, to }]
          : []),
        { by: 'week', figure: 'percent-lop', step: 5, to },
        { by: 'review', figure: 'percent-lop', to },
      ];
    }
    case 'arbitrary': {
      const cuff = basis.cuffs.find(({ id }) => id === worn.cuffId);
      const known = cuff && withoutLop(worn.limb, cuff, basis);
      if (!known || basis.arbitraryUpToMmHg === null) return [];
      const to = Math.min(basis.arbitraryUpToMmHg, arbitraryMostMmHg(known.leastLopMmHg).usual);
      return [
        { by: 'ramp', figure: 'mmHg', to },
        { by: 'week', figure: 'mmHg', step: MOST_A_WEEK.mmHg, to },
      ];
    }
    case 'by-feel': {
      const mark =
        worn.mark ?? newest(basis.tightness.filter(({ strapId }) => strapId === worn.strapId))?.mark;
      return mark === undefined ? [] : [{ by: 'week', figure: 'mark', step: 1, to: mark + 2 }];
    }
  }
}

/** Up to where the pressure of an exercise usually goes: the school's or the protocol's usual, as capped (rules PRS-2, PRS-3). */
function usualShare({ limbs, protocolId }: ExerciseChoice, schoolId: SchoolId, basis: Basis): number {
  const { mode, percentLop } = PROTOCOLS[protocolId];
  const [first] = limbs;
  const school = first ? SCHOOLS[schoolId].percentLop[limbKind(first.limb)].usual : 0;
  const caps = limbs.flatMap(({ limb }) => basis.limits[limb].maxPercentLop ?? []);
  return Math.min(mode === 'passive' ? (percentLop?.usual ?? school) : school, mostPercentLop(mode), ...caps);
}

const isOnRamp = ({ limbs }: ExerciseChoice, schoolId: SchoolId, { done, today }: Basis): boolean =>
  limbs.some(({ limb }) => rampLevel(done, limbKind(limb), schoolId, today).running);

/** The clock of the cuff runs while the pressure settles, too (rules PRO-1, PRS-5). */
const LONGEST_MINUTES = Math.floor(
  (RULES['PRO-1'].figures.continuousOcclusionMs.guardLongLeg - RULES['PRS-5'].figures.plannedMs) /
    MS_PER_MINUTE,
);

/** What a figure is usually raised by in a week, and how far in all. */
const USUAL_WEEKS: { [Figure in FigureId]?: { step: number; in: (from: number, sets: number) => number } } = {
  'percent-1rm': { step: 1, in: () => usualHigh },
  watts: { step: 5, in: (from) => from + 20 },
  'km-per-hour': { step: 0.2, in: (from) => from + 1 },
  'vo2max-percent': { step: 2, in: () => 50 },
  beats: { step: 5, in: (from) => from + 15 },
  minutes: { step: 1, in: (_, sets) => Math.floor(LONGEST_MINUTES / sets) },
  sets: { step: 1, in: (from) => from + 2 },
};

function weekMovements(choice: ExerciseChoice, kind: FigureKind): Movement[] {
  const isAerobic = PROTOCOLS[choice.protocolId].mode === 'aerobic';
  const weeks = (Object.keys(USUAL_WEEKS) as (keyof typeof USUAL_WEEKS)[]).flatMap((figure): Movement[] => {
    const usual = USUAL_WEEKS[figure];
    const isOwn = FIGURE_KINDS[figure] === kind && (figure !== 'minutes' || isAerobic);
    const from = isOwn ? figureValue(choice, figure) : null;
    return usual && from !== null
      ? [{ by: 'week', figure, step: usual.step, to: Math.max(from, usual.in(from, choice.sets.length)) }]
      : [];
  });
  return kind === 'load' && FIGURE_OF['percent-1rm'].read(choice) !== null
    ? [{ by: 'review', figure: 'percent-1rm', to: usualHigh }, ...weeks]
    : weeks;
}

/** What a draft of a goal lets move, where it may (rule CRS-1). */
const GOAL_MOVES: Record<GoalId, { pressure: 'to-usual' | 'on-the-ramp'; loadTo: number; aerobic: boolean }> =
  {
    size: { pressure: 'to-usual', loadTo: usualHigh, aerobic: false },
    'strength-bridge': { pressure: 'to-usual', loadTo: usualHigh, aerobic: false },
    keep: { pressure: 'on-the-ramp', loadTo: 0, aerobic: false },
    rehab: { pressure: 'to-usual', loadTo: startHigh, aerobic: false },
    'warm-up': { pressure: 'on-the-ramp', loadTo: 0, aerobic: false },
    recovery: { pressure: 'on-the-ramp', loadTo: 0, aerobic: false },
    aerobic: { pressure: 'to-usual', loadTo: 0, aerobic: true },
    passive: { pressure: 'to-usual', loadTo: 0, aerobic: false },
    cycles: { pressure: 'on-the-ramp', loadTo: 0, aerobic: false },
    'three-and-one': { pressure: 'to-usual', loadTo: usualHigh, aerobic: false },
    'pain-relief': { pressure: 'to-usual', loadTo: startHigh, aerobic: false },
    functional: { pressure: 'to-usual', loadTo: 0, aerobic: false },
    finisher: { pressure: 'on-the-ramp', loadTo: 0, aerobic: false },
  };

/** The movements a draft proposes for an exercise, from its goal, school and person (rule CRS-1). */
export function proposedMovements(choice: ExerciseChoice, goal: GoalId, of: For): Movement[] {
  const { pressure, loadTo, aerobic } = GOAL_MOVES[goal];
  const pressures = movementsFor(choice, 'pressure', of);
  const ramp = pressures.find(({ by }) => by === 'ramp' || by === 're-entry');
  const byReview = pressures.find(({ by }) => by === 'review');
  const load = movementsFor(choice, 'load', of).find(({ by, figure }) =>
    figure === 'percent-1rm' ? by === 'review' && loadTo > 0 : aerobic,
  );
  const volume = aerobic
    ? movementsFor(choice, 'volume', of).find(({ figure }) => figure === 'minutes')
    : undefined;
  const moves = [
    ramp ?? (pressure === 'to-usual' ? byReview : undefined),
    load?.figure === 'percent-1rm' ? { ...load, to: Math.min(load.to, loadTo) } : load,
    volume,
  ];
  return moves.flatMap((movement) =>
    movement && movement.to > (figureValue(choice, movement.figure) ?? 0) ? [movement] : [],
  );
}

/** An exercise that moves so; a strap has its mark said, so that it can. */
export function withMovements(
  choice: ExerciseChoice,
  movements: readonly Movement[],
  { tightness }: Pick<Basis, 'tightness'>,
): ExerciseChoice {
  const { movements: _, ...steady } = choice;
  if (movements.length === 0) return steady;
  const byMark = movements.some(({ figure }) => figure === 'mark');
  return {
    ...steady,
    movements: [...movements],
    limbs: byMark
      ? choice.limbs.map((limb) =>
          limb.kind === 'by-feel' && limb.mark === undefined
            ? withLimbValue(
                limb,
                newest(tightness.filter(({ strapId }) => strapId === limb.strapId))?.mark ?? 0,
              )
            : limb,
        )
      : choice.limbs,
  };
}
