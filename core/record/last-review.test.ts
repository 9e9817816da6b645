import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testKit, testPlan } from '../plan/plan.fixture';
import type { EventBody } from '../session/events';
import { foldAll, logOf, WHOLE_SESSION } from '../session/session.fixture';
import type { ClientFacts } from './facts';
import { lastReview, sessionsToReview } from './last-review';
import type { PastSession } from './past-session';
import { daysAgo, NOW_MS, testBlock, testFacts, testPrescription, testSessionFact } from './record.fixture';

const { plan } = testPlan();
type Entry = readonly [number, EventBody];
const done = (
  startedDaysAgo: number,
  more: readonly Entry[] = [],
  changes: Partial<PastSession['fact']> = {},
): PastSession => ({
  plan,
  state: foldAll(plan, logOf([...WHOLE_SESSION, ...more])),
  painBefore: 1,
  fact: testSessionFact(startedDaysAgo, changes),
});
const answered = (answer: 'accepted' | 'edited' | 'declined', reason = ''): Entry => [
  310,
  {
    type: 'review-answered',
    exerciseIndex: 0,
    rule: 'REV-5',
    answer,
    change: { pressurePoints: 5, loadSteps: 0 },
    reason,
  },
];

describe('which logs a review asks for', () => {
  const ids = (facts: ClientFacts, prescribed = facts.prescriptions[0]) =>
    sessionsToReview(facts, prescribed, NOW_MS).map(({ id }) => id);

  it('are those of the last week, the newest six, and the last two of the plan, newest first', () => {
    const facts = testFacts({
      sessions: [1, 2, 3, 4, 5, 6, 6.5, 8]
        .map((days) => testSessionFact(days, { coursePlanId: 'arms' }))
        .concat([20, 30, 40].map((days) => testSessionFact(days))),
    });
    expect(ids(facts)).toEqual([1, 2, 3, 4, 5, 6, 6.5, 20, 30].map((days) => `session ${days}`));
    expect(sessionsToReview(facts, undefined, NOW_MS)).toHaveLength(7);
  });

  it('go back to the first moment of the block by the practice’s clock, and leave out what is not finished', () => {
    const sessions = [1, 5, 9, 14, 15, 15.9, 16.4, 17].map((days) =>
      testSessionFact(days, { coursePlanId: 'arms' }),
    );
    // NOW is 08:00 of a day: 15.9 days ago lies on day −16 by UTC, and 16.4 on day −17.
    const of = (zoneOffsetMs: number) =>
      ids(testFacts({ sessions, blocks: [testBlock(16)], zoneOffsetMs })).at(-1);
    expect(of(0)).toBe('session 15.9');
    expect(of(10 * 3_600_000)).toBe('session 16.4');
    const open = testFacts({ sessions: [testSessionFact(1, { finishedAtMs: null }), testSessionFact(2)] });
    expect(ids(open)).toEqual(['session 2']);
  });
});

describe('what the last session says of the next', () => {
  const facts = testFacts({ blocks: [testBlock(20)] });
  const review = (past: PastSession[], of = facts, prescribed = of.prescriptions[0]) =>
    lastReview(past, of, prescribed, [testKit], NOW_MS);

  it('is its advice in words while not answered', () => {
    const { changes, words } = review([done(2)]);
    // 13 in the last set of 15, 73 of 75: on target, hold.
    expect(changes).toEqual([{}]);
    expect(words).toHaveLength(1);
    expect(englishOf(words[0])).toMatch(/^Knee extension: hold\. .+ \(REV-5\)$/);
  });

  it('is the answer, with its reason, and no change where it was declined', () => {
    const accepted = review([done(2, [answered('accepted')])]);
    expect(accepted.changes).toEqual([{ pressurePoints: 5 }]);
    expect(englishOf(accepted.words[0])).toMatch(/\(REV-5\) Accepted\.$/);
    expect(englishOf(review([done(2, [answered('edited', 'As we agreed.')])]).words[0])).toMatch(
      / Edited: As we agreed\.$/,
    );
    const declined = review([done(2, [answered('declined', 'Another week')])]);
    expect(declined.changes).toEqual([{}]);
    expect(englishOf(declined.words[0])).toMatch(/: hold\. .* Declined: Another week\.$/);
  });

  it('is of this plan’s newest session, and of none once a version was signed after it', () => {
    const arms = { coursePlanId: 'arms', prescriptionId: 'rx-arms' };
    const both = [done(1, [answered('accepted')], arms), done(2)];
    expect(review(both).changes).toEqual([{}]);
    const later = testPrescription({ id: 'rx-2', versions: ['rx-2'] });
    expect(englishOf(review([done(2)], facts, later))).toMatchObject({ changes: [], words: [] });
    expect(
      review([done(2)], facts, testPrescription({ id: 'rx-2', versions: ['rx', 'rx-2'] })).words,
    ).toHaveLength(1);
    expect(lastReview([done(2)], facts, undefined, [], NOW_MS).words).toEqual([]);
  });

  it('says what was never begun', () => {
    const nothing = {
      ...done(2),
      state: foldAll(
        plan,
        logOf([
          [0, { type: 'session-started' }],
          [9, { type: 'session-finished' }],
        ]),
      ),
    };
    expect(englishOf(review([nothing]).words)).toEqual([
      'Knee extension: not begun last time, so as it was.',
    ]);
    expect(review([nothing]).changes).toEqual([{}]);
  });

  it('adds up the week and the block, and learns from six', () => {
    const past = [1, 2, 6, 8, 12, 15, 19].map((days) => done(days));
    const { given, seen } = review(past);
    expect([given.week.sessions, given.block.sessions]).toEqual([3, 7]);
    expect(given.week.limbs).toMatchObject([{ limb: 'left-thigh', totalOcclusionMs: 3 * 270_000 }]);
    expect(seen).toHaveLength(6);
    expect(seen[0]).toHaveLength(4);
    expect(given.tissue).toMatchObject([{ muscle: 'quadriceps', sets: 12, days: 3, heavySets: 0 }]);
    // Without a block it is the week's.
    expect(review(past, testFacts()).given.block.sessions).toBe(3);
    const heavy = (days: number) => ({
      id: `${days}`,
      atMs: daysAgo(days),
      exerciseId: 'knee-extension',
      side: 'both' as const,
      sets: 4,
      reps: 5,
      loadKg: 60,
      effort: 8,
      pain: null,
    });
    const worked = review([], testFacts({ heavyWork: [heavy(3), heavy(7), heavy(7.5)] })).given.tissue;
    expect(worked.map(({ limb, heavySets }) => [limb, heavySets])).toEqual([
      ['left-thigh', 8],
      ['right-thigh', 8],
    ]);
  });
});
