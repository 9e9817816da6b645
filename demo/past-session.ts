import { v5 as uuidFrom } from 'uuid';
import type { Plan } from '#core/plan/plan';
import { setMs } from '#core/protocol/pace';
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
  const [exercise] = plan.exercises;
  const [target] = exercise?.limbs ?? [];
  if (!exercise || !target) throw new Error('The plan has nothing to run.');
  const cuff = { limb: target.limb, pressureMmHg: target.pressure.value };
  let clockMs = session.startMs;
  const note = (waitMs: number, body: EventBody) => {
    clockMs += waitMs;
    bodies.push([clockMs, body]);
  };
  note(0, { type: 'session-started' });
  note(2 * NEXT_TOUCH_MS, { type: 'cuff-inflated', ...cuff });
  const settledMmHg = cuff.pressureMmHg - plan.gaugeDivisionMmHg;
  note(3 * NEXT_TOUCH_MS, { type: 'pressure-read', ...cuff, pressureMmHg: settledMmHg, cause: 'read' });
  note(NEXT_TOUCH_MS, { type: 'pressure-read', ...cuff, cause: 'top-up' });
  exercise.sets.forEach((planned, setIndex) => {
    const place = { exerciseIndex: 0, setIndex };
    const done = reps[setIndex] ?? 0;
    const restMs = setIndex === exercise.sets.length - 1 ? 0 : planned.restMs;
    note(setIndex === 0 ? NEXT_TOUCH_MS : 0, { type: 'set-started', ...place });
    note(setMs(done, exercise.tempo), {
      type: 'set-ended',
      ...place,
      reps: done,
      reason: done < planned.reps ? 'failure' : 'done',
    });
    if (restMs > 0) note(0, { type: 'rest-started', ...place, restMs });
    note(NEXT_TOUCH_MS, { type: 'set-noted', ...place, effort: efforts[setIndex] ?? 0, jointPain: 1 });
    clockMs += Math.max(0, restMs - NEXT_TOUCH_MS);
  });
  note(3 * NEXT_TOUCH_MS, { type: 'cuff-released', limb: target.limb });
  note(60_000, { type: 'session-finished' });
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
