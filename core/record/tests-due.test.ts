import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { dayAt, isoOf } from '../quantity/days';
import { comparisonInForce, comparisonWords } from './comparison-in-force';
import type { ClientFacts } from './facts';
import { daysAgo, NOW_MS, testBlock, testFacts, testSessionFact } from './record.fixture';
import { measuresDue, testsDueLine } from './tests-due';

/** An eight-week block begun so many days ago, with its last session on its day 53. */
const begun = (days: number) => [testBlock(days, {}, [53 - days])];
const girth = (days: number, limb: 'left-thigh' | 'right-thigh' = 'left-thigh') => ({
  measureId: 'girth-calf',
  limb,
  setting: '',
  atMs: daysAgo(days),
});
const line = (blockDays: number, ...followed: ClientFacts['followed']) =>
  testsDueLine(testFacts({ blocks: begun(blockDays), followed, sessions: [] }), NOW_MS);

describe('what a comparison has due', () => {
  const facts = (daysBefore: number, ...followed: ClientFacts['followed']) =>
    testFacts({
      followed,
      comparisons: [
        {
          id: 'one',
          atMs: daysAgo(daysBefore),
          design: {
            kind: 'limbs',
            measureId: 'girth-calf',
            setting: '',
            startsOn: isoOf(dayAt(daysAgo(daysBefore), testFacts({}).zoneOffsetMs)),
            limbs: 'leg',
            weeks: 4,
            seed: 1,
          },
        },
      ],
    });

  it('is said before what the block has, once, and no longer than a week after its end', () => {
    expect(englishOf(testsDueLine(facts(0), NOW_MS))).toBe(
      'To measure for the comparison: Calf girth, left thigh, and 1 more.',
    );
    expect(measuresDue(facts(0, girth(2), girth(1, 'right-thigh')), NOW_MS)).toEqual([]);
    const both = { ...facts(27, girth(40), girth(40, 'right-thigh')), blocks: begun(27) };
    expect(measuresDue(both, NOW_MS).map(({ moment, limb }) => [moment, limb])).toEqual([
      ['comparison', 'left-thigh'],
      ['comparison', 'right-thigh'],
    ]);
    expect([34, 35].map((days) => measuresDue(facts(days), NOW_MS).length)).toEqual([2, 0]);
    expect([35, 36].map((days) => comparisonInForce(facts(days), NOW_MS)?.id)).toEqual([
      undefined,
      undefined,
    ]);
    expect([27, 34].map((days) => comparisonInForce(facts(days), NOW_MS)?.id)).toEqual(['one', 'one']);
  });

  it('says with or without on its days only', () => {
    const today = dayAt(NOW_MS, testFacts({}).zoneOffsetMs);
    expect(englishOf(comparisonWords(facts(3), today))).toEqual({
      words: expect.stringMatching(/^(Left|Right) thigh with the cuff, (right|left) thigh without$/),
      toDay: today + 24,
    });
    expect(comparisonWords(facts(28), today)).toBeNull();
  });
});

describe('what is due to be measured (OUT-4)', () => {
  it('goes by the block in force, in one line', () => {
    expect(englishOf(line(24, girth(30)))).toBe('To measure midway: Calf girth, left thigh.');
    expect(englishOf(line(24, girth(30), girth(30, 'right-thigh')))).toBe(
      'To measure midway: Calf girth, left thigh, and 1 more.',
    );
    expect(line(24, girth(0))).toBeNull();
    expect(line(10, girth(12))).toBeNull();
    expect(line(24)).toBeNull();
    expect(testsDueLine(testFacts({ followed: [girth(30)] }), NOW_MS)).toBeNull();
  });

  it('counts three days from the last session, the day it was really done on', () => {
    expect(line(55, girth(20))).toBeNull();
    expect(englishOf(line(56, girth(20)))).toBe('To measure after the block: Calf girth, left thigh.');
    const late = testFacts({ blocks: begun(56), followed: [girth(20)], sessions: [testSessionFact(1)] });
    expect(measuresDue(late, NOW_MS)).toEqual([]);
  });
});
