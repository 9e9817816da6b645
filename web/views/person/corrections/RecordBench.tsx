import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { RecordEntry, Unsettled } from '#contract/corrections';
import { LINK_LABELS } from '#core/record';
import { failureWords } from '../../../data/api';
import { useEntries, useRetract } from '../../../data/corrections';
import { useMay } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { PhoneFold } from '../../../parts/base/PhoneFold';
import { Why } from '../../../parts/base/Why';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { BenchHeading } from '../../../parts/plan/Bench';
import { Attachments } from '../../../parts/record/Attachments';
import { LeaveNote } from '../../../parts/record/HandoverNotes';
import { dayAndTime } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { AboutPerson } from './AboutPerson';
import { entryWords } from './entry-words';
import { Retractable } from './Retractable';
import { VisitNotes } from './VisitNotes';

/** What is on a record, and corrections of it: nothing is hidden, what was wrong stays struck through with its reason. */
export function RecordBench({ client }: { client: ClientRecord }) {
  return (
    <div className="max-w-5xl space-y-4">
      <BenchHeading title={t`Record`}>
        {t`Notes, attachments, and all its entries; what was wrong is struck through, with why.`}
      </BenchHeading>
      <VisitNotes clientId={client.id} search={useSearchParams()[0].get('find') ?? ''} />
      <PhoneFold label={t`On this record`} summary={t`Attachments, name`}>
        <div className="space-y-2">
          <div className="grid items-end gap-x-8 gap-y-4 lg:grid-cols-2">
            <section aria-labelledby="attachments">
              <h2 id="attachments" className="text-xl font-semibold">
                {t`Attachments`}
              </h2>
              <Attachments clientId={client.id} about="person" attach={t`Attach a letter or a picture`} />
            </section>
            <LeaveNote clientId={client.id} label={t`For the next shift`} />
          </div>
          <AboutPerson client={client} />
        </div>
      </PhoneFold>
      <Entries client={client} />
    </div>
  );
}

function Entries({ client }: { client: ClientRecord }) {
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useEntries(client.id);
  const mayCorrect = useMay('correct-record');
  const mayRead = useMay('read-audit-of-person');
  const [chosen, choose] = useState<string | null>(null);
  const [unsettled, setUnsettled] = useState<readonly Unsettled[]>([]);
  const units = useUnits();
  const words = ({ content }: RecordEntry) => entryWords(content, client.facts, units);
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  return (
    <section aria-labelledby="entries" className="space-y-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 id="entries" className="text-xl font-semibold">
          {t`Entries`}
        </h2>
        {mayRead && (
          <Link className="underline underline-offset-4" to={`/audit/${client.id}`}>
            {t`Audit log of this record`}
          </Link>
        )}
      </div>
      {!mayCorrect && (
        <p className="text-[15px] text-quiet">
          {t`A clinician retracts an entry.`} <Why rule="SCR-4" />
        </p>
      )}
      {unsettled.length > 0 && (
        <div role="status" className="notched space-y-1 py-1">
          {unsettled.map((one) => (
            <p key={`${one.what} ${one.id}`}>
              <Trans>
                <strong>{translate(one.what === 'plan' ? one.name : LINK_LABELS[one.id])}</strong> stood on
                it: {translate(one.words)}
              </Trans>
            </p>
          ))}
        </div>
      )}
      {error && <FieldError>{failureWords(error)}</FieldError>}
      <ol className="border-t border-ink/40">
        {entries.map((entry) => (
          <li key={`${entry.content.kind} ${entry.id}`} className="border-b border-rule py-2">
            <Entry entry={entry} words={words(entry)}>
              {mayCorrect && !entry.retracted && chosen !== entry.id && (
                <button
                  type="button"
                  className="min-h-9 justify-self-start underline underline-offset-4"
                  onClick={() => choose(entry.id)}
                >
                  <Trans>
                    Retract<span className="sr-only">: {words(entry)}</span>
                  </Trans>
                </button>
              )}
            </Entry>
            {chosen === entry.id && (
              <RetractForm
                clientId={client.id}
                entry={entry}
                done={(changed) => {
                  choose(null);
                  if (changed) setUnsettled(changed);
                }}
              />
            )}
          </li>
        ))}
      </ol>
      {entries.length === 0 && !isFetching && <p className="text-quiet">{t`Nothing is on record yet.`}</p>}
      {hasNextPage && (
        <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
          {t`Earlier`}
        </Button>
      )}
    </section>
  );
}

function Entry({
  entry: { atMs, retracted },
  words,
  children,
}: {
  entry: RecordEntry;
  words: string;
  children: React.ReactNode;
}) {
  return (
    <div className="grid gap-x-6 sm:grid-cols-[10.5rem_1fr_auto]">
      <span className="figures text-[14px]">{dayAndTime(atMs)}</span>
      <Retractable words={words} retracted={retracted} className="line-clamp-3" />
      {children}
    </div>
  );
}

function RetractForm({
  clientId,
  entry,
  done,
}: {
  clientId: string;
  entry: RecordEntry;
  done: (changed: readonly Unsettled[] | null) => void;
}) {
  const retract = useRetract(clientId);
  const { typed, field, send } = useFields({ reason: '' }, null);
  return (
    <form
      className="flex flex-wrap items-end gap-3 py-2"
      {...send(({ reason }) =>
        retract.mutate(
          { kind: entry.content.kind, id: entry.id, reason },
          { onSuccess: ({ unsettled }) => done(unsettled) },
        ),
      )}
    >
      <Field className="min-w-64 flex-1" label={t`Why it is wrong`} autoFocus {...field('reason')} />
      <Button type="submit" disabled={typed.reason.trim() === '' || retract.isPending}>
        {t`Retract it`}
      </Button>
      <Button leaves onClick={() => done(null)}>
        {t`Cancel`}
      </Button>
      {retract.error && <FieldError>{failureWords(retract.error)}</FieldError>}
    </form>
  );
}
