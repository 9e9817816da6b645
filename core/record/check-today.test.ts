import { describe, expect, it } from 'vitest';
import type { DayCheck } from '../screening/day-check';
import { checkToday } from './check-today';
import { daysAgo, NOW_MS, testConsent, testFacts, testScreening } from './record.fixture';

const found = (changes: Parameters<typeof testFacts>[0]) =>
  checkToday(testFacts(changes), NOW_MS).map(({ rule, level, subject }) => `${rule} ${level} ${subject}`);

describe('before a session opens', () => {
  it('nothing is found of a person who agreed within the year and is well', () => {
    expect(found({})).toEqual([]);
    expect(found({ consents: [testConsent({ atMs: daysAgo(365) + 1 })] })).toEqual([]);
  });

  it('a consent that is missing or over a year old is a guard (SCR-6)', () => {
    expect(found({ consents: [] })).toEqual(['SCR-6 guard consent']);
    expect(found({ consents: [testConsent({ atMs: daysAgo(365) })] })).toEqual(['SCR-6 guard consent']);
  });

  it('a consent that was withdrawn is never passed, however new', () => {
    expect(found({ consents: [testConsent({ decision: 'withdrawn' })] })).toEqual(['SCR-6 hard consent']);
  });

  it('under 18 a guardian has agreed too (SCR-1)', () => {
    const minor = { screenings: [testScreening({ yes: ['under-18'] })] };
    expect(found(minor)).toEqual(['SCR-6 guard consent']);
    expect(found({ ...minor, consents: [testConsent({ guardian: 'Wilma Fairsand' })] })).toEqual([]);
    // A later "no" does not end it.
    const grown = [testScreening({ yes: ['under-18'], atMs: daysAgo(30) }), testScreening()];
    expect(found({ screenings: grown })).toEqual(['SCR-6 guard consent']);
  });

  it('a blood pressure of today is needed where its cause is on record now, whatever was asked earlier (SCR-3)', () => {
    const check = (bloodPressure: DayCheck['bloodPressure']) => ({
      dayChecks: [{ atMs: daysAgo(0.1), notWell: [], painNow: 0, bloodPressure }],
    });
    const treated = { screenings: [testScreening({ atMs: daysAgo(0.05), yes: ['hypertension-treated'] })] };
    expect(found({ ...treated, ...check(null) })).toEqual(['SCR-3 hard bloodPressure']);
    expect(found({ ...treated, ...check({ systolicMmHg: 130, diastolicMmHg: 80 }) })).toEqual([]);
    // Without a check of today that is asked first.
    expect(found(treated)).toEqual([]);
  });

  it('pain from 6 today is a guard, and pain of another day is not asked (SCR-3)', () => {
    const check = (painNow: number, days: number) => ({
      dayChecks: [{ atMs: daysAgo(days), notWell: [], painNow, bloodPressure: null }],
    });
    expect(found(check(5, 0))).toEqual([]);
    expect(found(check(6, 0))).toEqual(['SCR-3 guard painNow']);
    expect(found(check(6, 1))).toEqual([]);
  });
});
