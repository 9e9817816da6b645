import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { testPlan } from '../plan/plan.fixture';
import type { BloodPressure } from '../screening/blood-pressure';
import { isTooHigh } from '../screening/pressure-in-work';
import { bloodPressureDue, whyNotBack } from './blood-pressure';
import { decide } from './decide/decide';
import type { House } from './decide/intent';
import type { BloodPressureMoment, EventBody } from './events';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from './session.fixture';

const { plan } = testPlan();
type Entry = readonly [number, EventBody];
const at = (entries: readonly Entry[]) => foldAll(plan, logOf(entries));
const until = (seconds: number, more: readonly Entry[] = []) =>
  at([...WHOLE_SESSION.filter(([when]) => when <= seconds), ...more]);
const due = (seconds: number, more: readonly Entry[] = []) =>
  bloodPressureDue(plan, until(seconds, more), START_MS + seconds * 1000);
const reading = (systolicMmHg: number, diastolicMmHg = 84) => ({ systolicMmHg, diastolicMmHg });
const noted = (
  seconds: number,
  moment: BloodPressureMoment,
  systolicMmHg: number,
  diastolicMmHg = 84,
): Entry => [
  seconds,
  { type: 'blood-pressure-noted', moment, reading: reading(systolicMmHg, diastolicMmHg) },
];

describe('blood pressure around the work (RUN-8)', () => {
  it('is due before the cuff, in the last rest, one and five minutes after it came down, each until it is taken', () => {
    expect([due(0), due(30), due(150), due(210), due(240), due(300)]).toEqual([
      'before',
      null,
      null,
      'last-rest',
      null,
      null,
    ]);
    // The cuff came down at 275 s.
    expect([due(334), due(335), due(574), due(575), due(2_075), due(2_076)]).toEqual([
      null,
      'minute-1',
      'minute-1',
      'minute-5',
      'minute-5',
      null,
    ]);
    expect(due(3, [noted(2, 'before', 132)])).toBeNull();
    expect(due(600, [noted(590, 'minute-5', 132)])).toBeNull();
  });

  it('stops the work above the practice’s limit, exactly at it not, and never later than 250 or 115', () => {
    const over = (limit: BloodPressure, ...readings: BloodPressure[]) =>
      readings.map((one) => isTooHigh(one, limit));
    const usual = reading(220, 105);
    expect(over(usual, usual, reading(221, 90), reading(180, 106))).toEqual([false, true, true]);
    expect(over(reading(180, 100), reading(181))).toEqual([true]);
    expect(over(reading(280, 180), reading(250, 115), reading(251), reading(200, 116))).toEqual([
      false,
      true,
      true,
    ]);
    const note = (systolicMmHg: number, house?: House) =>
      decide(
        plan,
        until(210),
        {
          do: 'note-blood-pressure',
          moment: 'last-rest',
          reading: reading(systolicMmHg),
        },
        START_MS + 215_000,
        undefined,
        house,
      ).events.map((event) => (event.type === 'stopped' ? `stopped: ${inEnglish(event.why)}` : event.type));
    expect(note(220)).toEqual(['blood-pressure-noted']);
    expect(note(224)).toEqual(['blood-pressure-noted', 'stopped: Blood pressure 224/84']);
    // The practice's own limit is the practice's, and no caller's.
    const stricter = { stopAbove: reading(200, 100), weightKits: [] };
    expect(note(204, stricter)).toEqual(['blood-pressure-noted', 'stopped: Blood pressure 204/84']);
    expect(note(200, stricter)).toEqual(['blood-pressure-noted']);
  });

  it('is not back where either figure is over ten above what it was before', () => {
    const why = (systolicMmHg: number, diastolicMmHg: number) =>
      whyNotBack(until(300, [noted(2, 'before', 132), noted(600, 'minute-5', systolicMmHg, diastolicMmHg)]));
    expect(why(142, 94)).toBeNull();
    expect(englishOf(why(143, 84))).toBe(
      'Blood pressure 143/84 five minutes after, 132/84 before: not back within 10.',
    );
    expect(englishOf(why(130, 95))).toContain('130/95');
    expect(whyNotBack(until(300, [noted(600, 'minute-5', 180)]))).toBeNull();
  });
});
