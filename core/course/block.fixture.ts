import type { BlockLine, BlockWish } from './block';

/** Twice a week for four weeks from Monday, 4 May 2026, of the lower day, on any day. */
export const testWish = (changes: Partial<BlockWish> = {}, line: Partial<BlockLine> = {}): BlockWish => ({
  startsOn: '2026-05-04',
  weeks: 4,
  lines: [
    {
      coursePlanId: 'lower',
      perWeek: 2,
      timesADay: 1,
      available: [0, 1, 2, 3, 4, 5, 6],
      onHeavyDays: 'apart',
      ...line,
    },
  ],
  heavy: [],
  deload: null,
  season: [],
  atTime: '17:30',
  ...changes,
});
