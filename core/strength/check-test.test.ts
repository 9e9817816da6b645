import { expect, it } from 'vitest';
import { checkTestedSide } from './check-test';

it('guards a test of an operated side, of both sides at once, and of no other limb (LOAD-2)', () => {
  const operated = ['left-thigh'] as const;
  const levels = (...asked: [Parameters<typeof checkTestedSide>[0], Parameters<typeof checkTestedSide>[1]]) =>
    checkTestedSide(...asked, operated).map(({ level }) => level);
  expect(levels('leg', 'left')).toEqual(['guard']);
  expect(levels('leg', 'both')).toEqual(['guard']);
  expect(levels('leg', 'right')).toEqual([]);
  expect(levels('arm', 'left')).toEqual([]);
});
