import { type Message, msg } from '../message/message';
import { measureBook, measureOf } from '../outcomes/measures';
import { isSameFollowed, measuredWords } from '../outcomes/taken';
import { type DueTest, MOMENT_WORDS, testsDue } from '../outcomes/test-calendar';
import { dayAt, dayOf } from '../quantity/days';
import { blockAsItStands } from './block-in-force';
import { comparisonsDue } from './comparison-in-force';
import type { ClientFacts } from './facts';

type DueFacts = Parameters<typeof blockAsItStands>[0] &
  Pick<ClientFacts, 'followed' | 'ownMeasures' | 'comparisons' | 'zoneOffsetMs'>;

/** What is due to be measured today: for a comparison that runs, and by the block in force as it is now (rule OUT-4). */
export function measuresDue(facts: DueFacts, nowMs: number): DueTest[] {
  const compared = comparisonsDue(facts, nowMs).map((one) => ({ ...one, moment: 'comparison' as const }));
  const byBlock = dueByBlock(facts, nowMs).filter(
    (one) => !compared.some((other) => isSameFollowed(one, other)),
  );
  return [...compared, ...byBlock];
}

function dueByBlock(facts: DueFacts, nowMs: number): DueTest[] {
  const standing = blockAsItStands(facts, nowMs);
  if (!standing) return [];
  const { wish } = standing.block;
  const fromDay = dayOf(wish.startsOn);
  const toDay = fromDay + 7 * wish.weeks - 1;
  const days = standing.entries.map((entry) => (entry.state === 'done' ? entry.doneOn : entry.day));
  const lastSessionDay = days.length > 0 ? Math.max(...days) : toDay;
  const followed = facts.followed.map(({ atMs, ...measure }) => ({
    ...measure,
    days: [dayAt(atMs, facts.zoneOffsetMs)],
  }));
  return testsDue({ fromDay, toDay, lastSessionDay }, followed, standing.today);
}

/** What is measured, of which limb, as it was set: "Calf girth, left thigh". */
export const dueWords = (
  { measureId, limb, setting }: DueTest,
  { ownMeasures }: Pick<ClientFacts, 'ownMeasures'>,
): Message => measuredWords({ limb, setting }, measureOf(measureBook(ownMeasures), measureId));

/** The same in one line for a list of people; null where nothing is due. @example 'To measure midway: Calf girth, left thigh, and 1 more.' */
export function testsDueLine(facts: DueFacts, nowMs: number): Message | null {
  const [first, ...others] = measuresDue(facts, nowMs);
  if (!first) return null;
  const values = { moment: MOMENT_WORDS[first.moment], due: dueWords(first, facts), more: others.length };
  return others.length > 0
    ? msg('To measure {moment}: {due}, and {more} more.', values)
    : msg('To measure {moment}: {due}.', values);
}
