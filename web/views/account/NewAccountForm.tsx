import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { Accounts } from '#contract/sign-in';
import { ROLES, type Role } from '#core/access/deeds';
import { openAccount, useAccountWrite } from '../../data/accounts';
import { failureWords, fieldProblem } from '../../data/api';
import { told } from '../../language/told';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field, FieldError } from '../../parts/Field';
import { Picker } from '../../parts/Picker';
import { Tick } from '../../parts/Tick';

const NEW = 'new';

/** An account for somebody on record, or for somebody new; the server makes the first passphrase. */
export function NewAccountForm({
  without,
  done,
}: {
  without: Accounts['without'];
  done: (made: { name: string; passphrase: string } | null) => void;
}) {
  const write = useAccountWrite(openAccount);
  const [who, setWho] = useState(without[0]?.id ?? NEW);
  const [personName, setPersonName] = useState('');
  const [role, setRole] = useState<Role>('clinician');
  const [name, setName] = useState('');
  const [isOwner, setOwner] = useState(false);
  const called = who === NEW ? personName : (without.find(({ id }) => id === who)?.name ?? '');
  return (
    <form
      className="max-w-2xl space-y-4 border-t border-ink/40 pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        const practitioner = who === NEW ? { name: personName, role } : { id: who };
        write.mutate(
          { practitioner, name, isOwner },
          { onSuccess: ({ passphrase }) => done({ name: called, passphrase }) },
        );
      }}
    >
      <h2 className="text-xl font-semibold">{t`A new account`}</h2>
      {without.length > 0 && (
        <Picker
          label={t`For`}
          value={who}
          onChange={setWho}
          options={[
            ...without.map(({ id, name: label, role: of }) => ({ value: id, label: `${label}, ${of}` })),
            { value: NEW, label: t`somebody new` },
          ]}
        />
      )}
      {who === NEW && (
        <>
          <Field
            label={t`Their name`}
            autoFocus
            autoComplete="off"
            value={personName}
            onChange={(event) => setPersonName(event.target.value)}
          />
          <Choice
            label={t`They are a`}
            value={role}
            onChange={setRole}
            options={ROLES.map((value) => ({ value, label: told(value) }))}
          />
        </>
      )}
      <Field
        label={t`Name to sign in by`}
        autoComplete="off"
        autoCapitalize="none"
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={fieldProblem(write.error, 'name')}
      />
      <Tick checked={isOwner} onChange={setOwner}>
        {t`owns the practice too: accounts, backups and exports`}
      </Tick>
      {write.error && !fieldProblem(write.error, 'name') && (
        <FieldError>{failureWords(write.error)}</FieldError>
      )}
      <div className="flex gap-3">
        <Button type="submit" kind="main" disabled={write.isPending || called === '' || name === ''}>
          {t`Open it`}
        </Button>
        <Button leaves onClick={() => done(null)}>
          {t`Leave it`}
        </Button>
      </div>
    </form>
  );
}
