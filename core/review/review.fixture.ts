import { type TestChoices, testKit, testPlan } from '../plan/plan.fixture';
import type { EventBody } from '../session/events';
import { foldAll as fold, logOf } from '../session/session.fixture';
import type { ReviewContext } from './review';
import type { Reviewed } from './reviewed';

/**
 * A session with these repetitions, effort after the last set, and joint pain, under a plan changed by `choices`, with rests in
 * s, and a pressure in mmHg where one was held.
 */
export function session(
  reps: number[],
  {
    effort = 7,
    pain = 1,
    signs = [] as EventBody[],
    choices = {} as TestChoices,
    restS = 40,
    heldMmHg = 0,
    signsAtS = 900,
  } = {},
): Reviewed {
  const { plan } = testPlan(choices);
  const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
  reps.forEach((done, setIndex) => {
    const place = { exerciseIndex: 0, setIndex };
    const atSeconds = 10 + (60 + restS) * setIndex;
    entries.push([atSeconds, { type: 'set-started', ...place }]);
    entries.push([atSeconds + 60, { type: 'set-ended', ...place, reps: done, reason: 'done' }]);
    entries.push([atSeconds + 62, { type: 'set-noted', ...place, effort, jointPain: pain }]);
  });
  if (heldMmHg > 0) entries.push([5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: heldMmHg }]);
  for (const sign of signs) entries.push([signsAtS, sign]);
  return { plan, state: fold(plan, logOf(entries)) };
}
/** Nothing bounds the next session, and pain before was 1 of 10. */
export const CONTEXT: ReviewContext & { before: Reviewed | null } = {
  painBefore: 1,
  before: null,
  capPercentLop: null,
  rampPercentLop: null,
  kits: [testKit],
  heavyWork: [],
};

/** Everything a standard 75 asks for. */
export const ALL = [30, 15, 15, 15];
