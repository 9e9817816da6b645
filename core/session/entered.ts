import { z } from 'zod';
import { outputSchema } from '../aerobic/output';
import { type Message, msg } from '../message/message';
import { compile } from '../plan/compile';
import type { Plan } from '../plan/plan';
import { plannedMark, plannedMmHg } from '../plan/planned-set';
import { isCuffed } from '../plan/target';
import type { Timeline } from '../plan/timeline';
import { type Limb, limbSchema } from '../quantity/limb';
import { MS_PER_HOUR } from '../quantity/units';
import { bloodPressureSchema } from '../screening/blood-pressure';
import type { EventBody } from './events';
import {
  type BloodPressureMoment,
  beatsPerMinuteSchema,
  bloodPressureMomentSchema,
  effortSchema,
  pressureMmHgSchema,
  scaleSchema,
  setPlace,
} from './events/values';
import { heartRateMomentSchema } from './heart-rate-moment';
import { signIdSchema } from './signs';

/** One set of a session that was done on paper or elsewhere: its repetitions, or how long it lasted where it is timed. */
const enteredSetSchema = z
  .object({
    ...setPlace,
    reps: z.number(msg('Enter the repetitions.')).int().min(0, msg('Not below none.')).max(500).nullable(),
    lastedMs: z
      .number(msg('Enter the minutes.'))
      .int()
      .min(1_000, msg('Longer than nothing.'))
      .max(MS_PER_HOUR, msg('At most 60 minutes.'))
      .nullable()
      .default(null),
    effort: effortSchema.nullable(),
    /** What was read on the gauge of each limb; where it was not, its pressure is not known. */
    read: z
      .array(z.object({ limb: limbSchema, pressureMmHg: pressureMmHgSchema }))
      .max(4)
      .optional(),
    /** Where each strap was, as it is counted. */
    marks: z
      .array(z.object({ limb: limbSchema, mark: z.number(msg('Enter the mark.')).min(0).max(100) }))
      .max(4)
      .optional(),
    colourGood: z.boolean().optional(),
    heartRates: z
      .array(z.object({ moment: heartRateMomentSchema, beatsPerMinute: beatsPerMinuteSchema }))
      .max(20)
      .optional(),
    output: outputSchema.optional(),
  })
  .refine(({ reps, lastedMs }) => (reps === null) !== (lastedMs === null), {
    path: ['reps'],
    message: msg('Enter the repetitions, or how long it lasted.').message,
  });

/** A session that is entered after the fact: when it began, the sets that were done, and how it was. */
export const enteredSessionSchema = z.object({
  startedAtMs: z.number(msg('Enter the day and the time.')).int().positive(),
  sets: z.array(enteredSetSchema).min(1, msg('Enter at least one set.')).max(100),
  /** Worst pain of a joint, 0–10; null where not said. */
  jointPain: scaleSchema.nullable(),
  signs: z.array(signIdSchema).max(20),
  bloodPressures: z
    .array(z.object({ moment: bloodPressureMomentSchema, reading: bloodPressureSchema }))
    .max(4)
    .optional(),
});
export type EnteredSession = z.infer<typeof enteredSessionSchema>;

/** What each limb of a set is planned at, as if it had been read so: for a session that is simulated as planned. */
export const readAsPlanned = (
  plan: Plan,
  { exerciseIndex, setIndex }: Pick<Timeline['sets'][number], 'exerciseIndex' | 'setIndex'>,
): Pick<EnteredSession['sets'][number], 'read'> => {
  const exercise = plan.exercises[exerciseIndex];
  const set = exercise?.sets[setIndex];
  return {
    read: (exercise?.limbs ?? [])
      .filter(isCuffed)
      .map((target) => ({ limb: target.limb, pressureMmHg: plannedMmHg(target, set) })),
  };
};

/** How much of a set was done, as it is entered: so many repetitions, or the time it was to last where it is timed. */
export const amountDone = (
  { plannedReps, fromMs, toMs }: Pick<Timeline['sets'][number], 'plannedReps' | 'fromMs' | 'toMs'>,
  reps: number,
): Pick<EnteredSession['sets'][number], 'reps' | 'lastedMs'> =>
  plannedReps === null ? { reps: null, lastedMs: toMs - fromMs } : { reps, lastedMs: null };

