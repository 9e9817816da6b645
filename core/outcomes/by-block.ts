import type { Library } from '../protocol/exercises';
import { type Day, dayAt, dayOf } from '../quantity/days';
import { addUp, type LoggedSession, type LogTotals } from './add-up';
import type { Series } from './series';
import { nearestValue, sumOfValues } from './sum-of-values';
import { type Judged, judge, type Occasion, type Verdict, verdict } from './verdict';

/** A block as it was kept at a moment; one that is changed while it runs is kept again. */
export type KeptBlock = { atMs: number; startsOn: string; weeks: number; plannedSessions: number };

/** One block of a person: what was done in it, and what a measure changed by. */
export type BlockOutcome = {
  fromDay: Day;
  toDay: Day;
  isRunning: boolean;
  plannedSessions: number;
  totals: LogTotals;
  before: Occasion | null;
  /** The last value so far, while it runs. */
  after: Occasion | null;
  verdict: Verdict | null;
  /** How much more it changed by than in the block before, against the errors of all values; null where one is missing. */
  againstLast: Judged | null;
};

/** A value so old may still stand for the beginning of a block, and one so late for its end. */
const NEAR_DAYS = 14;
/** A value taken in the first days of a block, or the last, is still one of before, or already of after. */
const WITHIN_DAYS = 3;

/**
 * Blocks one by one, the newest first: the dose of each and the change of one measure over it, and against the block before
 * (rules OUT-2, OUT-6).
 */
export function byBlock(
  kept: readonly KeptBlock[],
  sessions: readonly LoggedSession[],
  { points, measure }: Pick<Series, 'points' | 'measure'>,
  { library, zoneOffsetMs, today }: { library: Library; zoneOffsetMs: number; today: Day },
): BlockOutcome[] {
  const dayOfPoint = ({ atMs }: Occasion) => dayAt(atMs, zoneOffsetMs);
  const blocks = spansOf(kept, today).map(({ fromDay, toDay, plannedSessions }) => {
    const isRunning = toDay >= today;
    const before = nearestValue(points, dayOfPoint, {
      about: fromDay,
      fromDay: fromDay - NEAR_DAYS,
      toDay: fromDay + WITHIN_DAYS,
    });
    const after = isRunning
      ? points.findLast((point) => dayOfPoint(point) > fromDay + WITHIN_DAYS)
      : nearestValue(points, dayOfPoint, {
          about: toDay + 1,
          fromDay: toDay + 1 - WITHIN_DAYS,
          toDay: toDay + NEAR_DAYS,
        });
    const own = sessions.filter(({ startedAtMs }) => {
      const day = dayAt(startedAtMs, zoneOffsetMs);
      return day >= fromDay && day <= toDay;
    });
    return {
      fromDay,
      toDay,
      isRunning,
      plannedSessions,
      totals: addUp(own, library, zoneOffsetMs),
      before: before ?? null,
      after: after ?? null,
      verdict: before && after ? verdict(measure, before, after) : null,
    };
  });
  return blocks
    .map((block, place) => ({ ...block, againstLast: differenceOf(blocks[place - 1], block, measure) }))
    .reverse();
}

type Ends = Pick<BlockOutcome, 'before' | 'after'>;

function differenceOf(
  last: Ends | undefined,
  { before, after }: Ends,
  { better }: Series['measure'],
): Judged | null {
  if (!last?.before || !last.after || !before || !after) return null;
  const { change, sd } = sumOfValues([
    [after, 1],
    [before, -1],
    [last.after, -1],
    [last.before, 1],
  ]);
  return judge(better, change, sd);
}

/** Blocks that have begun, the oldest first: as last kept, each until the next one begins. */
function spansOf(kept: readonly KeptBlock[], today: Day) {
  const newest = new Map<Day, KeptBlock>();
  for (const block of [...kept].sort((a, b) => a.atMs - b.atMs)) newest.set(dayOf(block.startsOn), block);
  const begun = [...newest].filter(([fromDay]) => fromDay <= today).sort(([a], [b]) => a - b);
  return begun.map(([fromDay, { weeks, plannedSessions }], place) => ({
    fromDay,
    toDay: Math.min(fromDay + 7 * weeks, begun[place + 1]?.[0] ?? Number.POSITIVE_INFINITY) - 1,
    plannedSessions,
  }));
}
