import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { type Asked, chooseWork, type WorkKind } from './choose-work';
import type { ClientFacts } from './facts';
import { daysAgo, NOW_MS, testFacts, testScreening } from './record.fixture';

const asked: Asked = { limb: 'left-thigh', goal: 'size', painProvoked: 1 };
const choose = (changes: Partial<Asked> = {}, facts: Partial<ClientFacts> = {}) =>
  chooseWork(testFacts(facts), { ...asked, ...changes }, NOW_MS);
const order = (...of: Parameters<typeof choose>): WorkKind[] => choose(...of).map(({ kind }) => kind);
const out = (...of: Parameters<typeof choose>) =>
  choose(...of).flatMap(({ kind, ruledOut }) =>
    ruledOut.map(({ words, until }) => `${kind}: ${inEnglish(words)} Until ${inEnglish(until)}.`),
  );
const operated = {
  screenings: [
    testScreening({
      yes: ['recent-surgery'],
      procedures: [{ limb: 'left-thigh', atMs: daysAgo(20), what: 'repair' }],
    }),
  ],
};

describe('heavy, under a cuff, or light without (PRO-4)', () => {
  it('is heavy first for strength, and where nothing limits size either way', () => {
    expect(order({ goal: 'strength-bridge' })).toEqual(['heavy', 'cuff', 'light']);
    expect(choose()[0]?.speaksFor.length).toBe(1);
    expect(new Set(order().slice(0, 2))).toEqual(new Set(['heavy', 'cuff']));
    expect(out()).toEqual([]);
  });

  it('is the cuff where the joint hurts, and heavy not at all above five', () => {
    expect(order({ painProvoked: 4 })[0]).toBe('cuff');
    expect(out({ painProvoked: 5 })).toEqual([]);
    expect(out({ painProvoked: 6 })).toEqual([
      'heavy: Pain on the provoking test is above 5. Until it is 3 or less.',
    ]);
    expect(order({ painProvoked: 6, goal: 'strength-bridge' }).at(-1)).toBe('heavy');
    expect(order({ painProvoked: null })).toEqual(order());
  });

  it('is never heavy on a limb operated on within twelve weeks; the other side is free', () => {
    expect(order({}, operated)).toEqual(['cuff', 'light', 'heavy']);
    expect(out({}, operated)[0]).toContain('Until the last rung of the ladder is reached.');
    expect(out({ limb: 'right-thigh' }, operated)).toEqual([]);
  });

  it('is not under a cuff while a hold is in force or the clearance leaves the limb out, and says which', () => {
    const hold = {
      id: 'h',
      cause: 'x',
      words: 'Numb or tingling',
      rule: 'RUN-3' as const,
      atMs: daysAgo(1),
      limb: 'left-thigh' as const,
      subject: null,
      ends: { by: 'clinician' as const, notBeforeMs: 0 },
      lifted: null,
    };
    expect(out({}, { holds: [hold] })).toEqual(['cuff: On hold: Numb or tingling. Until it is lifted.']);
    expect(out({ limb: 'right-thigh' }, { holds: [hold] })).toEqual([]);
    // In both legs, and cleared for one.
    const withVarices = {
      screenings: [
        {
          atMs: daysAgo(3),
          version: 1,
          bloodPressures: [],
          note: '',
          yes: ['varicose-veins' as const],
          places: [
            { item: 'varicose-veins' as const, limbs: ['left-thigh' as const, 'right-thigh' as const] },
          ],
        },
      ],
    };
    const clearance = {
      subjects: ['varicose-veins' as const],
      givenBy: 'Dr Test',
      byPhysician: true,
      givenAtMs: daysAgo(2),
      untilMs: null,
      maxPercentLop: null,
      limbs: ['right-thigh' as const],
      modes: [],
      highestRung: null,
      ranges: [],
      note: '',
    };
    expect(out({}, { ...withVarices, clearances: [clearance] })).toEqual([
      'cuff: The clearance leaves the left thigh out. Until a clearance names it.',
    ]);
  });

  it('speaks of size only where size is what is wanted', () => {
    const said = (goal: Asked['goal']) =>
      choose({ goal }).flatMap(({ speaksFor }) => speaksFor.map(({ words }) => words));
    expect(said('size').some((words) => inEnglish(words).startsWith('Nothing limits the load'))).toBe(true);
    expect(
      said('strength-bridge').some((words) => inEnglish(words).startsWith('Nothing limits the load')),
    ).toBe(false);
  });

  it('lets a new person begin with anything', () => {
    const [light] = choose({}, { sessions: [] }).filter(({ kind }) => kind === 'light');
    expect(englishOf(light?.speaksFor)).toMatchObject([{ rule: 'PRO-6' }]);
    const [heavy] = choose({}, { sessions: [] }).filter(({ kind }) => kind === 'heavy');
    expect(englishOf(heavy?.speaksAgainst)).toMatchObject([{ rule: 'PRO-6' }]);
  });
});
