import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { type ReactNode, useState } from 'react';
import type { PracticeView } from '#contract/practice';
import { type Message, sentences } from '#core/message';
import {
  type BadCell,
  type Doubt,
  doubtsIn,
  kindsIn,
  likelyKind,
  type Mapping,
  missingIn,
  recognise,
  TABLE_KINDS,
  TABLES,
  type TableKind,
  withForms,
} from '#core/table';
import { failureWords } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { previewTable, useImportTable } from '../../../data/import-export';
import { saveFile } from '../../../data/save-file';
import { language } from '../../../language/language';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { notify } from '../../../state/notices';
import { isoDay, isoWords } from '../../../words/noon';
import type { Look } from '../../../workers/table.worker';
import { tablesWorker } from '../../../workers/tables';
import { keepMapping, keptMapping } from './kept-mappings';
import { MappingTable } from './MappingTable';
import { knownNames } from './names';
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

const doubtWords = (doubt: Doubt): string =>
  doubt.of === 'day'
    ? t`“${doubt.heading}”: ${doubt.text} is read as ${isoWords(doubt.day)}.`
    : t`“${doubt.heading}” does not say its unit: ${doubt.text} is read as ${doubt.unit}.`;

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
  const { dateOrder, massUnit, lengthUnit } = practice.settings;
  // Columns without a unit of their own are in the practice's, until their row says otherwise.
  const usual = { dateOrder, units: { mass: massUnit, length: lengthUnit } };
  const mappingFor = (kind: TableKind): Mapping =>
    keptMapping(kind, look.headings) ?? recognise(kind, look.headings, look.rows, usual);
  const [mapping, setMapping] = useState(() => mappingFor(likelyKind(look.headings)));
  /** Kinds that this file has brought in already: one sheet may have people, girths and pressures next to each other. */
  const [brought, setBrought] = useState<readonly TableKind[]>([]);
  const others = kindsIn(look.headings).filter((kind) => kind !== mapping.kind && !brought.includes(kind));
  const open = missingIn(mapping);
  const doubts = doubtsIn(mapping, look.headings, look.rows, usual.units);
  const twice = [
    ...new Set(look.headings.filter((head, at) => head !== '' && look.headings.indexOf(head) !== at)),
  ];
  const columns = (
    <MappingTable
      mapping={mapping}
      look={look}
      practice={practice}
      change={(next) => setMapping(withForms(next, look.rows, usual))}
      choose={setMapping}
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
          onChange={(kind) => setMapping(mappingFor(kind))}
        />
        <Button onClick={done}>{brought.length > 0 ? t`Done` : t`Cancel`}</Button>
      </div>
      {others.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-4 text-[15px]">
          {t`Also in this file:`}
          {others.map((kind) => (
            <button
              key={kind}
              type="button"
              className="min-h-11 underline underline-offset-4"
              onClick={() => setMapping(mappingFor(kind))}
            >
              {inSentence(TABLES[kind].label)}
            </button>
          ))}
        </p>
      )}
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
      {doubts.length > 0 && (
        <ul className="text-ochre" aria-label={t`To look at`}>
          {doubts.map((doubt) => (
            <li key={`${doubt.field} ${doubt.heading}`}>{doubtWords(doubt)}</li>
          ))}
        </ul>
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
          key={mapping.kind}
          file={file}
          look={look}
          mapping={mapping}
          practice={practice}
          done={() => {
            keepMapping(look.headings, mapping);
            const [next] = others;
            if (!next) return done();
            setBrought([...brought, mapping.kind]);
            setMapping(mappingFor(next));
          }}
        >
          {columns}
        </ReadAndTake>
      )}
    </section>
  );
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
      const by = { units, today: isoDay(serverNow()) };
      const read = await tablesWorker().read(
        file,
        look.encoding,
        mapping,
        knownNames(practice),
        by,
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
  const { taken, updated, same } = answer;
  const left = read.total - taken - same;
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-4">
        <p role="status" className="min-w-72 flex-1 text-lg">
          <Trans>
            <strong className="figures">{(taken + same).toLocaleString(language.get())}</strong> of{' '}
            {read.total.toLocaleString(language.get())} rows are good
            {left > 0 ? t`; ${left.toLocaleString(language.get())} ${left === 1 ? t`is` : t`are`} not.` : '.'}
          </Trans>
          {same > 0 && <> {t`${same.toLocaleString(language.get())} on record already.`}</>}
          {updated > 0 && (
            <>
              {' '}
              {mapping.kind === 'people'
                ? t`${updated.toLocaleString(language.get())} add to a person who is here.`
                : t`${updated.toLocaleString(language.get())} take the place of what an earlier table said.`}
            </>
          )}
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
