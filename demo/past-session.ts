import { v5 as uuidFrom } from 'uuid';
import { cuffedLimbs, type Plan, plannedMmHg } from '#core/plan';
import { pacedReps, setMs } from '#core/protocol';
import type { Recommendation } from '#core/review';
import { type EventBody, type SessionEvent, stamped, stampedLog } from '#core/session';

const NEXT_TOUCH_MS = 4_000;
/** The device that sessions of the demo are run on. */
const TABLET = 'plinth-tablet';

/**
 * The log of a session that was run some time ago.
 * @param done repetitions done in each set, of which fewer than planned mean that it ended in failure; effort 0–10 after each; the heart
 * rate at minute 5 and at the end of aerobic work
 */
export function pastSessionLog(
  plan: Plan,
  session: { id: string; startMs: number },
  {
    reps,
    efforts,
    heartRates,
  }: { reps: readonly number[]; efforts: readonly number[]; heartRates?: readonly [number, number] },
): SessionEvent[] {
  const events: { atMs: number; body: EventBody }[] = [];
  let clockMs = session.startMs;
  const note = (waitMs: number, body: EventBody) => {
    clockMs += waitMs;
    events.push({ atMs: clockMs, body });
  };
  note(0, { type: 'session-started' });
  plan.exercises.forEach((exercise, exerciseIndex) => {
    const cuffs = cuffedLimbs(exercise);
    exercise.sets.forEach((planned, setIndex) => {
      const place = { exerciseIndex, setIndex };
      const settles = setIndex === 0 && exercise.mode !== 'preparation';
      if (setIndex === 0 || exercise.sets[setIndex - 1]?.release) {
        for (const target of cuffs) {
          const pressureMmHg = plannedMmHg(target, planned);
          note(settles ? 2 * NEXT_TOUCH_MS : 0, { type: 'cuff-inflated', limb: target.limb, pressureMmHg });
        }
      }
      if (settles) {
        for (const { limb, divisionMmHg, pressure } of cuffs) {
          const settledMmHg = pressure.value - divisionMmHg;
          note(2 * NEXT_TOUCH_MS, { type: 'pressure-read', limb, pressureMmHg: settledMmHg, cause: 'read' });
          note(NEXT_TOUCH_MS, { type: 'pressure-read', limb, pressureMmHg: pressure.value, cause: 'top-up' });
        }
      }
      const asked = pacedReps(planned.work);
      const done = asked === null ? 0 : (reps[setIndex] ?? 0);
      const isLast = setIndex === exercise.sets.length - 1;
      note(settles ? NEXT_TOUCH_MS : 0, { type: 'set-started', ...place });
      note(asked === null ? planned.lastsMs : setMs(done, exercise.tempo), {
        type: 'set-ended',
        ...place,
        reps: done,
        reason: done < (asked ?? 0) ? 'failure' : 'done',
      });
      if (heartRates) {
        const [atMinute5, atEnd] = heartRates;
        note(0, { type: 'heart-rate-noted', ...place, moment: 'minute-5', beatsPerMinute: atMinute5 });
        note(0, { type: 'heart-rate-noted', ...place, moment: 'end', beatsPerMinute: atEnd });
      }
      if (!isLast) note(0, { type: 'rest-started', ...place, restMs: planned.restMs });
      if (planned.release && !isLast) {
        for (const { limb } of cuffs) note(0, { type: 'cuff-released', limb });
      }
      const effort = efforts[setIndex];
      if (effort !== undefined) note(NEXT_TOUCH_MS, { type: 'set-noted', ...place, effort, jointPain: 1 });
      const sinceMs = effort === undefined ? 0 : NEXT_TOUCH_MS;
      if (!isLast) clockMs += Math.max(0, planned.restMs - sinceMs);
    });
    for (const { limb } of cuffs) note(2 * NEXT_TOUCH_MS, { type: 'cuff-released', limb });
    clockMs += 60_000;
  });
  note(0, { type: 'session-finished' });
  return stampedLog({ sessionId: session.id, deviceId: TABLET }, events, (seq) =>
    uuidFrom(`event ${seq}`, session.id),
  );
}

/** The answers to a review: nothing changes before the next version is signed. */
export const keptAsItIs = (
  sessionId: string,
  advices: readonly (Recommendation | undefined)[],
  atMs: number,
): SessionEvent[] =>
  advices.flatMap((advice, exerciseIndex) =>
    advice
      ? [
          stamped(
            {
              type: 'review-answered',
              exerciseIndex,
              rule: advice.rule,
              answer: 'edited',
              change: {},
              reason: 'Kept until the next version',
            },
            {
              id: uuidFrom(`answer ${exerciseIndex}`, sessionId),
              sessionId,
              deviceId: TABLET,
              seq: 2_000 + exerciseIndex,
              atMs,
            },
          ),
        ]
      : [],
  );

/** The answer of the day after: a little sore, and nothing else. */
export const dayAfterEvent = (sessionId: string, atMs: number): SessionEvent =>
  stamped(
    { type: 'followed-up', soreness: 2, bruising: 'none', pinpointBleeding: false, numbness: false },
    { id: uuidFrom('day after', sessionId), sessionId, deviceId: TABLET, seq: 1_000, atMs },
  );
