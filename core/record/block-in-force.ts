import { type BlockPlan, blockPlanOf } from '../course/block-plan';
import type { BlockDue } from '../course/block-weeks';
import { type BlockEntry, followBlock } from '../course/follow-block';
import type { OnDay } from '../course/on-day';
import { measuredWith } from '../occlusion-pressure/in-force';
import { dueAtMs, SHELF_LIFE_DAYS } from '../occlusion-pressure/shelf-life';
import { isMeasured } from '../plan/target';
import { libraryOf } from '../protocol/exercises';
import { type Day, dayAt } from '../quantity/days';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { BlockFact, ClientFacts } from './facts';
import { shelfLifeInForce } from './shelf-life-in-force';
import { versionInForce } from './version-in-force';

/** The plans of a person that a block can schedule: those that have not ended. */
export function blockPlansOf(
  facts: Pick<ClientFacts, 'coursePlans' | 'prescriptions' | 'ownExercises'>,
): BlockPlan[] {
  const library = libraryOf(facts.ownExercises);
  return facts.coursePlans.flatMap((coursePlan) => {
    const version = versionInForce(facts, coursePlan.id);
    return version ? [blockPlanOf(coursePlan, version.plan, library)] : [];
  });
}

/** The sessions of a person that were finished, by their day on the practice's calendar. */
export const sessionsByDay = ({
  sessions,
  zoneOffsetMs,
}: Pick<ClientFacts, 'sessions' | 'zoneOffsetMs'>): OnDay[] =>
  sessions.flatMap(({ coursePlanId, startedAtMs, finishedAtMs, worked }) =>
    finishedAtMs === null || worked.length === 0
      ? []
      : [{ day: dayAt(startedAtMs, zoneOffsetMs), coursePlanId }],
  );

/** A block with each of its sessions done, missed or to come. */
export type BlockStanding = { block: BlockFact; plans: BlockPlan[]; entries: BlockEntry[]; today: Day };

/** The block that counts, as it is now; null where there is none (rule START-2). */
export function blockAsItStands(
  facts: Pick<
    ClientFacts,
    'coursePlans' | 'prescriptions' | 'ownExercises' | 'sessions' | 'blocks' | 'zoneOffsetMs'
  >,
  nowMs: number,
): BlockStanding | null {
  const block = newest(facts.blocks);
  if (!block) return null;
  const plans = blockPlansOf(facts);
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  return { block, plans, entries: followBlock(block, plans, sessionsByDay(facts), today), today };
}

const TEST_DAYS = RULES['LOAD-2'].figures.shelfLifeDays;

/** When limbs of the plans are to be measured and exercises tested again (rules LOP-6, LOAD-2). */
export function blockDues(facts: ClientFacts, nowMs: number): BlockDue[] {
  const day = (atMs: number) => dayAt(atMs, facts.zoneOffsetMs);
  return blockPlansOf(facts).flatMap(({ id, plan }) => {
    const measured = plan.exercises
      .flatMap(({ limbs }) => limbs.filter(isMeasured))
      .flatMap(({ occlusionId, limb }) => {
        const fact = facts.occlusions.find((one) => one.id === occlusionId);
        const shelfLife = shelfLifeInForce(facts, limb, nowMs);
        return fact && shelfLife !== 'every-session'
          ? [
              {
                firstDay: day(dueAtMs(measuredWith(fact), shelfLife)),
                everyDays: SHELF_LIFE_DAYS[shelfLife],
              },
            ]
          : [];
      })
      .sort((a, b) => a.firstDay - b.firstDay);
    const tested = plan.exercises
      .flatMap(({ load }) => (load.kind === 'weighed' ? [load.testId] : []))
      .flatMap((testId) => facts.strengthTests.filter((test) => test.id === testId))
      .map(({ atMs }) => ({ firstDay: day(atMs + TEST_DAYS * MS_PER_DAY), everyDays: TEST_DAYS }))
      .sort((a, b) => a.firstDay - b.firstDay);
    return [
      ...measured.slice(0, 1).map((due) => ({ coursePlanId: id, what: 'measure' as const, ...due })),
      ...tested.slice(0, 1).map((due) => ({ coursePlanId: id, what: 'test' as const, ...due })),
    ];
  });
}
