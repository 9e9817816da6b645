import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { msg } from '../message/message';
import { dayAt, dayOf } from '../quantity/days';
import type { Occasion } from './course-plan';
import { coursePlanChoiceSchema, nameOf, occasionWords } from './course-plan';
import { compareTurns, turnOf } from './turn';

// 4 May 2026 is a Monday.
const MONDAY = dayOf('2026-05-04');
const mondayThursday: Occasion = { kind: 'weekdays', weekdays: [3, 0] };
const turn = (occasion: Occasion, { done = [] as number[], heavy = [] as number[], on = 0 } = {}) =>
  turnOf(
    occasion,
    done.map((day) => MONDAY + day),
    heavy.map((day) => MONDAY + day),
    MONDAY + on,
  );

describe('whose turn it is', () => {
  it('follows the weekdays, and is over for the day once done', () => {
    expect(englishOf(turn(mondayThursday))).toEqual({ inDays: 0, why: 'It is for Mon, today.' });
    expect(englishOf(turn(mondayThursday, { done: [0] }))).toEqual({ inDays: 3, why: 'Next on Thu.' });
    expect(englishOf(turn(mondayThursday, { on: 4, done: [0, 3] }))).toEqual({
      inDays: 3,
      why: 'Next on Mon.',
    });
    // The same weekday again, a week from now.
    expect(englishOf(turn({ kind: 'weekdays', weekdays: [0] }, { done: [0] }))).toEqual({
      inDays: 7,
      why: 'Next on Mon.',
    });
  });

  it('counts the times a day', () => {
    expect(englishOf(turn({ kind: 'daily', times: 1 }, { done: [-1] }))).toEqual({
      inDays: 0,
      why: 'Not yet today.',
    });
    expect(englishOf(turn({ kind: 'daily', times: 2 }, { done: [0] }))).toEqual({
      inDays: 0,
      why: '1 of 2 today.',
    });
    expect(englishOf(turn({ kind: 'daily', times: 2 }, { done: [0, 0] }))).toEqual({
      inDays: 1,
      why: 'Done for today.',
    });
  });

  it('comes after heavy work of the same day, once', () => {
    expect(turn({ kind: 'after-heavy' }, { heavy: [-1] }).inDays).toBeNull();
    expect(turn({ kind: 'after-heavy' }, { heavy: [0], done: [-2] }).inDays).toBe(0);
    expect(englishOf(turn({ kind: 'after-heavy' }, { heavy: [0], done: [0] }))).toEqual({
      inDays: null,
      why: 'Done today.',
    });
  });

  it('is any day, the next one once it was done today', () => {
    expect(englishOf(turn({ kind: 'any-day' }))).toEqual({ inDays: 0, why: 'Not begun yet.' });
    expect(englishOf(turn({ kind: 'any-day' }, { done: [-1, -6] }).why)).toBe('Last done yesterday.');
    expect(englishOf(turn({ kind: 'any-day' }, { done: [-6] }).why)).toBe('Last done 6 days ago.');
    expect(englishOf(turn({ kind: 'any-day' }, { done: [0] }))).toEqual({ inDays: 1, why: 'Done today.' });
  });

  it('puts unknown turns last', () => {
    const [soon, later, unknown] = [0, 3, null].map((inDays) => ({ inDays, why: msg('Not yet today.') }));
    if (!soon || !later || !unknown) throw new Error('three turns');
    expect([unknown, later, soon].sort(compareTurns)).toEqual([soon, later, unknown]);
    expect(compareTurns(unknown, unknown)).toBe(0);
  });

  it('counts days on the practice’s clock', () => {
    const nearMidnightUtc = Date.UTC(2026, 4, 4, 23, 30);
    expect(dayAt(nearMidnightUtc, 0)).toBe(MONDAY);
    expect(dayAt(nearMidnightUtc, 3_600_000)).toBe(MONDAY + 1);
    expect(dayAt(Date.UTC(2026, 4, 4, 0, 30), -3_600_000)).toBe(MONDAY - 1);
  });
});

describe('a plan of a course', () => {
  it('says when it is for', () => {
    expect(englishOf(occasionWords(mondayThursday))).toBe('Mon, Thu');
    expect(englishOf(occasionWords({ kind: 'daily', times: 1 }))).toBe('once a day');
    expect(englishOf(occasionWords({ kind: 'daily', times: 3 }))).toBe('3 times a day');
    expect(englishOf(occasionWords({ kind: 'after-heavy' }))).toBe('after heavy work');
    expect(englishOf(occasionWords({ kind: 'any-day' }))).toBe('any day');
  });

  it('is named after its limbs where it was not named', () => {
    const on = (mode: string, ...limbs: string[]) => ({ mode, limbs: limbs.map((limb) => ({ limb })) });
    const named = (...exercises: ReturnType<typeof on>[]) =>
      nameOf({ exercises } as unknown as Parameters<typeof nameOf>[0]);
    expect(englishOf(named(on('passive', 'left-thigh')))).toBe('Left thigh, passive');
    expect(englishOf(named(on('resistance', 'left-thigh'), on('passive', 'right-thigh')))).toBe('Legs');
    expect(englishOf(named(on('resistance', 'left-arm', 'right-arm')))).toBe('Arms');
    expect(englishOf(named(on('resistance', 'left-thigh'), on('resistance', 'left-arm')))).toBe(
      'Legs and arms',
    );
  });

  it('wants a name, a weekday and a sensible number of times', () => {
    const of = (change: object) =>
      coursePlanChoiceSchema.safeParse({ name: 'Arms', occasion: mondayThursday, untilMs: null, ...change })
        .success;
    expect(of({})).toBe(true);
    expect(of({ name: '  ' })).toBe(false);
    expect(of({ name: 'n'.repeat(61) })).toBe(false);
    expect(of({ occasion: { kind: 'weekdays', weekdays: [] } })).toBe(false);
    expect(of({ occasion: { kind: 'weekdays', weekdays: [7] } })).toBe(false);
    expect([0, 1, 6, 7].map((times) => of({ occasion: { kind: 'daily', times } }))).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});
