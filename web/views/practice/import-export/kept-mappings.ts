import { z } from 'zod';
import { type Mapping, TABLE_KINDS } from '#core/table';
import { storedValue } from '../../../state/stored-value';

const keptSchema = z.record(
  z.string(),
  z.object({
    kind: z.enum(TABLE_KINDS),
    columns: z.record(
      z.string(),
      z.object({ column: z.number(), unit: z.enum(['kg', 'lb', 'cm', 'mm', 'in']).nullable() }),
    ),
    dateOrder: z.enum(['year-month-day', 'day-month-year', 'month-day-year']).nullable(),
    decimalMark: z.enum(['point', 'comma']).nullable(),
  }),
);

/** How tables were read on this device, by their headings: the same table is read the same way next time. */
const kept = storedValue('nervato-table-mappings', '{}');

const MOST_KEPT = 40;
const keyOf = (headings: readonly string[]) => headings.join('\u001f');

function keptNow(): Record<string, Mapping> {
  try {
    return keptSchema.parse(JSON.parse(kept.get()));
  } catch {
    // What an older release kept is no loss: the table is recognised again.
    return {};
  }
}

export const keptMapping = (headings: readonly string[]): Mapping | null =>
  keptNow()[keyOf(headings)] ?? null;

export function keepMapping(headings: readonly string[], mapping: Mapping): void {
  const others = Object.entries(keptNow()).filter(([key]) => key !== keyOf(headings));
  kept.set(JSON.stringify(Object.fromEntries([...others.slice(1 - MOST_KEPT), [keyOf(headings), mapping]])));
}
