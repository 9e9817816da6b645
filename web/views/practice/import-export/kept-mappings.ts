import { z } from 'zod';
import { type Mapping, mappingSchema } from '#core/table';
import { storedValue } from '../../../state/stored-value';

const keptSchema = z.record(z.string(), mappingSchema);

/** How tables were read on this device, by their kind and headings: the same table is read the same way next time. */
const kept = storedValue('nervato-tables', '{}');

const MOST_KEPT = 40;
const keyOf = (kind: string, headings: readonly string[]) => [kind, ...headings].join('\u001f');

function keptNow(): Record<string, Mapping> {
  try {
    return keptSchema.parse(JSON.parse(kept.get()));
  } catch {
    // What an older release kept is no loss: the table is recognised again.
    return {};
  }
}

export const keptMapping = (kind: string, headings: readonly string[]): Mapping | null =>
  keptNow()[keyOf(kind, headings)] ?? null;

export function keepMapping(headings: readonly string[], mapping: Mapping): void {
  const key = keyOf(mapping.kind, headings);
  const others = Object.entries(keptNow()).filter(([other]) => other !== key);
  kept.set(JSON.stringify(Object.fromEntries([...others.slice(1 - MOST_KEPT), [key, mapping]])));
}
