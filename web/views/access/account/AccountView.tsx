import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { newPinSchema } from '#contract/sign-in';
import { ROLE_NAMES } from '#core/access';
import { api, failureWords } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { must, signOut, useMe } from '../../../data/sign-in';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Done, NewPassphrase } from '../../../parts/forms/NewPassphrase';
import { schemaResolver } from '../../../parts/forms/schema-resolver';
import { useFields } from '../../../parts/forms/use-fields';
import { CertificateWords } from '../../../parts/record/CertificateWords';
import { SecondDevice } from './SecondDevice';

/** One's own account: the passphrase, the PIN of shared devices, the codes of a second device. */
export function AccountView() {
  const { data: me, error } = useMe();
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!me) return <Reading inFrame>{t`Reading your account…`}</Reading>;
  return (
    <div className="max-w-2xl space-y-8 p-6">
      <header>
        <h1 className="text-3xl font-semibold">{t`Your account`}</h1>
        <p>
          {me.practitioner.name}, {translate(ROLE_NAMES[me.practitioner.role])}
          {me.practitioner.isOwner && t`, owner of the practice`}
        </p>
        <CertificateWords untilDay={me.certifiedUntilDay} />
      </header>
      <Pin hasPin={me.hasPin} />
      <NewPassphrase />
      <SecondDevice hasCode={me.hasCode} />
      <Everywhere />
    </div>
  );
}

function Pin({ hasPin }: { hasPin: boolean }) {
  const queries = useQueryClient();
  const set = useMutation({
    mutationFn: (json: { passphrase: string; pin: string | null }) => must(api.me.pin.$post({ json })),
    onSuccess: () => {
      fields.empty();
      return queries.invalidateQueries({ queryKey: KEYS.me });
    },
  });
  const fields = useFields<{ passphrase: string; pin: string | null }>(
    { passphrase: '', pin: '' },
    set.error,
    schemaResolver(newPinSchema),
  );
  const { passphrase, pin } = fields.typed;
  return (
    <form className="space-y-3 border-t border-ink/40 pt-4" {...fields.send((typed) => set.mutate(typed))}>
      <h2 className="text-xl font-semibold">{t`PIN on shared devices`}</h2>
      <p className="text-[15px] text-quiet">
        {t`${hasPin ? t`You have one.` : t`You have none yet.`} On a device where you have signed in today it brings you back after a lock, and lets a colleague hand the device to you.`}
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label={hasPin ? t`New PIN` : 'PIN'}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          hint={t`Four to eight figures.`}
          {...fields.field('pin')}
        />
        <Field
          label={t`Your passphrase`}
          type="password"
          autoComplete="current-password"
          {...fields.field('passphrase')}
        />
      </div>
      {set.error && <FieldError>{failureWords(set.error)}</FieldError>}
      <Button type="submit" disabled={set.isPending || pin === '' || passphrase === ''}>
        {hasPin ? t`Change the PIN` : t`Set the PIN`}
      </Button>
      {set.isSuccess && <Done>{t`The PIN is set.`}</Done>}
    </form>
  );
}

function Everywhere() {
  const go = useMutation({ mutationFn: () => signOut(true) });
  return (
    <section className="space-y-3 border-t border-ink/40 pt-4">
      <h2 className="text-xl font-semibold">{t`A device is lost`}</h2>
      <p className="text-[15px] text-quiet">
        {t`Sign out everywhere, this device too, and change the passphrase.`}
      </p>
      <Button disabled={go.isPending} onClick={() => go.mutate()}>
        {t`Sign out everywhere`}
      </Button>
      {go.error && <FieldError>{failureWords(go.error)}</FieldError>}
    </section>
  );
}
