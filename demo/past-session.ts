import { v5 as uuidFrom } from 'uuid';
import { measuredLimbs, type Plan } from '#core/plan/plan';
import { setMs } from '#core/protocol/pace';
import { pacedReps } from '#core/protocol/set-work';
import type { Recommendation } from '#core/review/review';
import type { EventBody, SessionEvent } from '#core/session/events';

const NEXT_TOUCH_MS = 4_000;

/**
 * The log of a session that was run some time ago.
 * @param reps repetitions done in each set; fewer than planned means the set ended in failure
 * @param efforts effort 0–10 given after each set
 */
export function pastSessionLog(
  plan: Plan,
  session: { id: string; startMs: number },
  reps: readonly number[],
  efforts: readonly number[],
): SessionEvent[] {
  const bodies: [number, EventBody][] = [];
  let clockMs = session.startMs;
  const note = (waitMs: number, body: EventBody) => {
    clockMs += waitMs;
    bodies.push([clockMs, body]);
  };
  note(0, { type: 'session-started' });
  plan.exercises.forEach((exercise, exerciseIndex) => {
    const cuffs = measuredLimbs(exercise).map(({ limb, pressure, divisionMmHg }) => ({
      limb,
      pressureMmHg: pressure.value,
      divisionMmHg,
    }));
    for (const { divisionMmHg: _, ...cuff } of cuffs)
      note(2 * NEXT_TOUCH_MS, { type: 'cuff-inflated', ...cuff });
    for (const { divisionMmHg, ...cuff } of cuffs) {
      const settledMmHg = cuff.pressureMmHg - divisionMmHg;
      note(2 * NEXT_TOUCH_MS, { type: 'pressure-read', ...cuff, pressureMmHg: settledMmHg, cause: 'read' });
      note(NEXT_TOUCH_MS, { type: 'pressure-read', ...cuff, cause: 'top-up' });
    }
    exercise.sets.forEach((planned, setIndex) => {
      const place = { exerciseIndex, setIndex };
      const done = reps[setIndex] ?? 0;
      const isLast = setIndex === exercise.sets.length - 1;
      note(setIndex === 0 ? NEXT_TOUCH_MS : 0, { type: 'set-started', ...place });
      note(setMs(done, exercise.tempo), {
        type: 'set-ended',
        ...place,
        reps: done,
        reason: done < (pacedReps(planned.work) ?? 0) ? 'failure' : 'done',
      });
      if (!isLast) note(0, { type: 'rest-started', ...place, restMs: planned.restMs });
      note(NEXT_TOUCH_MS, { type: 'set-noted', ...place, effort: efforts[setIndex] ?? 0, jointPain: 1 });
      if (!isLast) clockMs += Math.max(0, planned.restMs - NEXT_TOUCH_MS);
    });
    for (const { limb } of cuffs) note(2 * NEXT_TOUCH_MS, { type: 'cuff-released', limb });
    clockMs += 60_000;
  });
  note(0, { type: 'session-finished' });
  return bodies.map(
    ([eventAtMs, body], seq) =>
      ({
        ...body,
        id: uuidFrom(`event ${seq}`, session.id),
        sessionId: session.id,
        deviceId: 'plinth-tablet',
        seq,
        atMs: eventAtMs,
      }) as SessionEvent,
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
          {
            type: 'review-answered' as const,
            exerciseIndex,
            rule: advice.rule,
            answer: 'edited' as const,
            change: {},
            reason: 'Kept until the next version',
            id: uuidFrom(`answer ${exerciseIndex}`, sessionId),
            sessionId,
            deviceId: 'plinth-tablet',
            seq: 2_000 + exerciseIndex,
            atMs,
          },
        ]
      : [],
  );

/** The answer of the day after: a little sore, and nothing else. */
export const dayAfterEvent = (sessionId: string, atMs: number): SessionEvent => ({
  type: 'followed-up',
  soreness: 2,
  bruising: 'none',
  pinpointBleeding: false,
  numbness: false,
  id: uuidFrom('day after', sessionId),
  sessionId,
  deviceId: 'plinth-tablet',
  seq: 1_000,
  atMs,
});
