import { z } from 'zod';
import { compile } from '../plan/compile';
import type { Plan } from '../plan/plan';
import type { Timeline } from '../plan/timeline';
import type { EventBody } from './events';
import { effortSchema, scaleSchema, setPlace } from './events/values';
import { signIdSchema } from './signs';

/** One set of a session that was done on paper or elsewhere. */
const enteredSetSchema = z.object({
  ...setPlace,
  reps: z.number('Enter the repetitions.').int().min(0, 'Not below none.').max(500),
  effort: effortSchema.nullable(),
});

/** A session that is entered after the fact: when it began, the sets that were done, and how it was. */
export const enteredSessionSchema = z.object({
  startedAtMs: z.number('Enter the day and the time.').int().positive(),
  sets: z.array(enteredSetSchema).min(1, 'Enter at least one set.').max(100),
  /** Worst pain of a joint, 0–10; null where nobody said. */
  jointPain: scaleSchema.nullable(),
  signs: z.array(signIdSchema).max(20),
});
export type EnteredSession = z.infer<typeof enteredSessionSchema>;

/** What is said of a session, and when after its beginning, in ms. */
export type EnteredEvent = { afterMs: number; body: EventBody };

/**
 * The log a session on paper would have had: the plan's own times and pressures with the sets that were done, marked as
 * entered later, and folded like any other (rule RUN-5). A cuff is taken to have come down after the last set done under it.
 * @param enteredAtMs when it is entered
 */
export function enteredEvents(plan: Plan, entered: EnteredSession, enteredAtMs: number): EnteredEvent[] {
  const timeline = compile(plan);
  const done = timeline.sets.flatMap((set) => {
    const said = entered.sets.find(
      ({ exerciseIndex, setIndex }) => exerciseIndex === set.exerciseIndex && setIndex === set.setIndex,
    );
    return said ? [{ ...set, said }] : [];
  });
  const endMs = Math.max(0, ...done.map(({ toMs }) => toMs));
  const cuffs = cuffEvents(timeline, done);
  // In the order of what happens in the same moment.
  const events: EnteredEvent[] = [
    { afterMs: 0, body: { type: 'session-started', enteredAtMs } },
    ...cuffs.map(({ up }) => up),
    ...done.flatMap(({ fromMs, toMs, said, plannedReps }): EnteredEvent[] => {
      const { exerciseIndex, setIndex, reps, effort } = said;
      const place = { exerciseIndex, setIndex };
      const reason = plannedReps !== null && reps < plannedReps ? 'failure' : 'done';
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

type DoneSet = Timeline['sets'][number] & { said: EnteredSession['sets'][number] };

/** Cuffs up and down as planned, where a set was done under them. */
function cuffEvents(
  { lanes }: Timeline,
  done: readonly DoneSet[],
): { up: EnteredEvent; down: EnteredEvent }[] {
  return lanes.flatMap(({ limb, inflations }) =>
    inflations.flatMap((inflation) => {
      const under = done.filter(
        (set) => set.limbs.includes(limb) && set.fromMs >= inflation.fromMs && set.fromMs < inflation.toMs,
      );
      if (under.length === 0) return [];
      const pressureMmHg = inflation.steps[0]?.pressureMmHg ?? null;
      const downMs = Math.max(...under.map(({ toMs }) => toMs));
      return [
        {
          up: { afterMs: inflation.fromMs, body: { type: 'cuff-inflated' as const, limb, pressureMmHg } },
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
