import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { Account, Accounts } from '#contract/sign-in';
import { ROLE_NAMES, ROLES, whoMay } from '#core/access';
import {
  changeAccount,
  endAccount,
  newPassphraseFor,
  useAccounts,
  useAccountWrite,
} from '../../../data/accounts';
import { failureWords } from '../../../data/api';
import { useMay, usePractitioner } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { Reading } from '../../../parts/base/Reading';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Tick } from '../../../parts/fields/Tick';
import { CertificateWords } from '../../../parts/record/CertificateWords';
import { dayAndTime } from '../../../words/format';
import { CertificateForm } from './CertificateForm';
import { NewAccountForm } from './NewAccountForm';

/** Who may sign in, as what, and who owns the practice. */
export function AccountsView() {
  const mayKeep = useMay('keep-accounts');
  return (
    <div className="space-y-6 p-6">
      <PracticeHead title={t`Accounts`}>{null}</PracticeHead>
      {mayKeep ? <Shown /> : <p className="text-quiet">{translate(whoMay('keep-accounts'))}</p>}
    </div>
  );
}

function Shown() {
  const { data, error } = useAccounts();
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!data) return <Reading>{t`Reading the accounts…`}</Reading>;
  return <List accounts={data} />;
}

function List({ accounts: { accounts, without } }: { accounts: Accounts }) {
  const [shown, show] = useState<{ name: string; passphrase: string } | null>(null);
  const [isNew, setNew] = useState(false);
  return (
    <>
      {shown && (
        <section role="status" className="max-w-3xl border border-plum p-4">
          <p>
            <Trans>
              The first passphrase of <strong>{shown.name}</strong>, shown this once. Read it to them; they
              choose another when they sign in.
            </Trans>
          </p>
          <p className="figures mt-2 text-2xl">{shown.passphrase}</p>
          <Button className="mt-3" onClick={() => show(null)}>
            {t`Shown once`}
          </Button>
        </section>
      )}
      <ul aria-label={t`Accounts`} className="max-w-5xl border-t border-ink/40">
        {accounts.map((account) => (
          <Row key={account.practitionerId} account={account} show={show} />
        ))}
      </ul>
      {isNew ? (
        <NewAccountForm
          without={without}
          done={(made) => {
            setNew(false);
            if (made) show(made);
          }}
        />
      ) : (
        <Button onClick={() => setNew(true)}>{t`Open an account`}</Button>
      )}
      {without.length > 0 && !isNew && (
        <p className="text-[15px] text-quiet">
          {t`On record without an account: ${without.map(({ name }) => name).join(', ')}.`}
        </p>
      )}
    </>
  );
}

function Row({
  account: {
    practitionerId,
    practitionerName,
    role,
    name,
    isOwner,
    hasPin,
    hasCode,
    mustChange,
    lastUsedAtMs,
    certifiedUntilDay,
  },
  show,
}: {
  account: Account;
  show: (opened: { name: string; passphrase: string }) => void;
}) {
  const me = usePractitioner();
  const change = useAccountWrite(changeAccount);
  const end = useAccountWrite(endAccount);
  const help = useAccountWrite(newPassphraseFor);
  const [isEnding, setEnding] = useState(false);
  const [isDating, setDating] = useState(false);
  const failed = change.error ?? end.error ?? help.error;
  const facts = [
    t`signs in as ${name}`,
    hasPin ? t`PIN set` : t`no PIN`,
    hasCode ? t`asks for codes` : t`no codes`,
    ...(mustChange ? [t`has to choose a passphrase`] : []),
    lastUsedAtMs === null ? t`never here yet` : t`last here ${dayAndTime(lastUsedAtMs)}`,
  ];
  return (
    <li className="space-y-2 border-b border-rule py-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="min-w-52 flex-1">
          <strong>{practitionerName}</strong>
          <p className="text-[14px] text-quiet">{facts.join(' · ')}</p>
          <CertificateWords untilDay={certifiedUntilDay} />
        </div>
        <Picker
          label={t`Role of ${practitionerName}`}
          hideLabel
          value={role}
          onChange={(next) => change.mutate({ id: practitionerId, role: next })}
          options={ROLES.map((value) => ({ value, label: translate(ROLE_NAMES[value]) }))}
        />
        <Tick checked={isOwner} onChange={(next) => change.mutate({ id: practitionerId, isOwner: next })}>
          <Trans>
            owner<span className="sr-only">: {practitionerName}</span>
          </Trans>
        </Tick>
        <Button onClick={() => setDating(!isDating)} aria-expanded={isDating}>
          <Trans>
            Certificate<span className="sr-only"> of {practitionerName}</span>
          </Trans>
        </Button>
        <Button
          disabled={help.isPending}
          onClick={() =>
            help.mutate(practitionerId, {
              onSuccess: ({ passphrase }) => show({ name: practitionerName, passphrase }),
            })
          }
        >
          <Trans>
            New passphrase<span className="sr-only"> for {practitionerName}</span>
          </Trans>
        </Button>
        {isEnding ? (
          <Button kind="stop" onClick={() => end.mutate(practitionerId)}>
            {t`End it for good`}
          </Button>
        ) : (
          <Button disabled={me?.id === practitionerId} onClick={() => setEnding(true)}>
            <Trans>
              End<span className="sr-only"> the account of {practitionerName}</span>
            </Trans>
          </Button>
        )}
      </div>
      {isDating && (
        <CertificateForm
          untilDay={certifiedUntilDay}
          save={(next) =>
            change.mutate(
              { id: practitionerId, certifiedUntilDay: next },
              { onSuccess: () => setDating(false) },
            )
          }
        />
      )}
      {failed && <FieldError>{failureWords(failed)}</FieldError>}
    </li>
  );
}
