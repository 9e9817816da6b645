import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { type Hold, holdsInForce, whyNotLift } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { useMay, useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { dayAndTime } from '../../../words/format';

/** What holds this person now, and how it ends; a later answer never erases it (rule SCR-5). */
export function Holds({ client }: { client: ClientRecord }) {
  const holds = holdsInForce(client.facts, client.judgedAtMs);
  if (holds.length === 0) return null;
  return (
    <>
      <section aria-label={t`Holds`} className="space-y-3 border-l-4 border-vermilion pl-4">
        <h3 className="text-xl font-semibold text-vermilion">{t`On hold`}</h3>
        {holds.map((hold) => (
          <OneHold key={hold.id} client={client} hold={hold} />
        ))}
      </section>
      <p className="text-[14px] text-quiet">{t`What the questionnaire says by itself:`}</p>
    </>
  );
}

function OneHold({ client, hold }: { client: ClientRecord; hold: Hold }) {
  const [lifting, setLifting] = useState(false);
  const write = useRecordWrite((json: { reason: string }) =>
    read(api.clients[':id'].holds[':holdId'].lift.$post({ param: { id: client.id, holdId: hold.id }, json })),
  );
  const { typed, field, send } = useFields({ reason: '' }, write.error);
  const notYet = whyNotLift(hold, client.judgedAtMs);
  const clinician = useMay('lift-hold');
  return (
    <div>
      <p>
        {translate(hold.words)}, {dayAndTime(hold.atMs)}. <Why rule={hold.rule} />
      </p>
      <p className="text-[14px] text-quiet">{notYet ? translate(notYet) : endsWords(hold)}</p>
      {!notYet && clinician && !lifting && (
        <Button className="mt-1" onClick={() => setLifting(true)}>
          <Trans>
            Lift it<span className="sr-only">: {translate(hold.words)}</span>
          </Trans>
        </Button>
      )}
      {lifting && (
        <form className="mt-1 flex flex-wrap items-end gap-2" {...send((json) => write.mutate(json))}>
          <Field label={t`Reason for lifting it`} autoFocus {...field('reason')} />
          <Button type="submit" disabled={typed.reason.trim() === '' || write.isPending}>
            {t`Lift the hold`}
          </Button>
        </form>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </div>
  );
}

function endsWords({ ends }: Hold): string {
  switch (ends.by) {
    case 'screening':
      return t`It ends once a clinician screens again, or lifts it with a reason.`;
    case 'time':
      return ends.retakeFromMs === undefined
        ? t`It ends by itself ${dayAndTime(ends.atMs)}; a clinician may lift it before, with a reason.`
        : t`Measure once more from ${dayAndTime(ends.retakeFromMs)} on: that reading counts. It ends by itself ${dayAndTime(ends.atMs)}.`;
    case 'review':
      return t`It ends when the review of that session is answered; a clinician may lift it, with a reason.`;
    case 'clinician':
      return t`A clinician lifts it with a reason, or by a new screening.`;
  }
}
