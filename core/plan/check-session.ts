import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { MOST_PRIMING_CYCLES } from '../pressure/priming';
import type { Exercise } from '../protocol/exercise';
import { musclesText } from '../protocol/muscle-names';
import { LIMB_KIND_NAMES, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { Basis, Resolved } from './basis';
import type { Plan, PlannedExercise } from './plan';
import { isInSuperset, setOrder } from './set-order';
import { type LimbTarget, primingCycles } from './target';

const MOST_PER_MUSCLE = RULES.PRO.figures.mostPerMuscle;

/** What the rules find about exercises together: their order, their number, and what they share (chapter 6). */
export function checkSession(
  resolved: readonly Resolved[],
  plan: Plan,
  basis: Pick<Basis, 'oneLimbFirst'>,
): Finding[] {
  return [
    ...checkOneLimb(plan, basis),
    ...checkPassages(plan),
    ...checkOrder(resolved),
    ...checkNumber(resolved),
    ...checkPriming(plan),
  ];
}

/** Whose blood pressure is watched begins with one limb under a cuff (rule RUN-8). */
const checkOneLimb = ({ exercises }: Plan, { oneLimbFirst }: Pick<Basis, 'oneLimbFirst'>): Finding[] =>
  exercises.flatMap(({ label, limbs: [first, second] }, exerciseIndex): Finding[] =>
    first && second && oneLimbFirst.includes(limbKind(first.limb))
      ? [
          {
            rule: 'RUN-8',
            level: 'guard',
            subject: 'limbs',
            exerciseIndex,
            message: msg(
              '{label}: blood pressure is watched in work, and no limb of this kind was trained yet.',
              { label },
            ),
            remedy: msg('One limb first.'),
            fix: { set: 'limbs', to: 'one' },
          },
        ]
      : [],
  );

/** Every passage from one exercise to another, in the order of the sets; each finding once an exercise. */
function checkPassages(plan: Plan): Finding[] {
  const order = setOrder(plan);
  const found = order.flatMap(({ exerciseIndex, setIndex }, at) => {
    const next = order[at + 1];
    const [from, to] = [plan.exercises[exerciseIndex], plan.exercises[next?.exerciseIndex ?? Number.NaN]];
    const set = from?.sets[setIndex];
    if (!from || !to || !set || from === to) return [];
    return checkBetween(from, set, to, exerciseIndex, isInSuperset(plan, next?.exerciseIndex ?? 0));
  });
  return found.filter(
    ({ exerciseIndex, level }, at) =>
      found.findIndex((one) => one.exerciseIndex === exerciseIndex && one.level === level) === at,
  );
}

/** Where the cuff stays up into the next exercise, or has too little free flow before it (rule PRO-1). */
function checkBetween(
  exercise: PlannedExercise,
  last: PlannedExercise['sets'][number],
  next: PlannedExercise,
  place: number,
  alternates: boolean,
): Finding[] {
  const common = { rule: 'PRO-1', subject: 'release', exerciseIndex: place } as const;
  const fix = { set: 'release', to: 'after-exercise' } as const;
  const shared = next.limbs.filter(({ limb }) => exercise.limbs.some((target) => target.limb === limb));
  if (!last.release) {
    const same =
      shared.length === next.limbs.length &&
      next.limbs.length === exercise.limbs.length &&
      shared.every((target) => sharesWith(exercise, target));
    if (same && primingCycles(next) === 0) return [];
    return [
      {
        ...common,
        level: 'hard',
        message: msg(
          '{exercise} and {next} cannot share an inflation: they need the same limbs at the same pressure of the same LOP, and no priming between.',
          { exercise: exercise.label, next: next.label },
        ),
        remedy: msg('Let the cuff down between them.'),
        fix,
      },
    ];
  }
  const freeMs = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;
  // Between sets of a superset a short release is a rest like any other within an exercise.
  if (alternates || shared.length === 0 || last.restMs >= freeMs) return [];
  return [
    {
      ...common,
      level: 'note',
      message: msg(
        '{rest} s of free flow before {next}: the occlusion clock goes on counting below {free} s.',
        { rest: last.restMs / 1000, next: next.label, free: freeMs / 1000 },
      ),
      remedy: msg('Let it flow for {free} s.', { free: freeMs / 1000 }),
      fix,
    },
  ];
}

/** Whether a limb of the next exercise could go on under the cuff as it is. */
const sharesWith = ({ limbs }: PlannedExercise, next: LimbTarget): boolean =>
  limbs.some((target) => {
    if (target.limb !== next.limb) return false;
    if (target.kind === 'by-feel' || next.kind === 'by-feel') return target.kind === next.kind;
    if (target.pressure.value !== next.pressure.value) return false;
    if (target.kind === 'arbitrary' || next.kind === 'arbitrary')
      return target.kind === next.kind && target.cuffId === next.cuffId;
    return target.occlusionId === next.occlusionId;
  });

/** Getting used to a cuff is short: too many cycles are work of their own (rule PRS-6). */
const checkPriming = ({ exercises }: Plan): Finding[] =>
  exercises.flatMap((exercise, exerciseIndex): Finding[] => {
    const cycles = primingCycles(exercise);
    if (cycles <= MOST_PRIMING_CYCLES) return [];
    return [
      {
        rule: 'PRS-6',
        level: 'hard',
        subject: 'priming',
        exerciseIndex,
        message: msg('{exercise} would be primed by {cycles} cycles; {mostPrimingCycles} are the most.', {
          exercise: exercise.label,
          cycles,
          mostPrimingCycles: MOST_PRIMING_CYCLES,
        }),
        remedy: msg('Begin higher, or take larger steps.'),
      },
    ];
  });

const MUSCLE_ORDER: readonly Exercise['kind'][] = [
  'compound',
  'functional',
  'isolated',
  'aerobic',
  'passive',
];

/** Compound before isolated work of the same kind of limb. */
export const isOutOfOrder = (before: Exercise, after: Exercise): boolean =>
  before.limbKind === after.limbKind && before.kind === 'isolated' && after.kind === 'compound';

export const orderRank = ({ kind, joints }: Exercise): number =>
  MUSCLE_ORDER.indexOf(kind) * 10 - joints.length;

function checkOrder(resolved: readonly Resolved[]): Finding[] {
  const later = resolved.findIndex(({ exercise }, place) =>
    resolved.slice(0, place).some((before) => isOutOfOrder(before.exercise, exercise)),
  );
  const late = resolved[later];
  if (!late) return [];
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'order',
      exerciseIndex: later,
      message: msg('{exercise} is compound and comes after isolated work.', {
        exercise: late.exercise.label,
      }),
      remedy: msg('Put compound exercises first.'),
      fix: { set: 'order', to: 'compound-first' },
    },
  ];
}

function checkNumber(resolved: readonly Resolved[]): Finding[] {
  const places = new Map<string, number[]>();
  resolved.forEach(({ choice, exercise }, place) => {
    if (exercise.kind === 'functional') return;
    for (const { limb } of choice.limbs) {
      const key = `${limb} ${exercise.muscle}`;
      places.set(key, [...(places.get(key) ?? []), place]);
    }
  });
  const over = [...places.values()].find((list) => list.length > MOST_PER_MUSCLE);
  const place = over?.[MOST_PER_MUSCLE];
  const extra = place === undefined ? undefined : resolved[place];
  if (place === undefined || !extra) return [];
  const kind = extra.exercise.limbKind;
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'exerciseId',
      exerciseIndex: place,
      message: msg('More than {mostPerMuscle} exercises for the {muscle} of one {kind}.', {
        mostPerMuscle: MOST_PER_MUSCLE,
        muscle: musclesText(extra.exercise.muscle),
        kind: LIMB_KIND_NAMES[kind],
      }),
      remedy: msg('One to three and one functional are enough.'),
      fix: { set: 'exercise', to: 'remove' },
    },
  ];
}
