import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { type FoundSubject, isCurrent, subjectOf } from '#core/screening';
import { api, failureWords, read } from '../../../data/api';
import { useMay, useRecordWrite } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { clearanceSubject } from '../../../words/clearance-subject';
import { day } from '../../../words/format';

/** Since when something is on record, when it ends by itself, and its end by a clinician with a reason (rule SCR-1). */
export function EndCondition({ client, subject }: { client: ClientRecord; subject: FoundSubject }) {
  const [isEnding, setEnding] = useState(false);
  const mayEnd = useMay('end-condition');
  const write = useRecordWrite((json: { ids: string[]; reason: string }) =>
    read(api.clients[':id'].conditions.end.$post({ param: { id: client.id }, json })),
  );
  const { typed, field, send } = useFields({ reason: '' }, write.error);
  const conditions = client.facts.conditions.filter(
    (condition) => isCurrent(condition, client.judgedAtMs) && subjectOf(condition.detail) === subject,
  );
  if (conditions.length === 0) return null;
  const since = day(Math.min(...conditions.map(({ atMs }) => atMs)));
  const terms = conditions.map(({ endsAtMs }) => endsAtMs);
  const lastMs = terms.every((term) => term !== null) ? Math.max(...terms) : null;
  const ids = conditions.map(({ id }) => id);
  return (
    <>
      <span className="text-quiet">
        {lastMs === null ? t`On record since ${since}.` : t`On record since ${since}, until ${day(lastMs)}.`}
      </span>{' '}
      {mayEnd && !isEnding && (
        <button type="button" className="underline underline-offset-4" onClick={() => setEnding(true)}>
          <Trans>
            No longer so<span className="sr-only">: {clearanceSubject(subject)}</span>
          </Trans>
        </button>
      )}
      {isEnding && (
        <form
          className="mt-1 flex flex-wrap items-end gap-2"
          {...send(({ reason }) => write.mutate({ ids, reason }, { onSuccess: () => setEnding(false) }))}
        >
          <Field label={t`Why it is no longer so`} autoFocus {...field('reason')} />
          <Button type="submit" disabled={typed.reason.trim() === '' || write.isPending}>
            {t`End it`}
          </Button>
          <Button leaves onClick={() => setEnding(false)}>
            {t`Cancel`}
          </Button>
        </form>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </>
  );
}
