import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import type { ExerciseChoice } from '../../plan/choices';
import { composeSession } from '../../plan/compose';
import { testBasis, testExercise, testOcclusion, testSession } from '../../plan/plan.fixture';
import type { ClientFacts } from '../facts';
import { type Hold, holdsOfDayCheck } from '../holds';
import {
  daysAgo,
  NOW_MS,
  testFacts,
  testKitInUse,
  testPrescription,
  testScreening,
  testSessionFact,
} from '../record.fixture';
import { chainOf } from './chain';

const link = (facts: ClientFacts, id: string) => {
  const found = chainOf(facts, testKitInUse, NOW_MS).find((one) => one.id === id);
  return found
    ? `${found.state}: ${inEnglish(found.figure)}. ${inEnglish(found.reason)} (${found.rules.join()})`
    : expect.unreachable();
};
const planned = (...exercises: ExerciseChoice[]) => [
  testPrescription({ plan: composeSession({ ...testSession(), exercises }, testBasis()).plan }),
];
const hold = (changes: Partial<Hold> = {}): Hold => ({
  id: 'hold',
  cause: 'sign x',
  words: 'Dizzy in the last session',
  rule: 'RUN-3',
  atMs: daysAgo(0.4),
  limb: null,
  subject: null,
  ends: { by: 'clinician', notBeforeMs: daysAgo(-0.6) },
  lifted: null,
  ...changes,
});
const felt = {
  limb: 'left-thigh' as const,
  atMs: daysAgo(2),
  strapId: 'strap',
  strapLabel: 'Marked strap',
  mark: 6,
  felt: 7,
};
const strapped: Partial<ClientFacts> = {
  fits: [
    {
      kind: 'strap',
      limb: 'left-thigh',
      atMs: daysAgo(3),
      girthCm: 54,
      strapId: 'strap',
      label: 'Marked strap',
      widthCm: 7,
    },
  ],
};

