import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { type ReactNode, useState } from 'react';
import type { PracticeView } from '#contract/practice';
import { type Message, sentences } from '#core/message';
import { dayOf } from '#core/quantity';
import {
  type BadCell,
  type DateOrder,
  likelyKind,
  type Mapping,
  missingIn,
  openDate,
  recognise,
  TABLE_KINDS,
  TABLES,
  withForms,
} from '#core/table';
import { failureWords } from '../../../data/api';
import { previewTable, useImportTable } from '../../../data/import-export';
import { saveFile } from '../../../data/save-file';
import { language } from '../../../language/language';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { notify } from '../../../state/notices';
import { day } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import type { Look } from '../../../workers/table.worker';
import { tablesWorker } from '../../../workers/tables';
import { keepMapping, keptMapping } from './kept-mappings';
import { knownNames } from './known-names';
import { MappingTable } from './MappingTable';
import { type Refused, RefusedRows } from './RefusedRows';

/** A table before it is brought in: what it is, which column is what, and how every row will be stored. */
export function TableImport({
  file,
  practice,
  done,
}: {
  file: File;
  practice: PracticeView;
  done: () => void;
}) {
  const { data: look, error } = useQuery({
    queryKey: ['table', file.name, file.size, file.lastModified],
    queryFn: () => tablesWorker().look(file),
    gcTime: 0,
    retry: false,
  });
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!look) return <Reading>{t`Reading ${file.name}…`}</Reading>;
  return <MapTable file={file} look={look} practice={practice} done={done} />;
}

const firstMapping = ({ headings, rows }: Look, dateOrder: DateOrder): Mapping =>
  keptMapping(headings) ?? recognise(likelyKind(headings), headings, rows, dateOrder);

function MapTable({
  file,
  look,
  practice,
  done,
}: {
  file: File;
  look: Look;
  practice: PracticeView;
  done: () => void;
}) {
  const { dateOrder } = practice.settings;
  const [mapping, setMapping] = useState(() => firstMapping(look, dateOrder));
  // Columns without a unit of their own are in the practice's, until their row says otherwise.
  const units = { mass: practice.settings.massUnit, length: practice.settings.lengthUnit };
  const open = missingIn(mapping, units);
  const ambiguous = openDate(mapping, look.rows);
  const twice = [
    ...new Set(look.headings.filter((head, at) => head !== '' && look.headings.indexOf(head) !== at)),
  ];
  const columns = (
    <MappingTable
      mapping={mapping}
      look={look}
      known={knownNames(practice)}
      units={units}
      change={(next) => setMapping(withKeptForms(next, look, mapping, dateOrder))}
    />
  );
  return (
    <section aria-label={t`Table`} className="max-w-5xl space-y-4">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h2 className="min-w-60 flex-1 text-xl font-semibold">{file.name}</h2>
        <Picker
          label={t`It is a table of`}
          value={mapping.kind}
          options={TABLE_KINDS.map((value) => ({
            value,
            label: inSentence(TABLES[value].label),
          }))}
          onChange={(kind) => setMapping(recognise(kind, look.headings, look.rows, dateOrder))}
        />
        <Button onClick={done}>{t`Cancel`}</Button>
      </div>
      {look.encoding !== 'utf-8' && (
        <p className="text-[15px] text-quiet">
          {t`Read as ${look.encoding === 'windows-1252' ? 'Latin 1' : 'UTF-16'}: look whether names have their letters.`}
        </p>
      )}
      {twice.length > 0 && (
        <p className="text-[15px] text-ochre">
          {t`Several columns are called “${twice.join('”, “')}”: of those the first is taken, unless you choose another.`}
        </p>
      )}
      {ambiguous && (
        <p className="text-ochre">
          {t`${ambiguous.text} is read as ${day(noonOf(dayOf(ambiguous.day)).getTime())}. If that is wrong, choose below how dates are written.`}
        </p>
      )}
      {open.length > 0 ? (
        <>
          <div role="status">
            <p className="font-semibold">{t`To be said before it can be read:`}</p>
            <ul className="list-inside list-disc">
              {open.map((question) => (
                <li key={translate(question)}>{translate(question)}</li>
              ))}
            </ul>
          </div>
          {columns}
        </>
      ) : (
        <ReadAndTake
          file={file}
          look={look}
          mapping={mapping}
          practice={practice}
          done={() => {
            keepMapping(look.headings, mapping);
            done();
          }}
        >
          {columns}
        </ReadAndTake>
      )}
    </section>
  );
}

