import { describe, expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import { MS_PER_DAY } from '../quantity/units';
import type { HeavyWork } from '../strength/heavy-work';
import { heavyShare } from './heavy-share';
import { daysAgo, NOW_MS, testFacts } from './record.fixture';

const today = Math.floor(NOW_MS / MS_PER_DAY);
const heavy = (days: number, changes: Partial<HeavyWork> = {}): HeavyWork => ({
  id: `heavy ${days}`,
  atMs: daysAgo(days),
  exerciseId: 'leg-press',
  side: 'both',
  sets: 4,
  reps: 5,
  loadKg: 90,
  effort: null,
  pain: null,
  ...changes,
});
// 75 repetitions with 10 kg, a quarter of 40: 750 kg·reps.
const { plan } = testPlan();
const share = (heavyWork: HeavyWork[], sessions = [plan, plan]) =>
  heavyShare(sessions, testFacts({ heavyWork }), today);

describe('the share of heavy work that a deload stands in for (PRO-4)', () => {
  it('is of the mean of the weeks before that had any, of muscles that both work', () => {
    // 1,800 in the last week and 3,600 in the one before it: 2,700 a week.
    const two = [heavy(3), heavy(9), heavy(12)];
    expect(share(two)).toEqual({ kgReps: 1500, heavyKgReps: 2700, percent: 56, isOverMost: false });
    expect(share([...two, heavy(4, { exerciseId: 'bench-press' }), heavy(40)])).toEqual(share(two));
  });

  it('says where it is more than stands in for it', () => {
    expect(share([heavy(3)])).toMatchObject({ percent: 83, isOverMost: true });
  });

  it('says nothing where nothing heavy was done, or nothing is lifted', () => {
    expect(share([])).toBeNull();
    expect(share([heavy(3)], [])).toBeNull();
  });
});
