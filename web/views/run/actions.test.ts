import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuredTarget, testPlan } from '#core/plan/plan.fixture';
import type { EventBody, SessionEvent } from '#core/session/events';
import { fold } from '#core/session/fold';
import { nextStep } from '#core/session/next-step';
import { logOf } from '#core/session/session.fixture';
import { inflatedLimbs, openInflation, openSet } from '#core/session/state';
import { loosenEvents, nextEvents, signEvents, stopEvents, topUpEvents } from './actions';
import { releaseEvents } from './release';

const { plan } = testPlan();
const target = measuredTarget(plan).pressure.value;

/** A session as an operator drives it: the log grows by what each action gives, some seconds apart. */
function drive(keys: readonly string[]): { log: SessionEvent[]; atMs: number } {
  const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
  let seconds = 0;
  for (const key of keys) {
    seconds += 7;
    const state = fold(plan, logOf(entries));
    const nowMs = 1_800_000_000_000 + seconds * 1000;
    const given: Record<string, () => EventBody[]> = {
      space: () => nextEvents(plan, state, nextStep(plan, state, nowMs), nowMs),
      loosen: () => loosenEvents(plan, state),
      'top-up': () => topUpEvents(plan, state),
      release: () =>
        releaseEvents(
          plan,
          state,
          inflatedLimbs(state).map(({ limb }) => limb),
          nowMs,
        ),
      burn: () => signEvents(plan, state, 'burn', nowMs),
      dizzy: () => signEvents(plan, state, 'dizzy', nowMs),
    };
    for (const body of given[key]?.() ?? []) entries.push([seconds, body]);
  }
  return { log: logOf(entries), atMs: 1_800_000_000_000 + seconds * 1000 };
}

const KEYS = ['space', 'loosen', 'top-up', 'release', 'burn', 'dizzy'];

describe('what the keys do', () => {
  it('Space alone carries a session from inflating to its end', () => {
    const { log, atMs } = drive(Array(12).fill('space'));
    const state = fold(plan, log);
    expect(state.sets).toHaveLength(4);
    expect(state.finishedAtMs).not.toBeNull();
    expect(nextStep(plan, state, atMs)).toEqual({ do: 'nothing' });
  });

  it('never raise the pressure over the target, whatever is pressed', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...KEYS), { maxLength: 30 }), (keys) => {
        const state = fold(plan, drive(keys).log);
        const readings = state.limbs.flatMap(({ inflations }) => inflations.flatMap(({ steps }) => steps));
        for (const { pressureMmHg } of readings) {
          expect(pressureMmHg).toBeGreaterThanOrEqual(0);
          expect(pressureMmHg).toBeLessThanOrEqual(target);
        }
      }),
    );
  });

  it('loosen by ten, down to the division, and top up to the target between sets only (RUN-4)', () => {
    const pressureAfter = (keys: string[]) => {
      const [limb] = inflatedLimbs(fold(plan, drive(keys).log));
      return openInflation(limb)?.steps.at(-1)?.pressureMmHg;
    };
    expect(pressureAfter(['space', 'loosen'])).toBe(target - 10);
    // A loosening is kept: the target in hand is ten lower from then on (RUN-7).
    expect(pressureAfter(['space', 'loosen', 'top-up'])).toBe(target - 10);
    expect(pressureAfter(['space', 'space', 'loosen', 'top-up'])).toBe(target - 10);
  });

  it('end the set with the cuff when it is released in a set', () => {
    const state = fold(plan, drive(['space', 'space', 'release']).log);
    expect(openSet(state)).toBeNull();
    expect(state.sets[0]).toMatchObject({ reason: 'operator' });
    expect(inflatedLimbs(state)).toEqual([]);
  });

  it('note an expected sign and go on, stop at once for a stop sign and lead to release (RUN-3)', () => {
    const noted = fold(plan, drive(['space', 'space', 'burn']).log);
    expect(noted.signs).toMatchObject([{ sign: 'burn' }]);
    expect(openSet(noted)).not.toBeNull();
    const { log, atMs } = drive(['space', 'space', 'dizzy']);
    const stopped = fold(plan, log);
    expect(stopped.stopped?.why).toBe('Dizzy');
    expect(openSet(stopped)).toBeNull();
    expect(nextStep(plan, stopped, atMs)).toMatchObject({ do: 'release', why: 'stopped' });
  });

  it('never start a set again after a stop', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...KEYS), { maxLength: 20 }), (keys) => {
        const before = fold(plan, drive(['space', 'space', 'dizzy']).log).sets.length;
        const after = fold(plan, drive(['space', 'space', 'dizzy', ...keys]).log).sets.length;
        expect(after).toBe(before);
      }),
    );
  });

  it('stop a session that has no set under way without inventing one', () => {
    const state = fold(plan, drive(['space']).log);
    expect(stopEvents(plan, state, 'Stopped', Date.now())).toEqual([{ type: 'stopped', why: 'Stopped' }]);
  });
});
