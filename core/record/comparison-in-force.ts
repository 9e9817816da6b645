import { type Day, dayAt } from '../course/days';
import {
  type Comparison,
  comparisonDue,
  conditionsOf,
  conditionsOn,
  drawnWords,
} from '../outcomes/comparison';
import type { ClientFacts, ComparisonFact } from './facts';

type ComparisonFacts = Pick<ClientFacts, 'comparisons' | 'zoneOffsetMs'>;

/** The last values may be taken so long after its end. */
const AFTER_DAYS = 7;

/** The comparison that runs, or is about to, or still waits for its last values; undefined where there is none. */
export const comparisonInForce = ({ comparisons, zoneOffsetMs }: ComparisonFacts, nowMs: number) =>
  comparisons.find(({ design }) => dayAt(nowMs, zoneOffsetMs) <= lastDayOf(design) + AFTER_DAYS);

const lastDayOf = (design: Comparison): Day => Math.max(...conditionsOf(design).map(({ toDay }) => toDay));

/**
 * What the comparison asks of a day, in words; null where it asks nothing.
 * @example comparisonWords(facts, dayOf('2026-03-20')) //=> { words: 'without the cuff', toDay: dayOf('2026-03-22') }
 */
export function comparisonWords(
  facts: Pick<ClientFacts, 'comparisons'>,
  day: Day,
): { words: string; toDay: Day } | null {
  for (const { design } of facts.comparisons) {
    const [now] = conditionsOn(design, day);
    if (now) return { words: wordsOf(design, now.withCuff), toDay: now.toDay };
  }
  return null;
}

function wordsOf(design: Comparison, withCuff: boolean): string {
  if (design.kind === 'limbs') return drawnWords(design);
  return withCuff ? 'with the cuff' : 'without the cuff';
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
          .filter(
            (one) =>
              one.measureId === design.measureId &&
              one.limb === limb &&
              one.setting.toLowerCase() === design.setting.toLowerCase(),
          )
          .map(({ atMs }) => dayAt(atMs, facts.zoneOffsetMs)),
      today,
    ),
  );
}
