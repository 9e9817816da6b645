import type { RetractableKind } from '#contract/corrections';
import type { Definition } from './define';
import { momentOf } from './define';
import { RECORDS } from './records';

/** The table of entries of a kind, the column of their moment, and their content as SQL. */
type Retractable = {
  kind: RetractableKind;
  table: string;
  at: string;
  content: string;
  /** Whether a newer one takes its place. */
  isReplaced: boolean;
};

/** Every kind of entry that can be retracted. */
export const RETRACTABLE: readonly Retractable[] = RECORDS.flatMap((record: Definition) =>
  record.retract
    ? [
        {
          ...record.retract,
          table: record.table,
          at: momentOf(record),
          isReplaced: record.newestOf !== undefined,
        },
      ]
    : [],
);

/** @throws RangeError for a kind that no record has */
export function retractable(kind: RetractableKind): Retractable {
  const found = RETRACTABLE.find((one) => one.kind === kind);
  if (!found) throw new RangeError(`No record is retracted as ${kind}.`);
  return found;
}
