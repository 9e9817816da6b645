import type { ArchiveKind } from '#contract/archive-rows';
import { presentName } from '#core/session';

type Row = Readonly<Record<string, unknown>>;

const renamed =
  (was: string, is: string) =>
  (row: Row): Row => {
    if (!Object.hasOwn(row, was)) return row;
    const { [was]: value, ...rest } = row;
    return { ...rest, [is]: value };
  };

/** What earlier releases called otherwise, by the kind of row (docs/glossary.md). */
const RENAMED: Partial<Record<ArchiveKind, (row: Row) => Row>> = {
  event: (row) => ({ ...row, event: presentName(row.event) }),
  'adverse-event': renamed('told', 'notified'),
  'session-attempt': (row) =>
    typeof row.answer === 'object' && row.answer !== null
      ? { ...row, answer: renamed('deeds', 'actions')(row.answer as Row) }
      : row,
};

/** A row of an archive that an earlier release wrote, under the names of now. */
export function withPresentNames(kind: ArchiveKind, row: unknown): unknown {
  const rename = RENAMED[kind];
  return rename && typeof row === 'object' && row !== null ? rename(row as Row) : row;
}
