import { t } from '@lingui/core/macro';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { useMay, usePractice } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { Reading } from '../../../parts/base/Reading';
import { Why } from '../../../parts/base/Why';
import { FieldError } from '../../../parts/fields/Field';
import { FileInput } from '../../../parts/fields/FileLink';
import { PAPER_FORM_IDS, PAPER_FORMS } from '../../../words/paper-forms';
import { ArchiveImport } from './ArchiveImport';
import { CalendarAddress } from './CalendarAddress';
import { ExportSection } from './ExportSection';
import { ImportList } from './ImportList';
import { kindOfFile } from './kind-of-file';
import { TableImport } from './TableImport';

type Brought = { file: File; kind: 'archive' | 'table' };

/** How a practice comes from spreadsheets, paper or another practice, and leaves with everything. */
export function ImportExportView() {
  const { data: practice } = usePractice();
  const mayImport = useMay('import');
  const mayTakeOut = useMay('take-practice-out');
  const [brought, setBrought] = useState<Brought | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  if (!practice) return <Reading inFrame>{t`Reading the practice…`}</Reading>;
  const take = async (file: File) => {
    const kind = await kindOfFile(file);
    setRefused(kind.ok ? null : kind.words);
    setBrought(kind.ok ? { file, kind: kind.kind } : null);
  };
  const done = () => setBrought(null);
  return (
    <div className="space-y-6 p-6">
      <PracticeHead title={t`Import and export`}>{null}</PracticeHead>
      {!mayImport && (
        <p className="max-w-prose text-quiet">
          {t`A clinician or the owner brings records in; the owner takes the practice out.`}{' '}
          <Why rule="SCR-4" />
        </p>
      )}
      {mayImport && (
        <>
          <section aria-label={t`Bring in`} className="space-y-4">
            <DropFile take={take} isOpen={brought === null} />
            {refused && <FieldError>{refused}</FieldError>}
            {brought?.kind === 'archive' && (
              <ArchiveImport key={keyOf(brought.file)} file={brought.file} done={done} />
            )}
            {brought?.kind === 'table' && (
              <TableImport key={keyOf(brought.file)} file={brought.file} practice={practice} done={done} />
            )}
          </section>
          {brought === null && (
            <>
              {mayTakeOut && <ExportSection name={practice.settings.name} />}
              <ImportList practitioners={practice.practitioners} />
            </>
          )}
        </>
      )}
      {brought === null && (
        <>
          <BlankSheets />
          <CalendarAddress />
        </>
      )}
    </div>
  );
}

/** Blank sheets, to be filled in by hand. */
const BlankSheets = () => (
  <section aria-labelledby="blank-sheets">
    <h2 id="blank-sheets" className="text-xl font-semibold">
      {t`Blank sheets to print`}
    </h2>
    <p className="flex flex-wrap gap-x-6">
      {PAPER_FORM_IDS.map((id) => (
        <Link
          key={id}
          to={`/papers/${id}`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {PAPER_FORMS[id].label}
        </Link>
      ))}
    </p>
  </section>
);

const keyOf = ({ name, size, lastModified }: File) => `${name} ${size} ${lastModified}`;

/** Where a file is dropped or chosen; what it is, the app finds out. */
function DropFile({ take, isOpen }: { take: (file: File) => void; isOpen: boolean }) {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping is a second way; the button beside it is the first.
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (file) take(file);
      }}
      className={`flex flex-wrap items-center gap-x-6 gap-y-2 border-2 border-dashed px-5 py-4 ${isOver ? 'border-plum bg-tint' : 'border-ink/40'}`}
    >
      <Button kind={isOpen ? 'main' : 'plain'} onClick={() => input.current?.click()}>
        {isOpen ? t`Choose a file` : t`Choose another file`}
      </Button>
      <p className="min-w-60 flex-1">
        {t`or drop it here: a table of people, girths, pressures, strength tests, outcomes or sessions (CSV from any spreadsheet), or an archive of Nervato.`}
      </p>
      <FileInput
        ref={input}
        label={t`File to bring in`}
        accept=".csv,.tsv,.txt,.ndjson,.json"
        onFile={take}
      />
    </div>
  );
}
