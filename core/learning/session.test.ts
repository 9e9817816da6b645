import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { SIGNS } from '../session/signs';
import { heldMmHg, makeSessionCase, type SessionCase } from './session-case';
import {
  BY_MMHG,
  cuffOn,
  doInSession,
  newSessionRun,
  playSession,
  SESSION_ACTIONS,
  type SessionAction,
  type SessionRun,
  STEP_MS,
  stepSession,
  type TimedAction,
  whatIsKnown,
} from './session-run';
import { scoreSession } from './session-score';

const CASES = Array.from({ length: 400 }, (_, seed) => makeSessionCase(seed));
const isEnding = ({ id }: { id: keyof typeof SIGNS }) => SIGNS[id].level !== 'expected';

type Habits = {
  holdMmHg: (session: SessionCase) => number;
  stopsAtSigns: boolean;
  restMs: number;
  endsBroken: boolean;
};
const GOOD: Habits = {
  holdMmHg: heldMmHg,
  stopsAtSigns: true,
  restMs: 30_000,
  endsBroken: true,
};

/** An operator who runs a session by habit, looking once a step. */
function runBy(session: SessionCase, habits: Habits): { actions: TimedAction[]; run: SessionRun } {
  const actions: TimedAction[] = [];
  let run = newSessionRun;
  const act = (action: SessionAction) => {
    actions.push({ atMs: run.atMs, do: action });
    run = doInSession(run, action);
  };
  const holdMmHg = habits.holdMmHg(session);
  while (run.atMs < 900_000) {
    if (habits.stopsAtSigns && run.signs.some(isEnding)) {
      act('release');
      break;
    }
    while (run.pump.pressureMmHg <= holdMmHg - 5) act('squeeze');
    while (run.pump.pressureMmHg > holdMmHg) act('bleed');
    const planned = session.plannedReps[run.done.length];
    if (planned === undefined) {
      act('release');
      break;
    }
    if (!run.set && (run.done.length === 0 || run.restedMs >= habits.restMs)) act('begin-set');
    else if (run.set && (run.set.reps >= planned || (habits.endsBroken && run.set.brokenReps > 0)))
      act('end-set');
    run = stepSession(session, run);
  }
  for (let after = 0; after < 5_000; after += STEP_MS) run = stepSession(session, run);
  return { actions, run };
}

