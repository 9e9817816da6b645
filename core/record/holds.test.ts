import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Clearance } from '../screening/clearance';
import { DAY_CHECK_HOLDS_MS, type DayCheckAnswers } from '../screening/day-check';
import type { FollowUp } from '../session/events';
import {
  type Hold,
  holdsInForce,
  holdsOfDayAfter,
  holdsOfDayCheck,
  holdsOfScreening,
  holdsOfSign,
  isEmergencyAfter,
  type NewHold,
  whyNotLift,
} from './holds';
import { daysAgo, NOW_MS, testScreening, testSessionFact } from './record.fixture';

const kept = (holds: readonly NewHold[]): Hold[] =>
  holds.map((hold, place) => ({ ...hold, id: `${place}`, lifted: null }));
const facts = (holds: readonly NewHold[], more: Partial<Parameters<typeof holdsInForce>[0]> = {}) => ({
  holds: kept(holds),
  clearances: [],
  screenings: [],
  dayChecks: [],
  stricter: [],
  sessions: [],
  ...more,
});
const words = (...args: Parameters<typeof holdsInForce>) => holdsInForce(...args).map((hold) => hold.words);
const cleared = (changes: Partial<Clearance> = {}): Clearance => ({
  subjects: ['thrombosis'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: daysAgo(3),
  untilMs: daysAgo(-3),
  maxPercentLop: 50,
  highestRung: null,
  ranges: [],
  limbs: [],
  modes: ['passive'],
  note: '',
  ...changes,
});

describe('holds (SCR-5)', () => {
  const stop = holdsOfScreening('s', testScreening({ yes: ['thrombosis', 'diabetes'] }), [], daysAgo(2));

  it('are raised by each stop of a screening and by nothing less', () => {
    expect(stop.map(({ subject, ends }) => [subject, ends])).toEqual([
      ['thrombosis', { by: 'clinician', notBeforeMs: daysAgo(2) }],
    ]);
    expect(holdsOfScreening('s', testScreening({ yes: ['smoker'] }), [], NOW_MS)).toEqual([]);
  });

  it('outlive any later answer, and end only by being lifted or cleared as SCR-2 says', () => {
    const later = { screenings: [testScreening({ atMs: daysAgo(1) })] };
    expect(words(facts(stop, later), NOW_MS)).toHaveLength(1);
    const lifted = {
      ...facts(stop),
      holds: kept(stop).map((hold) => ({ ...hold, lifted: { atMs: 1, by: 'c', reason: 'r' } })),
    };
    expect(words(lifted, NOW_MS)).toEqual([]);
    const under = (clearance: Clearance) => words(facts(stop, { clearances: [clearance] }), NOW_MS).length;
    expect(under(cleared())).toBe(0);
    // Not by who is no physician, not without a cap and named limbs or work, not past its date.
    expect(under(cleared({ byPhysician: false }))).toBe(1);
    expect(under(cleared({ maxPercentLop: null }))).toBe(1);
    expect(under(cleared({ modes: [] }))).toBe(1);
    expect(under(cleared({ untilMs: daysAgo(1) }))).toBe(1);
  });

  it.each(['thrombosis-suspected', 'compartment-syndrome', 'infection', 'open-wound'] as const)(
    'of %s are cleared by no paper',
    (item) => {
      const raised = holdsOfScreening('s', testScreening({ yes: [item] }), [], daysAgo(2));
      const clearances = [cleared({ subjects: [item] })];
      expect(words(facts(raised, { clearances }), NOW_MS)).toHaveLength(1);
    },
  );

  it('of a check on the day last that day, whatever is answered later', () => {
    const fever = holdsOfDayCheck(
      'd',
      { notWell: ['fever', 'sleep'], painNow: 1, bloodPressure: null },
      [],
      daysAgo(0.1),
    );
    expect(englishOf(words(facts(fever), NOW_MS))).toEqual(['Fever']);
    expect(words(facts(fever), NOW_MS + 12 * 3_600_000)).toEqual([]);
  });

  it('of something new in health ends by a screening of a clinician alone', () => {
    const fresh = holdsOfDayCheck(
      'd',
      { notWell: ['same'], painNow: 1, bloodPressure: null },
      [],
      daysAgo(1),
    );
    const heldBy = (by: 'coach' | 'assistant' | 'clinician', days = 0.5) =>
      words(facts(fresh, { screenings: [testScreening({ atMs: daysAgo(days), by })] }), NOW_MS).length;
    expect(heldBy('coach') + heldBy('assistant')).toBe(2);
    expect(heldBy('clinician')).toBe(0);
    expect(heldBy('clinician', 2)).toBe(1);
  });

  it('of a blood pressure on arrival end by the one reading that is taken five minutes later (SCR-3)', () => {
    const MINUTE = 60_000;
    const taken = (minute: number, systolicMmHg: number) => ({
      atMs: NOW_MS + minute * MINUTE,
      notWell: [],
      painNow: 0,
      bloodPressure: { systolicMmHg, diastolicMmHg: 90 },
    });
    const heldAfter = (...checks: ReturnType<typeof taken>[]) => {
      const holds: Hold[] = [];
      for (const [place, { atMs, ...answers }] of checks.entries()) {
        const standing = holdsInForce({ ...facts([]), holds, dayChecks: checks.slice(0, place + 1) }, atMs);
        holds.push(...kept(holdsOfDayCheck(`${place}`, answers, standing, atMs)));
      }
      return holdsInForce({ ...facts([]), holds, dayChecks: checks }, NOW_MS + 60 * MINUTE).length > 0;
    };
    expect(heldAfter(taken(0, 160))).toBe(true);
    expect(heldAfter(taken(0, 160), taken(5, 159))).toBe(false);
    expect(heldAfter(taken(0, 160), taken(4, 130))).toBe(true);
    // A reading too soon is none, high or not.
    expect(heldAfter(taken(0, 160), taken(2, 170), taken(6, 150))).toBe(false);
    expect(heldAfter(taken(0, 160), taken(5, 160), taken(12, 120))).toBe(true);
    expect(heldAfter(taken(0, 160), taken(5, 150), taken(12, 165))).toBe(true);
    const ends = (standing: Pick<Hold, 'ends'>[], answers: DayCheckAnswers = taken(0, 160)) =>
      holdsOfDayCheck('c', answers, standing, NOW_MS).map((hold) => hold.ends);
    const endOfDay = { by: 'time', atMs: NOW_MS + DAY_CHECK_HOLDS_MS } as const;
    expect(ends([])).toEqual([{ ...endOfDay, retakeFromMs: NOW_MS + 5 * MINUTE }]);
    // The second reading is the last: no third is asked for, and nothing else of the day is asked for again.
    expect(ends([{ ends: { ...endOfDay, retakeFromMs: NOW_MS } }])).toEqual([endOfDay]);
    expect(ends([], { ...taken(0, 120), notWell: ['fever'] })).toEqual([endOfDay]);
  });

  it('of a red sign hold the person until they are lifted, and not before the next day', () => {
    const event = { id: 'e', sessionId: 'session 1', sign: 'dizzy' } as const;
    const [red] = kept(holdsOfSign(event, ['left-thigh'], daysAgo(0.5)));
    if (!red) throw new Error('It holds.');
    expect(red.limb).toBeNull();
    expect(englishOf(whyNotLift(red, NOW_MS))).toContain('no restart that day');
    expect(whyNotLift(red, daysAgo(-0.5))).toBeNull();
    expect(words({ ...facts([]), holds: [red] }, daysAgo(-30))).toHaveLength(1);
    expect(holdsOfSign({ ...event, sign: 'burn' }, ['left-thigh'], NOW_MS)).toEqual([]);
  });

  it('of numbness, pale skin or sharp pain hold the limb until the next day and the review is answered (RUN-3)', () => {
    const numb = holdsOfSign(
      { id: 'e', sessionId: 'session 1', sign: 'numb-or-tingling' },
      ['left-thigh'],
      daysAgo(0.9),
    );
    const at = (nowMs: number, reviewed: boolean) =>
      holdsInForce(facts(numb, { sessions: [testSessionFact(1, { reviewed })] }), nowMs).map(
        ({ limb }) => limb,
      );
    expect(at(NOW_MS, true)).toEqual(['left-thigh']);
    expect(at(daysAgo(-0.2), true)).toEqual([]);
    expect(at(daysAgo(-20), false)).toEqual(['left-thigh']);
  });

  it('of the day after say what to refer urgently (RUN-6)', () => {
    const well = { soreness: 9, bruising: 'small', pinpointBleeding: true, numbness: false } as const;
    expect(holdsOfDayAfter('e', well, NOW_MS)).toEqual([]);
    const bad = holdsOfDayAfter(
      'e',
      { ...well, bruising: 'wide', numbness: true, urgent: ['dark-urine'] },
      NOW_MS,
    );
    expect(englishOf(bad.map((hold) => hold.words))).toEqual([
      'Numbness, after the last session',
      'Wide bruising, after the last session',
      'Dark urine: refer urgently, after the last session',
    ]);
    expect(bad.map(({ isEmergency }) => isEmergency)).toEqual([false, false, false]);
  });

  it('of the day after are an emergency after chest pain or breathlessness, each by itself (RUN-6)', () => {
    const answer = { soreness: 0, bruising: 'none', pinpointBleeding: false, numbness: false } as const;
    const emergency = (urgent: NonNullable<FollowUp['urgent']>) =>
      holdsOfDayAfter('e', { ...answer, urgent }, NOW_MS).map(({ isEmergency }) => isEmergency);
    expect(emergency(['chest-pain'])).toEqual([true]);
    expect(emergency(['breathless'])).toEqual([true]);
    expect(emergency(['weakness', 'swollen-limb'])).toEqual([false, false]);
    expect(isEmergencyAfter({})).toBe(false);
  });
});
