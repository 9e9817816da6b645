import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { ARCHIVE_KIND_NAMES } from '#contract/archive-kind-names';
import { ARCHIVE_KINDS, type ArchiveKind } from '#contract/archive-rows';
import { failureWords } from '../../../data/api';
import { useExport, useSiteKey } from '../../../data/import-export';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';

const SEPARATORS = [
  { value: 'comma', label: t`commas between cells` },
  { value: 'semicolon', label: t`semicolons between cells` },
] as const;

/** The practice as a file: whole, or one table of it. */
export function ExportSection({ name }: { name: string }) {
  const takeOut = useExport();
  const { data: site } = useSiteKey();
  const [kind, setKind] = useState<ArchiveKind>('session');
  const [separator, setSeparator] = useState<(typeof SEPARATORS)[number]['value']>('comma');
  const base = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  return (
    <section aria-labelledby="export" className="max-w-4xl space-y-3">
      <h2 id="export" className="text-xl font-semibold">
        {t`Export`}
      </h2>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Button
          disabled={takeOut.isPending}
          onClick={() => takeOut.mutate({ path: 'archive', fileName: `${base}.ndjson` })}
        >
          {t`The whole practice`}
        </Button>
        <p className="min-w-60 flex-1 text-[15px] text-quiet">
          {t`Everything that was ever written down, in one open file that another practice can import. One person alone: in their log. Anyone with the file can read it.`}
        </p>
      </div>
      {/* Its room is kept while it is read: nothing moves as it comes. */}
      <p className="min-h-6 text-[15px] text-quiet">
        {site && (
          <Trans>
            It is signed with the key of this site,{' '}
            <span className="figures text-ink">{site.fingerprint}</span>. An empty site that the practice
            moves to asks for it.
          </Trans>
        )}
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Picker
          label={t`One table`}
          value={kind}
          options={ARCHIVE_KINDS.map((value) => ({ value, label: translate(ARCHIVE_KIND_NAMES[value]) }))}
          onChange={setKind}
        />
        <Picker label={t`With`} value={separator} options={SEPARATORS} onChange={setSeparator} />
        <Button
          disabled={takeOut.isPending}
          onClick={() =>
            takeOut.mutate({
              path: `archive/csv/${kind}?separator=${separator}`,
              fileName: `${base}-${kind}.csv`,
            })
          }
        >
          {t`As CSV`}
        </Button>
      </div>
      {takeOut.error && <FieldError>{failureWords(takeOut.error)}</FieldError>}
    </section>
  );
}