/** Forms that were chosen stay chosen; those that follow from the columns are worked out again. */
function withKeptForms(next: Mapping, look: Look, before: Mapping, usualOrder: DateOrder): Mapping {
  if (next.dateOrder !== before.dateOrder || next.decimalMark !== before.decimalMark) return next;
  const stated = withForms(next, look.rows, usualOrder);
  return {
    ...next,
    dateOrder: stated.dateOrder ?? next.dateOrder,
    decimalMark: stated.decimalMark ?? next.decimalMark,
  };
}

type WholeProps = {
  file: File;
  look: Look;
  mapping: Mapping;
  practice: PracticeView;
  done: () => void;
  /** Separates what came of it and what is to be corrected. */
  children: ReactNode;
};

/** Reads the whole file away from the page's own thread, asks the server what it would refuse, and brings the rest in. */
function ReadAndTake({ file, look, mapping, practice, done, children }: WholeProps) {
  const [rowsRead, setRowsRead] = useState(0);
  const take = useImportTable();
  const { data, error } = useQuery({
    queryKey: ['table', file.name, file.size, file.lastModified, mapping],
    queryFn: async () => {
      const units = { mass: practice.settings.massUnit, length: practice.settings.lengthUnit };
      const read = await tablesWorker().read(
        file,
        look.encoding,
        mapping,
        knownNames(practice),
        units,
        proxy(setRowsRead),
      );
      const answer = await previewTable(mapping.kind, file.name, read.good);
      return { read, answer, refused: await refusedRows(file, look, read, answer) };
    },
    gcTime: 0,
    retry: false,
  });
  if (!data)
    return (
      <>
        {error ? (
          <FieldError>{failureWords(error)}</FieldError>
        ) : (
          <p role="status" className="min-h-11 text-lg text-quiet">
            <Trans>
              Reading all rows… <span className="figures">{rowsRead.toLocaleString(language.get())}</span>
            </Trans>
          </p>
        )}
        {children}
      </>
    );
  const { read, answer, refused } = data;
  const { taken } = answer;
  const left = read.total - taken;
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-4">
        <p role="status" className="min-w-72 flex-1 text-lg">
          <Trans>
            <strong className="figures">{taken.toLocaleString(language.get())}</strong> of{' '}
            {read.total.toLocaleString(language.get())} rows are good
            {left > 0 ? t`; ${left.toLocaleString(language.get())} ${left === 1 ? t`is` : t`are`} not.` : '.'}
          </Trans>
        </p>
        <Button
          kind="main"
          disabled={taken === 0 || take.isPending}
          onClick={() =>
            take.mutate(
              { kind: mapping.kind, name: file.name, rows: read.good },
              {
                onSuccess: (kept) => {
                  notify(t`${kept.taken} rows of ${file.name} came in. They can be taken back as one.`);
                  done();
                },
              },
            )
          }
        >
          {left === 0
            ? t`Bring in all ${taken} ${taken === 1 ? t`row` : t`rows`}`
            : t`Bring in the ${taken} good ${taken === 1 ? t`row` : t`rows`}`}
        </Button>
      </div>
      {take.error && <FieldError>{failureWords(take.error)}</FieldError>}
      {children}
      <RefusedRows
        kind={mapping.kind}
        refused={refused}
        left={left}
        download={async (isSemicolon) =>
          saveFile(
            new Blob([
              '\ufeff',
              await tablesWorker().toCorrect(
                look.headings,
                refused.map(({ cells, why }) => ({ cells, why })),
                isSemicolon,
              ),
            ]),
            file.name.replace(/(\.\w+)?$/, ' to correct.csv'),
          )
        }
      />
    </div>
  );
}

/** Rows that cannot be read, and rows that the server would refuse, in the order of the file. */
async function refusedRows(
  file: File,
  look: Look,
  read: {
    goodRows: number[];
    bad: { row: number; cells: string[]; bad: BadCell[] }[];
  },
  answer: { rows: { row: number; field: string; reason: Message }[] },
): Promise<Refused[]> {
  const byServer = answer.rows.map(({ row, field, reason }) => ({
    row: read.goodRows[row - 1] ?? 0,
    field,
    reason,
  }));
  const cells = await tablesWorker().cellsOf(
    file,
    look.encoding,
    byServer.map(({ row }) => row),
  );
  return [
    ...read.bad.map(({ row, cells: own, bad }) => ({
      row,
      cells: own,
      fields: bad.map(({ field }) => field),
      why: translate(sentences(...bad.map(({ reason }) => reason))),
    })),
    ...byServer.map(({ row, field, reason }) => ({
      row,
      cells: cells.get(row) ?? [],
      fields: [field],
      why: translate(reason),
    })),
  ].sort((a, b) => a.row - b.row);
}