/** What of an entry does not fit its plan: minutes of a counted set, or repetitions of a timed one (rule RUN-10). */
export function checkEntered(
  plan: Plan,
  { sets }: Pick<EnteredSession, 'sets'>,
): { place: number; message: Message }[] {
  return sets.flatMap(({ exerciseIndex, setIndex, reps, lastedMs }, place) => {
    const planned = plan.exercises[exerciseIndex]?.sets[setIndex];
    if (!planned) return [];
    const isTimed = planned.work.kind === 'timed';
    if (isTimed && lastedMs === null)
      return [{ place, message: msg('Set {set} is timed: enter its minutes.', { set: setIndex + 1 }) }];
    if (!isTimed && reps === null)
      return [
        {
          place,
          message: msg('Set {set} is counted: enter its repetitions.', { set: setIndex + 1 }),
        },
      ];
    return [];
  });
}

/** What is said of a session, and when after its beginning, in ms. */
export type EnteredEvent = { afterMs: number; body: EventBody };

/**
 * The log a session on paper would have had: the plan's own times with the sets that were done and what was read, marked as entered
 * later, and folded like any other (rules RUN-5, RUN-10). A pressure that was not read is not known. A cuff is taken to have come down
 * after the last set done under it.
 * @param enteredAtMs when it is entered
 */
export function enteredEvents(plan: Plan, entered: EnteredSession, enteredAtMs: number): EnteredEvent[] {
  const timeline = compile(plan);
  const said = timeline.sets.flatMap((set) => {
    const one = entered.sets.find(
      ({ exerciseIndex, setIndex }) => exerciseIndex === set.exerciseIndex && setIndex === set.setIndex,
    );
    return one ? [{ ...set, said: one }] : [];
  });
  // A set that lasted longer than planned moves what comes after it on; a shorter one leaves a longer rest.
  const longer = said.map(({ fromMs, toMs, said: { lastedMs } }) => ({
    afterMs: toMs,
    byMs: lastedMs === null ? 0 : Math.max(0, lastedMs - (toMs - fromMs)),
  }));
  const really = (plannedMs: number): number =>
    longer.reduce((atMs, { afterMs, byMs }) => (afterMs <= plannedMs ? atMs + byMs : atMs), plannedMs);
  const done = said.map((set): DoneSet => {
    const fromMs = really(set.fromMs);
    const { lastedMs } = set.said;
    return { ...set, plannedFromMs: set.fromMs, fromMs, toMs: fromMs + (lastedMs ?? set.toMs - set.fromMs) };
  });
  const endMs = Math.max(0, ...done.map(({ toMs }) => toMs));
  const cuffs = cuffEvents(timeline, done, really);
  // In the order of what happens in the same moment.
  const events: EnteredEvent[] = [
    { afterMs: 0, body: { type: 'session-started', enteredAtMs } },
    ...pressuresNoted(entered, endMs),
    ...cuffs.map(({ up }) => up),
    ...markEvents(plan, done),
    ...done.flatMap(({ fromMs, toMs, said, plannedReps }): EnteredEvent[] => {
      const { exerciseIndex, setIndex, reps: counted, lastedMs, effort } = said;
      const place = { exerciseIndex, setIndex };
      const reps = counted ?? 0;
      const isCutShort = lastedMs !== null && lastedMs < plannedMsOf(plan, place);
      const isFailed = plannedReps !== null && reps < plannedReps;
      const reason = isFailed ? 'failure' : isCutShort ? 'operator' : 'done';
      return [
        { afterMs: fromMs, body: { type: 'set-started', ...place } },
        ...(said.read ?? []).map(({ limb, pressureMmHg }) => ({
          afterMs: fromMs,
          body: { type: 'pressure-read' as const, limb, pressureMmHg, cause: 'read' as const },
        })),
        { afterMs: toMs, body: { type: 'set-ended', ...place, reps, reason } },
        ...(said.heartRates ?? []).map((rate) => ({
          afterMs: toMs,
          body: { type: 'heart-rate-noted' as const, ...place, ...rate },
        })),
        ...(said.output
          ? [{ afterMs: toMs, body: { type: 'output-noted' as const, ...place, output: said.output } }]
          : []),
        ...(said.colourGood === undefined
          ? []
          : [{ afterMs: toMs, body: { type: 'colour-checked' as const, ...place, good: said.colourGood } }]),
        ...(effort === null
          ? []
          : [{ afterMs: toMs, body: { type: 'set-noted' as const, ...place, effort } }]),
      ];
    }),
    ...painEvent(done.at(-1)?.said, entered.jointPain, endMs),
    ...entered.signs.map((sign) => ({ afterMs: endMs, body: { type: 'sign-noted' as const, sign } })),
    ...cuffs.map(({ down }) => down),
    { afterMs: endMs + AFTER_LAST_MS, body: { type: 'session-finished' } },
  ];
  return events.sort((a, b) => a.afterMs - b.afterMs);
}

