import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewConsent } from '#contract/measurements';
import { newest } from '#core/quantity';
import { isMinor } from '#core/record';
import { CONSENT_VERSION, checkConsent, consentEndsMs } from '#core/screening';
import { api, failureWords, fieldProblem, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { day } from '../../words/format';
import { Button } from '../base/Button';
import { Field, FieldError } from '../fields/Field';
import { useAction } from '../keys/use-action';

const READ = { 'on-screen': t`on screen`, 'on-paper': t`on paper` } as const;

/** What a person said to the training, and saying it: A once it was read on screen (rule SCR-6). */
export function ConsentForm({ client, isRead = false }: { client: ClientRecord; isRead?: boolean }) {
  const [guardian, setGuardian] = useState<string | null>(null);
  const last = newest(client.facts.consents);
  const stands =
    last !== undefined &&
    checkConsent(last, isMinor(client.facts, client.judgedAtMs), client.judgedAtMs).length === 0;
  const write = useRecordWrite((json: NewConsent) =>
    read(api.clients[':id'].consents.$post({ param: { id: client.id }, json })),
  );
  const say = (decision: NewConsent['decision'], how: NewConsent['read']) => {
    if (!write.isPending) write.mutate({ version: CONSENT_VERSION, decision, read: how, guardian });
  };
  useAction('agree', () => {
    if (!stands) say('agreed', 'on-screen');
  });
  return (
    <section aria-label={t`Consent`} className="space-y-3">
      <h3 className="text-xl font-semibold">{t`Consent`}</h3>
      <p>
        {last
          ? t`${last.decision === 'agreed' ? t`Agreed` : t`Withdrawn`} ${day(last.atMs)}${last.guardian === null ? '' : t` by ${last.guardian}`}, version ${last.version}, read ${READ[last.read]}.${stands ? t` Asked again ${day(consentEndsMs(last))}.` : ''}`
          : t`Not asked yet.`}{' '}
        {!isRead && (
          <Trans>
            Read it{' '}
            <Link to={`/people/${client.id}/explain`} className="underline underline-offset-4">
              on screen
            </Link>{' '}
            or{' '}
            <Link to={`/papers/consent/${client.id}`} className="underline underline-offset-4">
              on paper
            </Link>
            .
          </Trans>
        )}
      </p>
      {!stands && guardian !== null && (
        <Field
          label={t`Name of the guardian who agrees for them`}
          className="max-w-sm"
          maxLength={120}
          value={guardian}
          onChange={(event) => setGuardian(event.target.value)}
          error={fieldProblem(write.error, 'guardian')}
        />
      )}
      {write.error && !fieldProblem(write.error, 'guardian') && (
        <FieldError>{failureWords(write.error)}</FieldError>
      )}
      <div className="flex flex-wrap gap-2">
        {stands ? (
          <Button disabled={write.isPending} onClick={() => say('withdrawn', last.read)}>
            {t`They take it back`}
          </Button>
        ) : (
          <>
            <Button
              kind="main"
              does="agree"
              disabled={write.isPending}
              onClick={() => say('agreed', 'on-screen')}
            >
              {t`Read with them: they agree`}
            </Button>
            <Button disabled={write.isPending} onClick={() => say('agreed', 'on-paper')}>
              {t`They signed on paper`}
            </Button>
            {guardian === null && (
              <Button onClick={() => setGuardian('')}>{t`A guardian agrees for them`}</Button>
            )}
          </>
        )}
      </div>
    </section>
  );
}
