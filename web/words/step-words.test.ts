import { describe, expect, it } from 'vitest';
import { composeSession } from '#core/plan';
import { testBasis, testExercise, testPlan, testSession } from '#core/plan/plan.fixture';
import { pacedReps } from '#core/protocol';
import { type EventBody, inHand, nextStep } from '#core/session';
import { foldAll as fold, logOf, START_MS, WHOLE_SESSION } from '#core/session/session.fixture';
import { promptWords, stepWords, thenWords } from './step-words';

const { plan } = testPlan();
const two = composeSession(
  { ...testSession(), exercises: [testExercise(), testExercise()] },
  testBasis(),
).plan;
const STRAPPED = {
  limb: 'left-thigh',
  atMs: 0,
  strapId: 'strap',
  strapLabel: 'Marked strap',
  mark: 6,
  felt: 7,
} as const;
type Entry = readonly [number, EventBody];
const begun: Entry[] = [[0, { type: 'session-started' }]];
const up: Entry[] = [...begun, [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }]];

const at = (over: typeof plan, seconds: number, log: Entry[]) => {
  const state = fold(over, logOf(log));
  const nowMs = START_MS + seconds * 1000;
  const step = nextStep(over, state, nowMs);
  return {
    ...stepWords(over, step, inHand(over, state)?.limbs),
    prompt: promptWords(over, step, state, nowMs),
    after: thenWords(over, state),
  };
};

describe('what the bench says', () => {
  it('prompts the hands for a strap in its own way, and holds it as it opens', () => {
    const log: Entry[] = [
      ...begun,
      [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: null }],
      [9, { type: 'stopped', why: 'Dizzy' }],
    ];
    const strapped = composeSession(
      {
        ...testSession(),
        exercises: [testExercise({}, { limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }] })],
      },
      testBasis({ occlusions: [], tightness: [STRAPPED] }),
    ).plan;
    expect(at(strapped, 1, begun)).toMatchObject({
      now: 'Tighten left thigh to mark 6',
      prompt: expect.stringContaining('never further'),
    });
    expect(at(strapped, 10, log)).toMatchObject({
      action: 'Released',
      prompt: expect.stringContaining('springs back'),
    });
  });

  it('has what the sitting holds before and after the work done on its side', () => {
    const tested = {
      ...plan,
      sitting: [
        { when: 'before' as const, what: 'provoking-test' as const, words: 'a step down' },
        { when: 'after' as const, what: 'provoking-test' as const, words: 'a step down' },
      ],
    };
    const noted: EventBody = {
      type: 'adjunct-noted',
      what: 'provoking-test',
      words: 'a step down',
      painOfTen: 4,
    };
    const before = at(tested, 1, begun).prompt;
    expect(before).toMatch(/^First the provoking test: a step down\. Cuff high/);
    expect(at(tested, 3, [...begun, [2, noted]]).prompt).toMatch(/^Cuff high/);

    const done = [...begun, [2, noted] as const, ...WHOLE_SESSION.slice(1, -1)];
    expect(at(tested, 280, done).prompt).toMatch(/Then the provoking test: a step down\.$/);
    expect(at(tested, 290, [...done, [285, { ...noted, painOfTen: 2 }]]).prompt ?? '').not.toMatch(
      /provoking/,
    );
    const stopped: Entry[] = [
      ...up,
      [20, { type: 'stopped', why: 'Dizzy' }],
      [25, { type: 'cuff-released', limb: 'left-thigh' }],
    ];
    expect(at(tested, 30, stopped).prompt ?? '').not.toMatch(/provoking/);
  });

  it('names the pressure to inflate to, and prompts the hands the first time', () => {
    expect(at(plan, 1, begun)).toMatchObject({
      now: 'Inflate left thigh to 104 mmHg',
      action: 'Inflated',
      prompt: expect.stringContaining('FIT-4'),
    });
  });

  it('names the set, and the exercise too where there are several', () => {
    expect(at(plan, 20, up)).toMatchObject({ now: 'Next: set 1', action: 'Start set 1' });
    expect(at(two, 20, up).now).toBe('Next: Knee extension, set 1');
  });

  it('says what comes then: the rest and the set after it, or the cuff coming down', () => {
    const inSet: Entry[] = [...up, [20, { type: 'set-started', exerciseIndex: 0, setIndex: 0 }]];
    expect(at(plan, 30, inSet).after).toBe('Then rest 0:30, and set 2, 15 repetitions.');
    const resting: Entry[] = [
      ...inSet,
      [80, { type: 'set-ended', exerciseIndex: 0, setIndex: 0, reps: 30, reason: 'done' }],
      [80, { type: 'rest-started', exerciseIndex: 0, setIndex: 0, restMs: 30_000 }],
    ];
    expect(at(plan, 90, resting).after).toBe('Then set 2, 15 repetitions.');
    expect(at(plan, 1, begun).after).toBeNull();
  });

  it('asks for the release at the limit and after a stop before anything else', () => {
    expect(at(plan, 1300, up)).toMatchObject({ now: expect.stringContaining('Deflate now'), urgent: true });
    expect(at(plan, 30, [...up, [20, { type: 'stopped', why: 'Dizzy' }]])).toMatchObject({
      now: 'Release now',
      urgent: true,
    });
  });

  it('primes in words of its own', () => {
    const primed = composeSession(
      { ...testSession(), exercises: [{ ...testExercise(), primed: true }] },
      testBasis(),
    ).plan;
    expect(at(primed, 1, begun).now).toBe('Prime left thigh to 62 mmHg');
    const first: Entry[] = [...begun, [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 62 }]];
    expect(at(primed, 10, first)).toMatchObject({ now: 'Priming: keep it up for 30 s', action: null });
    expect(at(primed, 36, first).now).toBe('Priming: let the cuff down');
  });

  it('counts the walk down after the last release', () => {
    const done: Entry[] = [...up];
    plan.exercises[0]?.sets.forEach(({ work }, setIndex) => {
      const reps = pacedReps(work) ?? 0;
      const place = { exerciseIndex: 0, setIndex };
      done.push([100 + 100 * setIndex, { type: 'set-started', ...place }]);
      done.push([150 + 100 * setIndex, { type: 'set-ended', ...place, reps, reason: 'done' }]);
    });
    expect(at(plan, 460, done)).toMatchObject({
      now: 'All sets done: deflate slowly',
      prompt: expect.stringContaining('slowly'),
    });
    const down: Entry[] = [...done, [470, { type: 'cuff-released', limb: 'left-thigh' }]];
    expect(at(plan, 480, down).prompt).toBe('Walk: 0:50 left of a minute.');
    expect(at(plan, 540, down).prompt).toBeNull();
  });
});
