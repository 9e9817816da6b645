import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { courseInReport } from './course-in-report';
import { NOW_MS, testBlock, testFacts, testKitInUse, testSessionFact } from './record.fixture';

it('says how far a block was kept to, and the next day of each plan with its figures (CRS-2)', () => {
  const blocks = [testBlock(14, {}, [-14, -10, -7, -3, 2, 5])];
  const sessions = [14, 10, 3].map((days) => testSessionFact(days));
  const { block, next } = courseInReport(testFacts({ blocks, sessions }), testKitInUse, NOW_MS);
  expect(block).toEqual({ planned: 6, done: 3, missed: 1, toCome: 2 });
  expect(englishOf(next)).toEqual([
    { about: 'Lower day', says: expect.stringMatching(/^on .*17/), figures: 'Knee extension 86 mmHg, 10 kg' },
  ]);
});

it('says when a plan without a block is for, and what it is now', () => {
  const { block, next } = courseInReport(testFacts(), testKitInUse, NOW_MS);
  expect(block).toBeNull();
  expect(englishOf(next)).toMatchObject([{ says: 'any day', figures: expect.stringContaining('mmHg') }]);
});
