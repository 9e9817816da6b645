import { describe, expect, it } from 'vitest';
import type { ClientFacts } from './facts';
import { daysAgo, NOW_MS, testBlock, testFacts, testSessionFact } from './record.fixture';
import { testsDueByBlock, testsDueLine } from './tests-due';

/** An eight-week block begun so many days ago, with its last session on its day 53. */
const begun = (days: number) => [testBlock(days, {}, [53 - days])];
const girth = (days: number, limb: 'left-thigh' | 'right-thigh' = 'left-thigh') => ({
  measureId: 'girth-calf' as const,
  limb,
  setting: '',
  atMs: daysAgo(days),
});
const line = (blockDays: number, ...followed: ClientFacts['followed']) =>
  testsDueLine(testFacts({ blocks: begun(blockDays), followed, sessions: [] }), NOW_MS);

describe('what is due to be measured (OUT-4)', () => {
  it('goes by the block in force, in one line', () => {
    expect(line(24, girth(30))).toBe('To measure midway: Calf girth, left thigh.');
    expect(line(24, girth(30), girth(30, 'right-thigh'))).toBe(
      'To measure midway: Calf girth, left thigh, and 1 more.',
    );
    expect(line(24, girth(0))).toBeNull();
    expect(line(10, girth(12))).toBeNull();
    expect(line(24)).toBeNull();
    expect(testsDueLine(testFacts({ followed: [girth(30)] }), NOW_MS)).toBeNull();
  });

  it('counts three days from the last session, the day it was really done on', () => {
    expect(line(55, girth(20))).toBeNull();
    expect(line(56, girth(20))).toBe('To measure after the block: Calf girth, left thigh.');
    const late = testFacts({ blocks: begun(56), followed: [girth(20)], sessions: [testSessionFact(1)] });
    expect(testsDueByBlock(late, NOW_MS)).toEqual([]);
  });
});
