import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { Template } from '#contract/practice';
import type { NewPrescription, SignedFor } from '#contract/prescription';
import { hardFindings } from '#core/findings';
import { figureWords, type SessionChoice } from '#core/plan';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useMay, usePractitioner, useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { useAction } from '../../../parts/keys/use-action';
import { useGuards } from '../../../parts/plan/use-guards';
import { planSearch } from '../../../parts/plan/use-plan-in-hand';
import { notify } from '../../../state/notices';
import type { ComposerState } from './state/use-composer';

/** What is between the draft and a signature, the signature itself, and keeping it as a template. */
export function SignBar({
  composer,
  client,
  session,
  name,
  signedFor,
  clearKept,
}: {
  composer: ComposerState;
  client: ClientRecord;
  session: SessionChoice;
  /** What the plan is called. */
  name: string;
  signedFor: SignedFor;
  /** Forgets what is kept on this tab, once it is signed. */
  clearKept: () => void;
}) {
  const navigate = useNavigate();
  const practitioner = usePractitioner();
  const write = useRecordWrite((json: NewPrescription) =>
    read(api.clients[':id'].prescriptions.$post({ param: { id: client.id }, json })),
  );
  const maySignAtAll = useMay('sign');
  const { mayPass, reason, asked } = useGuards(composer.findings, write.error);
  const hard = hardFindings(composer.findings).length;
  const maySign = composer.composed !== null && mayPass && !write.isPending && !composer.isDrafting;
  const sign = async () => {
    const json = { ...session, ...reason, signedFor };
    const record = await write.mutateAsync(json).catch(() => null);
    if (!record) return;
    clearKept();
    notify(t`Signed: ${signedFor.kind === 'new-plan' ? name : t`the next version`}.`);
    navigate(`/people/${client.id}/run${planSearch(coursePlanSigned(record, client, signedFor))}`);
  };
  useAction('sign-plan', () => void sign(), { enabled: maySign && maySignAtAll, fromFields: true });
  return (
    <div className="sticky bottom-0 z-10 flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-ink/40 bg-paper py-3">
      {asked}
      {hard > 0 && (
        <p className="notched py-1 text-ochre">
          {t`${hard === 1 ? t`One thing is` : t`${hard} things are`} not allowed and cannot be signed by anyone.`}
        </p>
      )}
      <Only permission="sign">
        <Button kind="main" does="sign-plan" disabled={!maySign} onClick={() => void sign()}>
          {t`Sign as ${practitioner?.name ?? '…'}`}
        </Button>
        <div className="max-sm:hidden">
          <KeepAsTemplate session={session} disabled={!composer.composed || hard > 0} />
        </div>
      </Only>
      <Bounds session={session} />
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </div>
  );
}

/** What the signature covers, beside the session itself (rule CRS-1). */
function Bounds({ session: { exercises } }: { session: SessionChoice }) {
  const bounds = [
    ...new Set(
      exercises.flatMap(({ movements = [] }) =>
        movements.map(({ figure, to }) => translate(figureWords(figure, to))),
      ),
    ),
  ];
  if (bounds.length === 0) return null;
  return (
    <p className="max-w-md text-[14px] text-quiet max-sm:hidden">
      {t`Never above ${bounds.join(', ')}; a bad or missed session makes it wait.`}
    </p>
  );
}

/** The plan that a signature made or went on with. */
function coursePlanSigned(record: ClientRecord, before: ClientRecord, signedFor: SignedFor): string {
  if (signedFor.kind === 'next-version') return signedFor.coursePlanId;
  const known = before.facts.coursePlans.map(({ id }) => id);
  return record.facts.coursePlans.find(({ id }) => !known.includes(id))?.id ?? '';
}

function KeepAsTemplate({ session, disabled }: { session: SessionChoice; disabled: boolean }) {
  const queries = useQueryClient();
  const [isNaming, setNaming] = useState(false);
  const keep = useMutation({
    mutationFn: (json: Template) => read(api.practice.templates.$post({ json })),
    onSuccess: (practice) => {
      queries.setQueryData(KEYS.practice, practice);
      notify(t`Kept as a template.`);
      setNaming(false);
      empty();
    },
  });
  const { typed, field, send, empty } = useFields({ name: '' }, keep.error);
  if (!isNaming) {
    return (
      <Button disabled={disabled} onClick={() => setNaming(true)}>
        {t`Keep as a template`}
      </Button>
    );
  }
  return (
    <form
      className="flex items-end gap-2"
      {...send(({ name }) => keep.mutate({ id: newId(), name, session }))}
    >
      <Field
        label={t`Name of the template`}
        autoFocus
        {...field('name')}
        error={field('name').error ?? (keep.error ? failureWords(keep.error) : undefined)}
      />
      <Button type="submit" disabled={typed.name.trim() === '' || keep.isPending}>
        {t`Save`}
      </Button>
    </form>
  );
}
