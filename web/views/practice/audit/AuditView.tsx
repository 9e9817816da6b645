import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useDeferredValue, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { AuditEntry } from '#contract/audit';
import { whoMay } from '#core/access';
import { failureWords } from '../../../data/api';
import { useAudit, useAuditCheck } from '../../../data/audit';
import { useClient, useMay, usePractice } from '../../../data/queries';
import { saveFile } from '../../../data/save-file';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { dayAndTime } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { actionsCalled, actionWords } from './audit-words';
import { detailWords, type OfPractice } from './detail-words';

/** Who did what and looked at which record: of the practice, or of one person. */
export function AuditView() {
  const { clientId = null } = useParams();
  const permission = clientId === null ? 'read-audit' : 'read-audit-of-person';
  const may = useMay(permission);
  return (
    <div className="space-y-5 p-6">
      <PracticeHead title={t`Audit log`}>{null}</PracticeHead>
      {may ? <Entries clientId={clientId} /> : <p className="text-quiet">{translate(whoMay(permission))}</p>}
    </div>
  );
}

function Entries({ clientId }: { clientId: string | null }) {
  const { data: practice } = usePractice();
  const [practitionerId, setPractitionerId] = useState('');
  const [typed, setTyped] = useState('');
  const search = useDeferredValue(typed.trim());
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useAudit({
    clientId,
    practitionerId,
    search,
    called: search === '' ? [] : actionsCalled(search),
  });
  const ofPractice: OfPractice = {
    ...useUnits(),
    ownExercises: practice?.ownExercises ?? {},
    ownMeasures: practice?.ownMeasures ?? {},
  };
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Picker
          label={t`Who`}
          value={practitionerId}
          onChange={setPractitionerId}
          options={[
            { value: '', label: t`everyone` },
            ...(practice?.practitioners ?? []).map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <Field
          label={t`Action or name`}
          type="search"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button
          disabled={entries.length === 0}
          onClick={() =>
            saveFile(
              new Blob([entries.map((entry) => `${JSON.stringify(entry)}\n`).join('')]),
              'who-did-what.ndjson',
            )
          }
        >
          {t`What is shown as a file`}
        </Button>
      </div>
      {clientId ? <OfPerson clientId={clientId} /> : <Check />}
      {error && <FieldError>{failureWords(error)}</FieldError>}
      <ol aria-label={t`Entries`} className="max-w-5xl border-t border-ink/40">
        {entries.map((entry) => (
          <Entry key={entry.id} entry={entry} ofPractice={ofPractice} />
        ))}
      </ol>
      {entries.length === 0 && !isFetching && (
        <p className="text-quiet">{t`Nothing of that is on record.`}</p>
      )}
      {hasNextPage && (
        <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
          {t`Earlier`}
        </Button>
      )}
    </>
  );
}

function Entry({ entry, ofPractice }: { entry: AuditEntry; ofPractice: OfPractice }) {
  const { atMs, practitionerName, clientId, clientName } = entry;
  const detail = detailWords(entry, ofPractice);
  const [isOpen, setOpen] = useState(false);
  return (
    <li className="grid gap-x-6 border-b border-rule py-2 sm:grid-cols-[10.5rem_12rem_1fr]">
      <span className="figures text-[14px]">{dayAndTime(atMs)}</span>
      <span>{practitionerName}</span>
      <span className="min-w-0">
        <strong className="font-semibold">{actionWords(entry)}</strong>
        {clientName && (
          <>
            {' · '}
            <Link className="underline decoration-rule underline-offset-4" to={`/audit/${clientId}`}>
              {clientName}
            </Link>
          </>
        )}
        {detail && (
          <details
            className="text-[14px] text-quiet"
            onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
          >
            <summary className="cursor-pointer truncate">{detail}</summary>
            {/* As it was kept, with what stood there before, for who has to be certain. */}
            {isOpen && (
              <pre className="overflow-x-auto whitespace-pre-wrap">
                {JSON.stringify(entry.detail, null, 2)}
              </pre>
            )}
          </details>
        )}
      </span>
    </li>
  );
}

function OfPerson({ clientId }: { clientId: string }) {
  const { data } = useClient(clientId);
  return (
    <p>
      <Trans>
        Of <strong>{data?.name ?? '…'}</strong> and their sessions.{' '}
        <Link className="underline underline-offset-4" to={`/people/${clientId}`}>
          To their sheet
        </Link>
      </Trans>
    </p>
  );
}

/** Every entry names the one before it by a hash: so that a changed or removed one is found. */
function Check() {
  const { data, error, refetch, isFetching } = useAuditCheck();
  return (
    <div className="flex flex-wrap items-center gap-4">
      <Button disabled={isFetching} onClick={() => void refetch()}>
        {t`Check that it is whole`}
      </Button>
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {data &&
        (data.broken ? (
          <p role="status" className="notched py-1 text-ochre">
            {t`Entry ${data.broken.id} does not hold. ${translate(data.broken.words)}`}
          </p>
        ) : (
          <p role="status">
            <Trans>
              {data.rows} entries, each follows from the one before. The last is{' '}
              <span className="figures">{data.lastHash.slice(0, 12)}</span>.
            </Trans>
          </p>
        ))}
    </div>
  );
}