describe('what is in the way, in words (START-2)', () => {
  it('is a hold, with who ends it, of the person or of a limb of the plan', () => {
    const screen = (holds: Hold[], more: Partial<ClientFacts> = {}) =>
      link(testFacts({ holds, ...more }), 'screen');
    expect(screen([hold()])).toBe(
      'held: on hold. Dizzy in the last session: until a clinician lifts it, with a reason, or screens again. (RUN-3,SCR-5)',
    );
    expect(screen([hold({ ends: { by: 'time', atMs: daysAgo(-0.5) } })])).toBe(
      'held: not today. Dizzy in the last session: not today. (RUN-3,SCR-5)',
    );
    expect(screen([hold({ limb: 'left-thigh' })])).toContain('held: on hold');
    expect(screen([hold({ limb: 'right-arm' })])).toMatch(/^good: clear to start/);
    const stopped = testScreening({ yes: ['thrombosis'] });
    expect(screen([hold()], { screenings: [stopped] })).toMatch(/^held: do not start\. Dizzy/);
  });

  it('is what a screening needs cleared, and what no longer holds', () => {
    const asks = testScreening({ yes: ['diabetes', 'varicose-veins'] });
    const cleared = {
      subjects: ['diabetes' as const],
      givenBy: 'Dr Test',
      byPhysician: true,
      givenAtMs: daysAgo(3),
      untilMs: daysAgo(-30),
      maxPercentLop: null,
      limbs: [],
      modes: [],
      highestRung: null,
      ranges: [],
      note: '',
    };
    const reason = link(testFacts({ screenings: [asks], clearances: [cleared] }), 'screen');
    expect(reason).toMatch(/^held: needs clearance\. Needs clearance: .*varicose/i);
    expect(reason).not.toMatch(/diabetes/i);
    expect(link(testFacts({ screenings: [testScreening({ atMs: daysAgo(85) })] }), 'screen')).toBe(
      'due: screen again. Screening is 85 days old; it holds 12 weeks. (SCR-1,SCR-2)',
    );
  });

  it('is a pressure that is missing where the plan needs it, of one trial, or unsteady', () => {
    const measure = (occlusions: ClientFacts['occlusions']) => link(testFacts({ occlusions }), 'measure');
    expect(measure([])).toBe(
      'missing: no LOP. No occlusion pressure measured on the left thigh, sitting or more reclined. (LOP-3,LOP-6)',
    );
    expect(measure([testOcclusion({ atMs: daysAgo(1), trialsUsed: 1, steady: false })])).toBe(
      'good: 174 ± 5 mmHg. Left thigh, sitting: 174 ± 5 mmHg, 1 trial, 1 day old, unsteady. (LOP-3,LOP-6)',
    );
    const checked = testOcclusion({
      atMs: daysAgo(12),
      quickChecks: [{ atMs: daysAgo(2), goneMmHg: 176 }],
    });
    expect(measure([checked])).toContain('2 trials, confirmed 2 days ago');
  });

  it('is a strap that was never tightened; one that is prescribed by feel may be run', () => {
    expect(link(testFacts(strapped), 'measure')).toBe(
      'missing: not felt. The strap has not been tightened by feel yet. (TIGHT,FIT-5)',
    );
    const other = { ...felt, limb: 'right-thigh' as const, atMs: daysAgo(1), mark: 9 };
    const tightened = { ...strapped, tightness: [felt, other] };
    const words =
      'felt 7 of 10. Left thigh: Marked strap at mark 6, 2 days ago. By feel only: a measured cuff is better. (TIGHT,FIT-5)';
    expect(link(testFacts(tightened), 'measure')).toBe(`due: ${words}`);
    const byFeel = testExercise(
      {},
      {
        load: { kind: 'unweighed', with: 'body weight' },
        limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }],
      },
    );
    const { plan } = composeSession(
      { ...testSession(), exercises: [byFeel] },
      testBasis({ tightness: [felt] }),
    );
    expect(link(testFacts({ ...tightened, prescriptions: [testPrescription({ plan })] }), 'measure')).toBe(
      `good: ${words}`,
    );
    // Of another limb it does not count for this one.
    expect(link(testFacts({ ...strapped, tightness: [other] }), 'measure')).toMatch(/^missing: not felt/);
  });

  it('is a test that is too old, with how long one holds', () => {
    const facts = testFacts();
    const old = facts.strengthTests.map((test) => ({ ...test, atMs: daysAgo(43) }));
    expect(link(testFacts({ strengthTests: old }), 'load')).toBe(
      'due: 40 kg. Knee extension, left: 1RM 40 kg, 43 days old; it holds 6 weeks. (LOAD-1,LOAD-2)',
    );
  });

  it('is a review that waits: for an answer, or for the version the answer makes', () => {
    const session = (changes: object) => testFacts({ sessions: [testSessionFact(2, changes)] });
    expect(link(session({ reviewed: false }), 'prescribe')).toBe(
      'due: review. Answer the review of the session 2 days ago: accept, edit or decline. (REV-10)',
    );
    const changed = link(session({ reviewed: true, answered: [{ pressurePoints: -10 }] }), 'prescribe');
    expect(changed).toMatch(
      /^due: review\. The answered review of the session 2 days ago changes the plan, and that is not signed\. Knee extension: pressure 60 → 40 % of LOP, 104 → 68 mmHg\. \(REV-10\)$/,
    );
  });

  it('is what the rules say of the plan now, with the rule', () => {
    const capped = testFacts({
      clearances: [
        {
          subjects: ['diabetes'],
          givenBy: 'Dr Test',
          byPhysician: true,
          givenAtMs: daysAgo(1),
          untilMs: daysAgo(-30),
          maxPercentLop: 50,
          limbs: [],
          modes: [],
          highestRung: null,
          ranges: [],
          note: '',
        },
      ],
    });
    // A cap binds, and the plan goes on under it (rule CRS-4): 50 % of 174 is 86 mmHg.
    expect(link(capped, 'prescribe')).toMatch(/^good: 86 mmHg\. Knee extension: 86 mmHg, /);
    const onlyPassive = capped.clearances.map((one) => ({ ...one, modes: ['passive' as const] }));
    expect(link({ ...capped, clearances: onlyPassive }, 'prescribe')).toMatch(
      /^due: 86 mmHg\. .*\(SCR-2,START-1\)$/,
    );
  });

  it('is a session to ask about, and speaks of the last one', () => {
    const two = [testSessionFact(9), testSessionFact(2, { followUp: null })];
    expect(link(testFacts({ sessions: two }), 'run')).toBe(
      'due: ask. Ask how the session 2 days ago was: soreness, bruising, numbness. (RUN-6)',
    );
    const order = [testSessionFact(3), testSessionFact(9)];
    expect(link(testFacts({ sessions: order }), 'run')).toContain('2 sessions, the last 3 days ago');
    expect(link(testFacts({ sessions: [...order].reverse() }), 'run')).toContain('the last 3 days ago');
  });

  it('asks once for a limb that several exercises use', () => {
    const twice = testFacts({ prescriptions: planned(testExercise(), testExercise()), fits: [] });
    expect(link(twice, 'fit')).toMatch(/^missing: no girth\. Left thigh/);
  });
});

describe('a screening that is asked again before its time', () => {
  it('is when something in health is new, whatever a later check says, until it was asked again (SCR-3)', () => {
    const answers = { notWell: ['same' as const], painNow: 0, bloodPressure: null };
    const holds = holdsOfDayCheck('check', answers, [], daysAgo(3)).map((one) => hold(one));
    const well = { atMs: daysAgo(0.1), notWell: [], painNow: 0, bloodPressure: null };
    expect(link(testFacts({ holds, dayChecks: [well] }), 'screen')).toBe(
      'held: screen again. Something in health is new since last time: until a clinician screens again, or lifts it with a reason. (SCR-3,SCR-5)',
    );
    const since = testFacts({ holds, screenings: [testScreening({ atMs: daysAgo(2) })] });
    expect(link(since, 'screen')).toContain('good');
  });

  it('is when questions were added since (SCR-1)', () => {
    const old = testFacts({ screenings: [testScreening({ version: 2 })] });
    expect(link(old, 'screen')).toContain('due: screen again. Questions were added since');
  });
});
