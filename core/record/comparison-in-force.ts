import { type Message, msg } from '../message/message';
import { type Comparison, comparisonDue, conditionsOn, drawnWords, lastDayOf } from '../outcomes/comparison';
import { isSameFollowed } from '../outcomes/taken';
import { type Day, dayAt } from '../quantity/days';
import type { ClientFacts, ComparisonFact } from './facts';

type ComparisonFacts = Pick<ClientFacts, 'comparisons' | 'zoneOffsetMs'>;

/** The comparison that runs, or is about to, or still waits for its last values; undefined where there is none. */
export const comparisonInForce = ({ comparisons, zoneOffsetMs }: ComparisonFacts, nowMs: number) =>
  comparisons.find(({ design }) => dayAt(nowMs, zoneOffsetMs) <= lastDayOf(design));

/**
 * What the comparison asks of a day, in words; null where it asks nothing.
 * @example comparisonWords(facts, dayOf('2026-03-20')) //=> { words: 'without the cuff', toDay: dayOf('2026-03-22') }
 */
export function comparisonWords(
  facts: Pick<ClientFacts, 'comparisons'>,
  day: Day,
): { words: Message; toDay: Day } | null {
  for (const { design } of facts.comparisons) {
    const [now] = conditionsOn(design, day);
    if (now) return { words: wordsOf(design, now.withCuff), toDay: now.toDay };
  }
  return null;
}

function wordsOf(design: Comparison, withCuff: boolean): Message {
  if (design.kind === 'limbs') return drawnWords(design);
  return withCuff ? msg('with the cuff') : msg('without the cuff');
}

/** What the running comparisons have due to be measured today. */
export function comparisonsDue(
  facts: ComparisonFacts & Pick<ClientFacts, 'followed'>,
  nowMs: number,
): ReturnType<typeof comparisonDue> {
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  return facts.comparisons.flatMap(({ design }: ComparisonFact) =>
    comparisonDue(
      design,
      (limb) =>
        facts.followed
          .filter((one) => isSameFollowed(one, { ...design, limb }))
          .map(({ atMs }) => dayAt(atMs, facts.zoneOffsetMs)),
      today,
    ),
  );
}
