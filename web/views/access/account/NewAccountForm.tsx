import { t } from '@lingui/core/macro';
import type { Accounts } from '#contract/sign-in';
import { ROLE_NAMES, ROLES, type Role } from '#core/access';
import { openAccount, useAccountWrite } from '../../../data/accounts';
import { fieldProblem } from '../../../data/api';
import { translate } from '../../../language/translate';
import { Choice } from '../../../parts/fields/Choice';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Tick } from '../../../parts/fields/Tick';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { useFields } from '../../../parts/forms/use-fields';

const NEW = 'new';

type Typed = { who: string; personName: string; role: Role; name: string; isOwner: boolean };

/** An account for a practitioner on record, or for a new one; the server makes the first passphrase. */
export function NewAccountForm({
  without,
  done,
}: {
  without: Accounts['without'];
  done: (made: { name: string; passphrase: string } | null) => void;
}) {
  const write = useAccountWrite(openAccount);
  const { typed, set, field, send } = useFields<Typed>(
    { who: without[0]?.id ?? NEW, personName: '', role: 'clinician', name: '', isOwner: false },
    write.error,
  );
  const { who, personName, role, name, isOwner } = typed;
  const called = who === NEW ? personName : (without.find(({ id }) => id === who)?.name ?? '');
  return (
    <form
      className="max-w-2xl space-y-4 border-t border-ink/40 pt-4"
      {...send(() => {
        const practitioner = who === NEW ? { name: personName, role } : { id: who };
        write.mutate(
          { practitioner, name, isOwner },
          { onSuccess: ({ passphrase }) => done({ name: called, passphrase }) },
        );
      })}
    >
      <h2 className="text-xl font-semibold">{t`A new account`}</h2>
      {without.length > 0 && (
        <Picker
          label={t`For`}
          value={who}
          onChange={(id) => set('who', id)}
          options={[
            ...without.map(({ id, name: label, role: of }) => ({
              value: id,
              label: `${label}, ${translate(ROLE_NAMES[of])}`,
            })),
            { value: NEW, label: t`a new person` },
          ]}
        />
      )}
      {who === NEW && (
        <>
          <Field
            label={t`Their name`}
            autoFocus
            autoComplete="off"
            {...field('personName', 'practitioner.name')}
          />
          <Choice
            label={t`They are a`}
            value={role}
            onChange={(next) => set('role', next)}
            options={ROLES.map((value) => ({ value, label: translate(ROLE_NAMES[value]) }))}
          />
        </>
      )}
      <Field label={t`Name to sign in by`} autoComplete="off" autoCapitalize="none" {...field('name')} />
      <Tick checked={isOwner} onChange={(checked) => set('isOwner', checked)}>
        {t`owns the practice too: accounts, backups and exports`}
      </Tick>
      <FormFooter
        send={t`Open it`}
        isSending={write.isPending}
        maySend={called !== '' && name !== ''}
        error={fieldProblem(write.error, 'name') ? null : write.error}
        leave={() => done(null)}
      />
    </form>
  );
}
