import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import {
  type Block,
  type BlockEntry,
  type BlockPlan,
  type BlockStartId,
  type BlockWeek,
  type BlockWish,
  blockSchema,
  blockWishSchema,
  followBlock,
  onDays,
  type Rescheduled,
  type Running,
  rescheduled,
  type Scheduled,
  scheduledOn,
  startBlock,
  type Unmet,
  weeksOf,
} from '#core/course';
import { type Message, msg } from '#core/message';
import { byDay, type Day, dayAt, dayOf, isoOf, newest } from '#core/quantity';
import {
  blockDues,
  blockPlansOf,
  type CourseDay,
  comparisonWords,
  courseDays,
  type HeavyShare,
  heavyShare,
  sessionsByDay,
} from '#core/record';
import { askPlanning } from '../../../workers/planning';

const USUAL_TIME = '17:30';

/** Whether two blocks say the same, whatever their sessions are called by; the schema puts their fields in one order. */
const isSame = (a: Block, b: Block): boolean => {
  const bare = ({ wish, sessions }: Block) =>
    blockSchema.safeParse({
      wish,
      sessions: sessions.map(({ day, coursePlanId }) => ({ day, coursePlanId })),
    });
  const [one, other] = [bare(a), bare(b)];
  return one.success && other.success && JSON.stringify(one.data) === JSON.stringify(other.data);
};

const inOrder = (sessions: readonly Scheduled[]): Scheduled[] => [...sessions].sort(byDay);

/** A block as it is being planned: the wish, the days placed for it, what was moved by hand, and how it is today. */
export function useBlock(client: ClientRecord, practice: PracticeView): BlockState {
  const { facts, judgedAtMs } = client;
  const plans = useMemo(() => blockPlansOf(facts), [facts]);
  const today = dayAt(judgedAtMs, facts.zoneOffsetMs);
  const kept = newest(facts.blocks);
  const [wish, setWish] = useState<BlockWish>(
    () => kept?.wish ?? startBlock('size', plans, { startsOn: isoOf(today), atTime: USUAL_TIME }),
  );
  // Sessions fixed by hand or as they were kept; null lets them be placed.
  const [byHand, setByHand] = useState<Scheduled[] | null>(kept?.sessions ?? null);
  const problem = blockWishSchema.safeParse(wish).error;
  // What was is kept as it was.
  const running: Running = {
    fromDay: Math.max(today, dayOf(wish.startsOn)),
    before: kept ? onDays(kept) : [],
  };
  const { data: placed } = useQuery({
    // The plans are those of the record as it was read.
    queryKey: ['block', client.id, client.asOf, wish, running.fromDay],
    queryFn: () => askPlanning((worker) => worker.placeBlock(wish, plans, running)),
    enabled: !problem,
    placeholderData: (before) => before,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const sessions = useMemo(() => byHand ?? scheduledOn(placed?.sessions ?? []), [byHand, placed]);
  const block: Block = useMemo(() => ({ wish, sessions }), [wish, sessions]);
  const isKept = kept !== undefined && isSame(block, kept);
  const isWhole = problem === undefined;
  const entries = useMemo(
    () => (isWhole ? followBlock(block, plans, sessionsByDay(facts), today) : []),
    [isWhole, block, plans, facts, today],
  );
  const days = useMemo(
    () => courseDays({ block, entries }, facts, practice, judgedAtMs),
    [block, entries, facts, practice, judgedAtMs],
  );
  const change = (part: Partial<BlockWish>) => {
    setWish((old) => ({ ...old, ...part }));
    setByHand(null);
  };
  const draft = (next: BlockWish) => {
    setWish(next);
    setByHand(null);
  };
  return {
    plans,
    wish,
    problem,
    block,
    entries,
    weeks: problem
      ? []
      : weeksOf(block, days, plans, blockDues(facts, judgedAtMs)).map((week) => ({
          ...week,
          heavy: week.isDeload ? heavyShareOf(days, facts, week.firstDay) : null,
          due: [...comparedIn(facts, week.firstDay), ...week.due],
        })),
    unmet: byHand ? [] : (placed?.unmet ?? []),
    moved: kept && !isKept ? rescheduled(onDays(kept), onDays(block), wish.season) : [],
    today,
    isKept,
    hasKept: kept !== undefined,
    change,
    draft,
    startFrom: (id: BlockStartId) => draft(startBlock(id, plans, wish)),
    /** Adds a session of a plan to a day, or takes it away. */
    toggle: (day: Day, coursePlanId: string) => {
      const at = { day: isoOf(day), coursePlanId };
      const isThere = (one: Scheduled) => one.day === at.day && one.coursePlanId === coursePlanId;
      setByHand(
        sessions.some(isThere) ? sessions.filter((one) => !isThere(one)) : inOrder([...sessions, at]),
      );
    },
  };
}

/** A week of a block, and in a deload week what it stands in for of heavy work. */
export type WeekShown = BlockWeek & { heavy: HeavyShare | null };

/** What a week that is all to come stands in for of the heavy work before it (rule PRO-4). */
function heavyShareOf(
  days: readonly CourseDay[],
  facts: ClientRecord['facts'],
  firstDay: Day,
): HeavyShare | null {
  const inWeek = days.filter(({ day }) => day >= firstDay && day < firstDay + 7);
  const plans = inWeek.flatMap((one) => (one.state === 'to-come' && one.plan ? [one.plan] : []));
  return plans.length === inWeek.length ? heavyShare(plans, facts, firstDay) : null;
}

/** What a comparison asks of a week that begins on a day, in words; both where it changes within the week. */
const comparedIn = (facts: ClientRecord['facts'], firstDay: Day): Message[] => {
  const asked = [firstDay, firstDay + 6].flatMap((day) => comparisonWords(facts, day) ?? []);
  return asked
    .filter(({ toDay }, place) => asked.findIndex((other) => other.toDay === toDay) === place)
    .map(({ words }) => msg('Compared: {words}', { words }));
};

export type BlockState = {
  plans: BlockPlan[];
  wish: BlockWish;
  problem: ReturnType<typeof blockWishSchema.safeParse>['error'];
  block: Block;
  entries: BlockEntry[];
  weeks: WeekShown[];
  unmet: Unmet[];
  /** Sessions of the kept block that the calendar moves, each with why. */
  moved: Rescheduled[];
  today: Day;
  isKept: boolean;
  hasKept: boolean;
  change: (part: Partial<BlockWish>) => void;
  /** Takes another wish for this one; its days are placed again. */
  draft: (wish: BlockWish) => void;
  startFrom: (id: BlockStartId) => void;
  toggle: (day: Day, coursePlanId: string) => void;
};
