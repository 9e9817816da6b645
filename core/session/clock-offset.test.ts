import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doseOf } from '../plan/dose';
import { testPlan } from '../plan/plan.fixture';
import { type ClockSample, clockOffsetMs } from './clock-offset';
import { liveTimeline } from './live-timeline';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from './session.fixture';

const skew = fc.integer({ min: -60_000, max: 60_000 });
const trips = fc.array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 900 })), {
  minLength: 1,
  maxLength: 4,
});

/** What a device whose clock is behind by `skewMs` sees of the server, each exchange with its ways there and back. */
const exchanges = (skewMs: number, ways: readonly (readonly [number, number])[]): ClockSample[] =>
  ways.map(([there, back], i) => {
    const serverMs = START_MS + 5_000 * i;
    return { sentMs: serverMs - there - skewMs, receivedMs: serverMs + back - skewMs, serverMs };
  });

describe('the offset of a device’s clock (RUN-9)', () => {
  it('is known to half the quickest round trip', () => {
    expect(clockOffsetMs([])).toBeNull();
    expect(clockOffsetMs([{ sentMs: 1_000, receivedMs: 1_200, serverMs: 61_100 }])).toBe(60_000);
    fc.assert(
      fc.property(skew, trips, (skewMs, ways) => {
        const quickest = Math.min(...ways.map(([there, back]) => there + back));
        const off = Math.abs((clockOffsetMs(exchanges(skewMs, ways)) ?? Number.NaN) - skewMs);
        expect(off).toBeLessThanOrEqual(quickest / 2 + 0.5);
      }),
    );
  });

  it('lets no set, clock or dose change by more than a second, however wrong the device’s clock is', () => {
    const { plan } = testPlan();
    const trueLog = logOf(WHOLE_SESSION);
    const trueDose = doseOf(liveTimeline(plan, foldAll(plan, trueLog), START_MS + 9_999_000));
    fc.assert(
      fc.property(skew, trips, (skewMs, ways) => {
        const offsetMs = clockOffsetMs(exchanges(skewMs, ways)) ?? 0;
        // The device stamps by its own clock and what it has learnt of the server's.
        const stamped = trueLog.map((event) => ({ ...event, atMs: event.atMs - skewMs + offsetMs }));
        const state = foldAll(plan, stamped);
        state.sets.forEach((set, i) => {
          const meant = foldAll(plan, trueLog).sets[i];
          expect(Math.abs(set.startedAtMs - (meant?.startedAtMs ?? 0))).toBeLessThanOrEqual(1_000);
        });
        const dose = doseOf(liveTimeline(plan, state, START_MS + 9_999_000));
        expect(Math.abs(dose.occludedMs - trueDose.occludedMs)).toBeLessThanOrEqual(1_000);
        expect(dose.reps).toBe(trueDose.reps);
      }),
    );
  });
});
