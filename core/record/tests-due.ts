import { dayAt, dayOf } from '../course/days';
import { MEASURES, type Measure } from '../outcomes/measures';
import { type DueTest, MOMENT_WORDS, testsDue } from '../outcomes/test-calendar';
import { LIMB_LABELS } from '../quantity/limb';
import { blockAsItStands } from './block-in-force';
import type { ClientFacts } from './facts';

type DueFacts = Parameters<typeof blockAsItStands>[0] & Pick<ClientFacts, 'followed' | 'zoneOffsetMs'>;

/** What the block in force, as it stands now, has due to be measured today (rule OUT-4); none without a block. */
export function testsDueByBlock(facts: DueFacts, nowMs: number): DueTest[] {
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
export const dueWords = ({ measureId, limb, setting }: DueTest): string => {
  const { label }: Measure = MEASURES[measureId];
  return [label, limb && LIMB_LABELS[limb].toLowerCase(), setting].filter(Boolean).join(', ');
};

/** The same in one line for a list of people; null where nothing is due. @example 'To measure midway: Calf girth, left thigh, and 1 more.' */
export function testsDueLine(facts: DueFacts, nowMs: number): string | null {
  const [first, ...others] = testsDueByBlock(facts, nowMs);
  if (!first) return null;
  const more = others.length > 0 ? `, and ${others.length} more` : '';
  return `To measure ${MOMENT_WORDS[first.moment]}: ${dueWords(first)}${more}.`;
}
