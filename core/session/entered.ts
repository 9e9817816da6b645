import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { compile } from '../plan/compile';
import type { Plan } from '../plan/plan';
import type { Timeline } from '../plan/timeline';
import { MS_PER_HOUR } from '../quantity/units';
import type { EventBody } from './events';
import { effortSchema, scaleSchema, setPlace } from './events/values';
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
});
export type EnteredSession = z.infer<typeof enteredSessionSchema>;

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
 * The log a session on paper would have had: the plan's own times and pressures with the sets that were done, marked as
 * entered later, and folded like any other (rule RUN-5). A cuff is taken to have come down after the last set done under it.
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
    ...cuffs.map(({ up }) => up),
    ...done.flatMap(({ fromMs, toMs, said, plannedReps }): EnteredEvent[] => {
      const { exerciseIndex, setIndex, reps: counted, lastedMs, effort } = said;
      const place = { exerciseIndex, setIndex };
      const reps = counted ?? 0;
      const isCutShort = lastedMs !== null && lastedMs < plannedMsOf(plan, place);
      const isFailed = plannedReps !== null && reps < plannedReps;
      const reason = isFailed ? 'failure' : isCutShort ? 'operator' : 'done';
      return [
        { afterMs: fromMs, body: { type: 'set-started', ...place } },
        { afterMs: toMs, body: { type: 'set-ended', ...place, reps, reason } },
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
      const pressureMmHg = inflation.steps[0]?.pressureMmHg ?? null;
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
