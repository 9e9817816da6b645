import { type Message, msg } from '../message/message';
import type { ExerciseChoice, SessionChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { FIGURE_KINDS, type FigureKind } from '../plan/figure-ids';
import { FIGURE_OF, setsAtShare, setsInNumber, withLimbValue } from '../plan/figures';
import { isRise, type Move } from '../plan/move';
import type { Plan } from '../plan/plan';
import type { Day } from '../quantity/days';
import type { CourseRecord } from './course-record';
import { isDeloadWeek, weeksFrom } from './course-weeks';
import { type Figure, figuresIn } from './figure';
import { boundOf, type FigureBound } from './figure-bounds';
import { type NextFigure, nextFigure } from './next-figure';

/** What is chosen on the day. */
export type DayChoices = {
  /** Nothing rises that day: as last time (rule CRS-3). */
  keepsBack: boolean;
};

/** What is to be done on a day: the choices with their figures moved, what moved, and what waits and why. */
export type DaySession = {
  session: SessionChoice;
  /** The same with all its sets, as it is on a day that is in no deload week. */
  whole: SessionChoice;
  moves: Move[];
  /** Rises that wait, with why. */
  waits: { exerciseIndex: number; why: Message }[];
  /** In a deload week: the share of the sets, in %. */
  deloadPercent: number | null;
  /** Rises that were kept back by choice. */
  keptBack: Move[];
};

export const NO_CHOICES: DayChoices = { keepsBack: false };

/**
 * The one answer to what is to be done on a day (rules CRS-2 to CRS-5): every figure from what it was last opened at, moved as
 * it was signed to move, by at most one of pressure, load and volume of an exercise, and held by the least of its bounds.
 * The same plan, record and day give the same session.
 * @param plan the version that was signed @param record as it is known in the morning of the day
 */
export function sessionOn(
  plan: Plan,
  record: CourseRecord,
  day: Day,
  { keepsBack }: DayChoices = NO_CHOICES,
): DaySession {
  const signed = choicesOf(plan);
  const fromDay = weeksFrom(record.trainedDays, day);
  const deload = signed.deload ?? record.deload;
  const deloadPercent =
    deload && isDeloadWeek(record.trainedDays, deload, fromDay, day) ? deload.setsPercent : null;
  const moved = signed.exercises.map((choice, exerciseIndex) =>
    exerciseOn(choice, exerciseIndex, {
      plan,
      record,
      day,
      fromDay,
      // Nothing rises in a deload week (rule CRS-5).
      mayRise: !keepsBack && deloadPercent === null,
    }),
  );
  const kept = keepsBack ? sessionOn(plan, record, day).moves.filter(isRise) : [];
  const whole = { ...signed, exercises: moved.map(({ choice }) => choice) };
  return {
    session:
      deloadPercent === null
        ? whole
        : {
            ...whole,
            exercises: whole.exercises.map((choice) => ({
              ...choice,
              sets: fewerSets(choice, deloadPercent),
            })),
          },
    whole,
    moves: moved.flatMap(({ moves }) => moves),
    waits: moved.flatMap(({ waits }, exerciseIndex) => waits.map((why) => ({ exerciseIndex, why }))),
    deloadPercent,
    keptBack: kept,
  };
}

/** A deload week's share of the sets, floored and never none (rules CRS-5, PRO-4). @example 4 sets at 60 % //=> 2 sets */
const fewerSets = ({ sets }: ExerciseChoice, percent: number): ExerciseChoice['sets'] =>
  setsInNumber(sets, setsAtShare(sets.length, percent));

type On = { plan: Plan; record: CourseRecord; day: Day; fromDay: Day; mayRise: boolean };
type MovedExercise = { choice: ExerciseChoice; moves: Move[]; waits: Message[] };

/** A figure with what it asks to be, and what of that its bounds leave. */
type Step = { figure: Figure; next: NextFigure | null; to: number; bound: FigureBound };

function exerciseOn(choice: ExerciseChoice, exerciseIndex: number, on: On): MovedExercise {
  const { record, day, fromDay } = on;
  const context = { plan: on.plan, choice, exerciseIndex, record, day, fromDay };
  const steps = figuresIn(choice, exerciseIndex, record).map((figure): Step => {
    const next = nextFigure(figure, context);
    const bound = boundOf(figure, context);
    return { figure, next, bound, to: Math.min(next?.to ?? figure.last, bound.most) };
  });
  const riser = on.mayRise ? whichRises(steps) : null;
  const isHeld = (step: Step) => isRising(step) && kindOf(step) !== riser;
  const held = on.mayRise ? new Set(steps.filter(isHeld).map(kindOf)) : new Set<FigureKind>();
  const made = steps.map((step) => (isHeld(step) ? { ...step, to: step.figure.last } : step));
  return {
    choice: withRest(
      made.reduce((so, { figure, to }) => written(so, figure, to), choice),
      exerciseIndex,
      record,
    ),
    moves: made.filter(({ figure, to }) => to !== figure.last).map((step) => moveOf(step, exerciseIndex)),
    waits: [...held].map((kind) => waitWords(kind, riser)),
  };
}

const kindOf = ({ figure }: Step): FigureKind => FIGURE_KINDS[figure.figure];

function moveOf({ figure: { figure, limb, last }, next, to, bound }: Step, exerciseIndex: number): Move {
  const isBound = (next?.to ?? last) > bound.most;
  return {
    exerciseIndex,
    figure,
    ...(limb ? { limb } : {}),
    from: last,
    to,
    why: isBound && to < last ? bound.why : (next?.why ?? ''),
    ...(isBound && to > last ? { heldBy: bound.why } : {}),
  };
}

/** Of pressure, load and volume one rises: the one that has waited longest; none after a figure that fell (rule CRS-3). */
function whichRises(steps: readonly Step[]): FigureKind | null {
  if (steps.some(({ next, figure }) => next?.isSetback && next.to < figure.last)) return null;
  const [first] = steps.filter(isRising).sort((a, b) => (a.next?.sinceDay ?? 0) - (b.next?.sinceDay ?? 0));
  return first ? kindOf(first) : null;
}

/** Whether it would be more for the person. */
const isRising = ({ figure, next, to }: Step): boolean => next?.isFelt === true && to > figure.last;

const KIND_WORDS: Record<FigureKind, Message> = {
  pressure: msg('pressure'),
  load: msg('load'),
  volume: msg('volume'),
};

const waitWords = (kind: FigureKind, riser: FigureKind | null): Message =>
  riser === null
    ? msg('The {kind} waits: the last session was too much.', { kind: KIND_WORDS[kind] })
    : msg('The {kind} waits: the {riser} rises today.', { kind: KIND_WORDS[kind], riser: KIND_WORDS[riser] });

function written(choice: ExerciseChoice, { figure, limb, start, last }: Figure, to: number): ExerciseChoice {
  if (limb !== undefined)
    return {
      ...choice,
      limbs: choice.limbs.map((worn) => (worn.limb === limb ? withLimbValue(worn, to) : worn)),
    };
  // A figure that stays as it was signed is left alone: sets may differ among each other.
  if (figure === 'percent-lop' || figure === 'mmHg' || figure === 'mark') return choice;
  return to === start && last === start ? choice : FIGURE_OF[figure].write(choice, to);
}

/** The rest that a review asked for, from then on (rules REV-4, REV-6). */
function withRest(choice: ExerciseChoice, exerciseIndex: number, record: CourseRecord): ExerciseChoice {
  const signedMs = choice.sets[0]?.restMs;
  const last = record.opened.findLast(({ wasLighter }) => !wasLighter)?.exercises[exerciseIndex];
  const restMs = record.advices[exerciseIndex]?.change.restMs ?? last?.restMs ?? signedMs;
  if (restMs === undefined || signedMs === undefined || restMs <= signedMs) return choice;
  return {
    ...choice,
    sets: choice.sets.map((set, place) => (place < choice.sets.length - 1 ? { ...set, restMs } : set)),
  };
}
