import { expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { isoOf } from '../quantity/days';
import { blockWishSchema } from './block';
import { blockPlanOf } from './block-plan';
import { BLOCK_STARTS, type BlockStartId, startBlock } from './block-starts';
import { checkBlock } from './check-block';
import { placeBlock } from './place-block';

const PLANS = [
  blockPlanOf(
    {
      id: 'lower',
      name: 'Lower',
      ownName: null,
      occasion: { kind: 'any-day' },
      state: 'in-force',
      untilMs: null,
    },
    testPlan().plan,
    EXERCISES as Library,
  ),
];
const passive = { ...PLANS[0], id: 'passive', kinds: [], muscles: [] } as unknown as (typeof PLANS)[number];
const when = { startsOn: '2026-05-04', atTime: '17:30' };

it.each(Object.keys(BLOCK_STARTS) as BlockStartId[])('%s makes a block that may be kept by anyone', (id) => {
  const wish = startBlock(id, [...PLANS, passive], when);
  expect(blockWishSchema.safeParse(wish).success).toBe(true);
  const placed = placeBlock(wish, [...PLANS, passive]);
  const sessions = placed.sessions.map(({ day, coursePlanId }) => ({ day: isoOf(day), coursePlanId }));
  expect(placed.unmet).toEqual([]);
  expect(checkBlock({ wish, sessions }, [...PLANS, passive])).toEqual([]);
});

it('does passive work daily, after an operation twice a day', () => {
  const [, line] = startBlock('after-operation', [...PLANS, passive], when).lines;
  expect(line).toMatchObject({ perWeek: 7, timesADay: 2, available: [0, 1, 2, 3, 4, 5, 6] });
});