const AFTER_LAST_MS = 1_000;

/** How long a timed set was to last. */
const plannedMsOf = (
  plan: Plan,
  { exerciseIndex, setIndex }: { exerciseIndex: number; setIndex: number },
): number => plan.exercises[exerciseIndex]?.sets[setIndex]?.lastsMs ?? 0;

/** A set that was done, at the times it was really done. */
type DoneSet = Timeline['sets'][number] & { said: EnteredSession['sets'][number]; plannedFromMs: number };

/** Cuffs up and down as planned, where a set was done under them. */
function cuffEvents(
  { lanes }: Timeline,
  done: readonly DoneSet[],
  really: (plannedMs: number) => number,
): { up: EnteredEvent; down: EnteredEvent }[] {
  return lanes.flatMap(({ limb, inflations }) =>
    inflations.flatMap((inflation) => {
      const under = done.filter(
        ({ limbs, plannedFromMs }) =>
          limbs.includes(limb) && plannedFromMs >= inflation.fromMs && plannedFromMs < inflation.toMs,
      );
      if (under.length === 0) return [];
      // It went up to what was read in the first set under it.
      const [first] = under.toSorted((a, b) => a.fromMs - b.fromMs);
      const pressureMmHg = first?.said.read?.find((one) => one.limb === limb)?.pressureMmHg ?? null;
      const downMs = Math.max(...under.map(({ toMs }) => toMs));
      return [
        {
          up: {
            afterMs: really(inflation.fromMs),
            body: { type: 'cuff-inflated' as const, limb, pressureMmHg },
          },
          down: { afterMs: downMs, body: { type: 'cuff-released' as const, limb } },
        },
      ];
    }),
  );
}

/** Blood pressures around the work, each at its moment (rule RUN-8). */
const pressuresNoted = ({ bloodPressures = [] }: EnteredSession, endMs: number): EnteredEvent[] =>
  bloodPressures.map(({ moment, reading }) => ({
    afterMs: BLOOD_PRESSURE_AT[moment](endMs),
    body: { type: 'blood-pressure-noted', moment, reading },
  }));

const BLOOD_PRESSURE_AT: Record<BloodPressureMoment, (endMs: number) => number> = {
  before: () => 0,
  'last-rest': (endMs) => endMs,
  'minute-1': (endMs) => endMs,
  'minute-5': (endMs) => endMs,
};

/** A strap that was worn at another mark than planned was moved there, step by step (rule TIGHT). */
function markEvents(plan: Plan, done: readonly DoneSet[]): EnteredEvent[] {
  const moved = new Map<Limb, number>();
  return done
    .toSorted((a, b) => a.fromMs - b.fromMs)
    .flatMap(({ exerciseIndex, setIndex, fromMs, said }) =>
      (said.marks ?? []).flatMap(({ limb, mark }) => {
        const exercise = plan.exercises[exerciseIndex];
        const target = exercise?.limbs.find((one) => one.limb === limb);
        if (!exercise || target?.kind !== 'by-feel') return [];
        const by = Math.round(mark - plannedMark(target, exercise.sets[setIndex])) - (moved.get(limb) ?? 0);
        moved.set(limb, (moved.get(limb) ?? 0) + by);
        return Array.from({ length: Math.abs(by) }, () => ({
          afterMs: fromMs,
          body: { type: 'mark-moved' as const, limb, byMarks: by > 0 ? (1 as const) : (-1 as const) },
        }));
      }),
    );
}

const painEvent = (
  last: EnteredSession['sets'][number] | undefined,
  jointPain: number | null,
  afterMs: number,
): EnteredEvent[] =>
  last === undefined || jointPain === null
    ? []
    : [
        {
          afterMs,
          body: {
            type: 'set-noted',
            exerciseIndex: last.exerciseIndex,
            setIndex: last.setIndex,
            jointPain,
          },
        },
      ];