describe('a simulated session', () => {
  it('is the same for its seed, capped in half of the cases, and has a sign to stop in three of four', () => {
    expect(makeSessionCase(3)).toEqual(CASES[3]);
    const share = (are: (one: SessionCase) => boolean) => CASES.filter(are).length / CASES.length;
    expect(share((one) => one.capMmHg < one.targetMmHg)).toBeCloseTo(0.5, 1);
    expect(share(({ signs }) => signs.some(isEnding))).toBeCloseTo(0.75, 1);
    for (const one of CASES) {
      expect(heldMmHg(one)).toBeLessThanOrEqual(one.capMmHg);
      expect(one.targetMmHg).toBeLessThan(0.8 * one.occlusionMmHg);
      expect(one.signs[0] && isEnding(one.signs[0])).toBe(false);
    }
  });

  it('gives at least 94 to who holds the pressure, keeps the rests, ends broken sets and stops at a sign', () => {
    for (const session of CASES.slice(0, 60)) {
      const { run } = runBy(session, GOOD);
      const { points, lost } = scoreSession(session, run);
      expect(points, JSON.stringify(lost)).toBeGreaterThanOrEqual(94);
      expect(cuffOn(run)).toBe(false);
    }
  });

  it('is scored the same from what was done alone', () => {
    for (const session of CASES.slice(0, 20)) {
      const { run, actions } = runBy(session, GOOD);
      expect(playSession(session, actions, run.atMs)).toEqual(run);
    }
  });

  it.each<[string, Partial<Habits>, (one: SessionCase) => boolean, RegExp]>([
    [
      'the limit',
      { holdMmHg: ({ targetMmHg }) => targetMmHg },
      (one) => one.capMmHg < one.targetMmHg,
      /over what was cleared/,
    ],
    ['the sign', { stopsAtSigns: false }, ({ signs }) => signs.some(isEnding), /with a symptom to stop for/],
    ['the rest', { restMs: 60_000 }, ({ signs }) => !signs.some(isEnding), /rests? away from 30 s/],
    [
      'the pressure',
      { holdMmHg: (one) => heldMmHg(one) - 40 },
      ({ signs }) => !signs.some(isEnding),
      /of work away from/,
    ],
  ])('takes points from who does not keep %s', (_, habits, among, words) => {
    const session = CASES.find(among);
    if (!session) throw new Error('No such case.');
    const lost = (more: Partial<Habits>) =>
      scoreSession(session, runBy(session, { ...GOOD, ...more }).run).lost.map((one) => one.words);
    expect(lost(habits).some((one) => words.test(inEnglish(one)))).toBe(true);
    expect(lost({}).some((one) => words.test(inEnglish(one)))).toBe(false);
  });

  it('takes points from who stops for what is usual, does nothing, or leaves the cuff on', () => {
    const session = CASES.find(({ signs }) => !signs.some(isEnding));
    if (!session) throw new Error('No such case.');
    const lostBy = (actions: TimedAction[], endMs: number) =>
      scoreSession(session, playSession(session, actions, endMs)).lost.map(({ words }) => words);
    const on: TimedAction[] = Array.from({ length: 16 }, () => ({ atMs: 0, do: 'squeeze' }));
    expect(englishOf(lostBy([...on, { atMs: 60_000, do: 'release' }], 62_000))).toContain(
      'stopped without a symptom to stop for',
    );
    expect(englishOf(lostBy([], 1_000))).toContain('no set was done');
    expect(englishOf(lostBy(on, 20_000))).toContain('the cuff was still on at the end');
    expect(lostBy(on, 500_000).some((words) => /over its limit/.test(inEnglish(words)))).toBe(true);
  });

  it('says what is felt when asked, or after a while, and shows what is seen at once', () => {
    const felt = CASES.find(({ signs }) => signs[1]?.id === 'numb-or-tingling');
    if (!felt) throw new Error('No such case.');
    const fromMs = felt.signs[1]?.fromMs ?? 0;
    const on: TimedAction[] = Array.from({ length: 12 }, () => ({ atMs: 0, do: 'squeeze' }));
    const known = (actions: TimedAction[], endMs: number) =>
      whatIsKnown(felt, playSession(felt, actions, endMs)).filter((words) =>
        /gone to sleep/.test(inEnglish(words)),
      ).length;
    expect(known(on, fromMs + 1_000)).toBe(0);
    expect(known([...on, { atMs: fromMs + 800, do: 'ask' }], fromMs + 1_000)).toBe(1);
    expect(known(on, fromMs + 14_000)).toBe(1);
  });

  it('keeps to the pump and loses no repetition, whatever is done', () => {
    const action = fc.record({
      atMs: fc.integer({ min: 0, max: 60_000 }),
      do: fc.constantFrom(...SESSION_ACTIONS),
    });
    fc.assert(
      fc.property(fc.nat(50), fc.array(action, { maxLength: 40 }), (seed, actions) => {
        const session = makeSessionCase(seed);
        const run = playSession(
          session,
          actions.toSorted((a, b) => a.atMs - b.atMs),
          60_000,
        );
        expect(run.highestMmHg).toBeLessThanOrEqual(40 * BY_MMHG.squeeze);
        expect(run.atMs).toBe(60_000);
        const begun = actions.filter((one) => one.do === 'begin-set').length;
        expect(run.done.length + (run.set ? 1 : 0)).toBeLessThanOrEqual(begun);
        const { points } = scoreSession(session, run);
        expect(points).toBeGreaterThanOrEqual(0);
        expect(points).toBeLessThanOrEqual(100);
      }),
      { numRuns: 40 },
    );
  });
});
