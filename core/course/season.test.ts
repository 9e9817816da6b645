import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { composeSession } from '../plan/compose';
import { testBasis, testSession } from '../plan/plan.fixture';
import { dayOf, isoOf } from '../quantity/days';
import type { Block, Scheduled } from './block';
import { testWish } from './block.fixture';
import { blockPlanOf } from './block-plan';
import type { CoursePlan } from './course-plan';
import type { OnDay } from './on-day';
import { heavyOn, keptFree, postponed, rescheduled, type SeasonDay, seasonDaySchema } from './season';
import { withSessionIds } from './session-ids';
import { withSeason } from './with-season';

const game = (day: string, changes: Partial<SeasonDay> = {}): SeasonDay => ({
  id: day,
  kind: 'game',
  day,
  title: 'Cup',
  ...changes,
});
const on = (...days: string[]): OnDay[] => days.map((day) => ({ day: dayOf(day), coursePlanId: 'lower' }));
const isoDays = (days: readonly number[]) => days.map(isoOf);

describe('a day of the calendar (CRS-5)', () => {
  it('keeps its days free, and the day before a game unless that is wished', () => {
    expect(isoDays(keptFree(game('2026-05-09')))).toEqual(['2026-05-08', '2026-05-09']);
    expect(isoDays(keptFree(game('2026-05-09', { dayBeforeToo: true })))).toEqual(['2026-05-09']);
    const journey = game('2026-05-30', { kind: 'journey', toDay: '2026-06-01' });
    expect(isoDays(keptFree(journey))).toEqual(['2026-05-30', '2026-05-31', '2026-06-01']);
    const heavy = game('2026-05-12', { kind: 'heavy' });
    expect(keptFree(heavy)).toEqual([]);
    expect(isoDays(heavyOn([heavy, journey]))).toEqual(['2026-05-12']);
  });

  it('is postponed with all of its days', () => {
    expect(postponed(game('2026-05-30', { toDay: '2026-06-01' }), 7)).toMatchObject({
      day: '2026-06-06',
      toDay: '2026-06-08',
    });
    expect(postponed(game('2026-05-30'), -1)).not.toHaveProperty('toDay');
  });

  it('ends after it begins, and within 120 days', () => {
    const isTaken = (toDay: string) => seasonDaySchema.safeParse(game('2026-05-09', { toDay })).success;
    expect(['2026-05-08', '2026-05-09', '2026-09-05', '2026-09-06', '9999-12-31'].map(isTaken)).toEqual([
      false,
      true,
      true,
      false,
      false,
    ]);
  });

  it('says which session went where because of it, and leaves what moved for another reason', () => {
    const before = on('2026-05-05', '2026-05-08', '2026-05-12');
    const after = on('2026-05-05', '2026-05-07', '2026-05-13');
    expect(
      rescheduled(before, after, [game('2026-05-09')]).map(({ from, to, why }) => [
        isoOf(from),
        isoOf(to),
        englishOf(why),
      ]),
    ).toEqual([['2026-05-08', '2026-05-07', 'the day before Cup']]);
    expect(rescheduled(before, before, [game('2026-05-09')])).toEqual([]);
  });
});

describe('the calendar of a team (CRS-5)', () => {
  const plan = composeSession(testSession(), testBasis()).plan;
  const coursePlan: CoursePlan = {
    id: 'lower',
    name: 'Lower day',
    ownName: null,
    occasion: { kind: 'any-day' },
    state: 'in-force',
    untilMs: null,
  };
  const plans = [blockPlanOf(coursePlan, plan, testBasis().library)];
  const block: Block = {
    wish: testWish({ season: [game('2026-05-06', { id: 'cup' })] }, { available: [0, 1, 2, 3, 4] }),
    sessions: [4, 7, 11, 14, 18, 21, 25, 28].map((day) => ({
      day: `2026-05-${String(day).padStart(2, '0')}`,
      coursePlanId: 'lower',
    })),
  };

  it('moves what it must from today on, and takes a game that moved for the same', () => {
    const added = [game('2026-05-15', { id: 'cup' }), game('2026-07-01')];
    const made = withSeason(block, added, plans, dayOf('2026-05-08'));
    expect(made?.block.wish.season.map(({ id, day }) => [id, day])).toEqual([['cup', '2026-05-15']]);
    expect(made?.moved.map(({ from, to }) => [isoOf(from), isoOf(to)])).toEqual([
      ['2026-05-14', '2026-05-13'],
    ]);
    expect(made?.block.sessions.slice(0, 2)).toEqual(block.sessions.slice(0, 2));
    expect(made?.block.sessions).toHaveLength(8);
    expect(withSeason(block, [game('2026-07-01')], plans, dayOf('2026-05-08'))).toBeNull();
  });
});

describe('what a session is called by', () => {
  const kept: Scheduled[] = [
    { day: '2026-05-05', coursePlanId: 'lower', id: 'a', sequence: 0 },
    { day: '2026-05-08', coursePlanId: 'lower', id: 'b', sequence: 2 },
    { day: '2026-05-08', coursePlanId: 'upper', id: 'c', sequence: 0 },
  ];
  const newIds = ['new 1', 'new 2'];
  const newId = () => newIds.shift() ?? '';

  it('stays with it, rises in sequence where it moved, and is its own where it is new', () => {
    const again = [
      { day: '2026-05-05', coursePlanId: 'lower' },
      { day: '2026-05-07', coursePlanId: 'lower' },
      { day: '2026-05-08', coursePlanId: 'upper' },
      { day: '2026-05-12', coursePlanId: 'upper' },
    ];
    expect(withSessionIds(again, kept, newId)).toEqual([
      { ...again[0], id: 'a', sequence: 0 },
      { ...again[1], id: 'b', sequence: 3 },
      { ...again[2], id: 'c', sequence: 0 },
      { ...again[3], id: 'new 1', sequence: 0 },
    ]);
  });
});
