import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { VerdictKind } from '../outcomes/verdict';
import { blockEnd } from './block-end';
import {
  NOW_MS,
  testBlock,
  testCoursePlan,
  testFacts,
  testKitInUse,
  testPrescription,
  testSessionFact,
} from './record.fixture';

const WEEKS = [-56, -53, -49, -46, -42, -39, -35, -32, -28, -25, -21, -18, -14, -11, -7, -4];

/** Eight weeks that ended yesterday, of which the last `missed` were not done. */
const ended = (missed: number, main: VerdictKind | null, perWeek = 2) => {
  const [line] = testBlock(56).wish.lines;
  const facts = testFacts({
    coursePlans: [testCoursePlan()],
    prescriptions: [testPrescription({ atMs: NOW_MS - 60 * 86_400_000 })],
    blocks: [testBlock(56, { lines: line ? [{ ...line, perWeek }] : [] }, WEEKS)],
    sessions: WEEKS.slice(0, WEEKS.length - missed).map((days) => testSessionFact(-days)),
  });
  return blockEnd(facts, testKitInUse, main, NOW_MS);
};

describe('the end of a block (CRS-6)', () => {
  it('is not there while a session is to come, nor without a block', () => {
    expect(blockEnd(testFacts(), testKitInUse, null, NOW_MS)).toBeNull();
    const facts = testFacts({ coursePlans: [testCoursePlan()], blocks: [testBlock(10, {}, [-10, 3])] });
    expect(blockEnd(facts, testKitInUse, null, NOW_MS)).toBeNull();
  });

  it('adds up, whatever was done', () => {
    expect(ended(2, null)).toMatchObject({ planned: 16, done: 14, missed: 2 });
  });

  it.each<[VerdictKind | null, number, string]>([
    ['real-gain', 0, 'go-on'],
    ['probably-loss', 0, 'stop'],
    ['within-noise', 1, 'change-one'],
    // Of 12 in 16 one cannot tell.
    ['within-noise', 4, 'go-on'],
    ['too-early', 0, 'go-on'],
    [null, 0, 'go-on'],
  ])('of a main measure %s with %i missed proposes', (main, missed, proposed) => {
    expect(ended(missed, main)?.proposed).toBe(proposed);
  });

  it('drafts from the day after it: three a week where it was two, else the plan is what changes', () => {
    const of = (perWeek: number) =>
      ended(0, 'within-noise', perWeek)?.next.find(({ id }) => id === 'change-one');
    const change = of(2);
    expect(change?.do === 'draft' && change.wish.lines.map(({ perWeek }) => perWeek)).toEqual([3]);
    expect(of(3)?.do).toBe('change-the-plan');
    const goOn = ended(0, 'real-gain')?.next[0];
    expect(goOn?.do === 'draft' && goOn.wish.startsOn).toBe(new Date(NOW_MS).toISOString().slice(0, 10));
    expect(englishOf(ended(0, null)?.next.map(({ label }) => label))).toEqual([
      'Go on as before',
      'Change one thing: three a week',
      'Four weeks with a deload',
      'The bridge to heavy work: a heavy day a week',
      'Stop',
    ]);
  });
});
