import { type Message, msg } from '../message/message';
import type { Day } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { MeasureId } from './measures';

/** When in a block; or a value that a comparison is built on. */
export type TestMoment = 'baseline' | 'midway' | 'after' | 'follow-up' | 'comparison';

/** Something that is followed in a person, with the days it was taken on. */
export type Followed = { measureId: MeasureId; limb: Limb | null; setting: string; days: readonly Day[] };

/** The block that is gone by, in days: its first and last day, and that of the last session it has. */
export type BlockSpan = { fromDay: Day; toDay: Day; lastSessionDay: Day };

/** A measure that is due, and from which day on. */
export type DueTest = { moment: TestMoment; fromDay: Day } & Omit<Followed, 'days'>;

const { baselineDays, midwayLeadDays, restDays, followUpDays } = RULES['OUT-4'].figures;

/** From when to before when each moment lasts; nothing asks for one that the next has begun. */
function momentsOf({
  fromDay,
  toDay,
  lastSessionDay,
}: BlockSpan): { moment: TestMoment; fromDay: Day; toDay: Day }[] {
  const midway = Math.floor((fromDay + toDay) / 2) - midwayLeadDays;
  const after = lastSessionDay + restDays;
  const followUp = lastSessionDay + followUpDays;
  return [
    { moment: 'baseline', fromDay: fromDay - baselineDays, toDay: midway },
    { moment: 'midway', fromDay: midway, toDay: after },
    { moment: 'after', fromDay: after, toDay: followUp },
    { moment: 'follow-up', fromDay: followUp, toDay: Number.POSITIVE_INFINITY },
  ];
}

/**
 * What is due to be measured today by a block: everything that is followed and was not taken since this moment began (rule
 * OUT-4).
 * @example an eight-week block, the girth taken a week before it, on its day 30 //=> [{ moment: 'midway', … }]
 */
export function testsDue(block: BlockSpan, followed: readonly Followed[], today: Day): DueTest[] {
  const now = momentsOf(block).findLast(({ fromDay }) => today >= fromDay);
  if (!now) return [];
  return followed
    .filter(({ days }) => !days.some((day) => day >= now.fromDay && day < now.toDay))
    .map(({ days: _, ...measure }) => ({ ...measure, moment: now.moment, fromDay: now.fromDay }));
}

export const MOMENT_WORDS: Record<TestMoment, Message> = {
  baseline: msg('before the block'),
  midway: msg('midway'),
  after: msg('after the block'),
  'follow-up': msg('follow-up'),
  comparison: msg('for the comparison'),
};
