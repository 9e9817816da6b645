import type { NewBlock } from '#contract/block';
import type { ClientRecord } from '#contract/client';
import { placeBlock, scheduledOn } from '#core/course';
import { isoOf } from '#core/quantity';
import { blockPlansOf } from '#core/record';
import { DAY_MS } from './api.fixture';

/** Twice a week from the day it is, for four weeks, of the first plan. */
export function blockFor(
  { facts, judgedAtMs }: ClientRecord,
  changes: Partial<NewBlock['wish']> = {},
): NewBlock {
  const coursePlanId = facts.coursePlans[0]?.id ?? '';
  const wish: NewBlock['wish'] = {
    startsOn: isoOf(Math.floor(judgedAtMs / DAY_MS)),
    weeks: 4,
    lines: [
      { coursePlanId, perWeek: 2, timesADay: 1, available: [0, 1, 2, 3, 4, 5, 6], onHeavyDays: 'either' },
    ],
    heavy: [],
    deload: null,
    season: [],
    atTime: '17:30',
    ...changes,
  };
  const { sessions } = placeBlock(wish, blockPlansOf(facts));
  return {
    wish,
    sessions: scheduledOn(sessions),
  };
}
