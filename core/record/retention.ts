import { type Day, isoOf } from '../quantity/days';
import { MS_PER_DAY } from '../quantity/units';

/**
 * The last day on which a record is kept, so many years after a client was last here. From 29 February a day longer where the year
 * has none, never shorter.
 * @example isoOf(keptUntil(dayOf('2024-02-29'), 10)) //=> '2034-03-01'
 */
export function keptUntil(lastHere: Day, years: number): Day {
  const [year = 0, month = 1, day = 1] = isoOf(lastHere).split('-').map(Number);
  return Date.UTC(year + years, month - 1, day) / MS_PER_DAY;
}
