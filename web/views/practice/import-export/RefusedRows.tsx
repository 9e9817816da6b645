import { t } from '@lingui/core/macro';
import { TABLES, type TableKind } from '#core/table';
import { language } from '../../../language/language';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';

/** A row that does not go in: its place in the file, its cells, the fields at fault, and what to correct. */
export type Refused = { row: number; cells: string[]; fields: string[]; why: string };

const SHOWN = 8;

/** What is to be corrected, with all of it as a table to correct it in. */
export function RefusedRows({
  kind,
  refused,
  left,
  download,
}: {
  kind: TableKind;
  refused: readonly Refused[];
  left: number;
  download: (isSemicolon: boolean) => void;
}) {
  if (refused.length === 0) return null;
  return (
    <section aria-label={t`Rows to correct of ${translate(TABLES[kind].label)}`} className="space-y-2">
      <ul className="border-t border-ink/40">
        {refused.slice(0, SHOWN).map(({ row, cells, why }) => (
          <li key={row} className="border-b border-rule py-1.5 text-[15px]">
            <strong>{t`Row ${row + 1}`}</strong>{' '}
            <span className="text-quiet">{cells.filter(Boolean).join(' · ').slice(0, 120)}</span>
            <br />
            {why}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4">
        {left > SHOWN && (
          <p className="text-quiet">{t`and ${(left - SHOWN).toLocaleString(language.get())} more`}</p>
        )}
        <Button onClick={() => download(false)}>{t`The ${refused.length} to correct, as CSV`}</Button>
        <Button onClick={() => download(true)}>{t`with semicolons`}</Button>
      </div>
    </section>
  );
}
