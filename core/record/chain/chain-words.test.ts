import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { ExerciseChoice } from '../../plan/choices';
import { composeSession } from '../../plan/compose';
import { testBasis, testExercise, testSession } from '../../plan/plan.fixture';
import type { ClientFacts } from '../facts';
import { type Hold, holdsInForce, whyNotLift } from '../holds';
import {
  daysAgo,
  NOW_MS,
  strangerFacts,
  testFacts,
  testKitInUse,
  testPrescription,
  testSessionFact,
} from '../record.fixture';
import { toMeasure } from '../to-measure';
import { chainOf } from './chain';

const spoken = (facts: ClientFacts) =>
  chainOf(facts, testKitInUse, NOW_MS).map(
    ({ id, state, figure, reason, rules }) =>
      `${id} ${state}: ${inEnglish(figure)}. ${inEnglish(reason)} (${rules.join()})`,
  );
const planned = (...exercises: ExerciseChoice[]) => [
  testPrescription({ plan: composeSession({ ...testSession(), exercises }, testBasis()).plan }),
];
const bodyWeight = testExercise({}, { load: { kind: 'unweighed', with: 'body weight' } });

describe('the chain in words', () => {
  it('says of a ready person what holds, how old it is, and by which rules', () => {
    expect(spoken(testFacts())).toEqual([
      'screen good: clear to start. Clear to start, screening 20 days old. (SCR-1,SCR-2)',
      'fit good: 54 cm. Left thigh: 54 cm, L thigh, 12 days old. (FIT-1,FIT-2)',
      'measure good: 174 ± 5 mmHg. Left thigh, sitting: 174 ± 5 mmHg, 3 trials, 12 days old. (LOP-3,LOP-6)',
      'load good: 40 kg. Knee extension, left: 1RM 40 kg, 10 days old. (LOAD-1,LOAD-2)',
      'prescribe good: 104 mmHg. Knee extension: 104 mmHg, 10 kg, Standard 75, signed 1 day ago. (PRS-1,LOAD-3)',
      'run good: 10 done. 10 sessions, the last 5 days ago. (RUN-5)',
    ]);
  });

  it('says of a stranger what is missing', () => {
    expect(spoken(strangerFacts)).toEqual([
      'screen missing: not screened. No screening on record. (SCR-1,SCR-2)',
      'fit missing: no girth. No limb has a girth and a cuff yet. (FIT-1,FIT-2)',
      'measure missing: no LOP. No occlusion pressure measured yet. (LOP-3,LOP-6)',
      'load missing: no 1RM. No strength test on record. (LOAD-1,LOAD-2)',
      'prescribe missing: no plan. Nothing prescribed yet. (PRS-1,LOAD-3)',
      'run missing: not run. No session yet. (RUN-5)',
    ]);
  });

  it('speaks of a plan of several exercises by its first, and of work without kilograms as that', () => {
    const two = spoken(
      testFacts({
        prescriptions: planned(bodyWeight, testExercise({ percentLop: 50 })),
        sessions: [testSessionFact(3, { finishedAtMs: null })],
      }),
    );
    expect(two.slice(3)).toEqual([
      'load good: 40 kg. Knee extension, left: 1RM 40 kg, 10 days old. (LOAD-1,LOAD-2)',
      'prescribe good: 68 mmHg. Knee extension: 68 mmHg, body weight, Standard 75, and 1 more, signed 1 day ago. (PRS-1,LOAD-3)',
      'run due: open. A session is open: finish it. (RUN-5)',
    ]);
    const one = spoken(testFacts({ prescriptions: planned(bodyWeight), sessions: [testSessionFact(3)] }));
    expect([one[3], one[5]]).toEqual([
      'load good: body weight. Work without kilograms. (LOAD-1,LOAD-2)',
      'run good: 1 done. 1 session, the last 3 days ago. (RUN-5)',
    ]);
  });

  it('takes the worst of all limbs that the plan uses', () => {
    const both = testFacts({
      prescriptions: planned(testExercise(), testExercise({ limb: 'right-thigh' }), testExercise()),
    });
    const [, fit, measure] = spoken(both);
    expect(fit).toMatch(/^fit missing: no girth\. Right thigh/);
    expect(measure).toMatch(/^measure missing: no LOP/);
    expect(englishOf(toMeasure({ ...both, occlusions: [] }, NOW_MS))).toEqual([
      { limb: 'left-thigh', position: 'sitting', why: 'none yet' },
    ]);
  });
});

describe('how a hold ends (SCR-5, RUN-3)', () => {
  const hold = (ends: Hold['ends'], changes: Partial<Hold> = {}): Hold => ({
    id: 'h',
    cause: 'sign x',
    words: 'Numb or tingling',
    rule: 'RUN-3',
    atMs: daysAgo(2),
    limb: 'left-thigh',
    subject: null,
    ends,
    lifted: null,
    ...changes,
  });
  const held = (holds: Hold[], sessions: { id: string; reviewed: boolean }[] = []) =>
    holdsInForce(
      { holds, clearances: [], screenings: [], dayChecks: [], stricter: [], sessions },
      NOW_MS,
    ).map(({ id }) => id);

  it('by the review of its own session, and not before the next day', () => {
    const byReview = (notBeforeMs: number) => [hold({ by: 'review', sessionId: 'a', notBeforeMs })];
    const answered = [
      { id: 'b', reviewed: true },
      { id: 'a', reviewed: true },
    ];
    expect(held(byReview(NOW_MS), answered)).toEqual([]);
    expect(held(byReview(NOW_MS + 1), answered)).toEqual(['h']);
    expect(held(byReview(NOW_MS), [{ id: 'a', reviewed: false }])).toEqual(['h']);
    expect(held(byReview(NOW_MS), [{ id: 'b', reviewed: true }])).toEqual(['h']);
  });

  it('by time, at its moment', () => {
    expect(held([hold({ by: 'time', atMs: NOW_MS })])).toEqual([]);
    expect(held([hold({ by: 'time', atMs: NOW_MS + 1 })])).toEqual(['h']);
  });

  it('counts from the moment it is known, newest first', () => {
    const clinician = { by: 'clinician', notBeforeMs: 0 } as const;
    const now = hold(clinician, { id: 'now', atMs: NOW_MS });
    const older = hold(clinician, { id: 'older', atMs: daysAgo(5) });
    expect(held([older, hold(clinician), now, hold(clinician, { id: 'later', atMs: NOW_MS + 1 })])).toEqual([
      'now',
      'h',
      'older',
    ]);
  });

  it('is lifted by a clinician from the next day on; what ends by time at any time', () => {
    const until = hold({ by: 'clinician', notBeforeMs: NOW_MS });
    expect(englishOf(whyNotLift(until, NOW_MS - 1))).toBe(
      'Numb or tingling: no restart that day, so it is not lifted before the next (RUN-3).',
    );
    expect(whyNotLift(until, NOW_MS)).toBeNull();
    expect(whyNotLift(hold({ by: 'time', atMs: NOW_MS + 9 }), NOW_MS)).toBeNull();
  });
});
