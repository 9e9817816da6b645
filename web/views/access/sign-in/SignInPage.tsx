import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { OnDevice, SignInState } from '#contract/sign-in';
import { ROLE_NAMES } from '#core/access';
import { failureWords } from '../../../data/api';
import { enter, useSignIn, useSignInState } from '../../../data/sign-in';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { LanguageMenu } from '../../../parts/base/LanguageMenu';
import { Field, FieldError } from '../../../parts/fields/Field';
import { NewPassphrase } from '../../../parts/forms/NewPassphrase';
import { useFields } from '../../../parts/forms/use-fields';
import { FirstStart } from './FirstStart';
import { SignInForm } from './SignInForm';

/** Where one comes in. Who was here today is shown by initials alone; nothing of the record is. */
export function SignInPage() {
  const { data, error } = useSignInState();
  const [chosen, choose] = useState<OnDevice | null>(null);
  const queries = useQueryClient();
  const isIn = data?.state === 'signed-in';
  useEffect(() => {
    // Another tab has signed in.
    if (isIn) void enter(queries);
  }, [isIn, queries]);
  if (!data) {
    return (
      <main className="mx-auto w-full max-w-md flex-1 p-6">
        {error && <FieldError>{failureWords(error)}</FieldError>}
      </main>
    );
  }
  if (data.state === 'first-start') return <FirstStart />;
  if (data.state === 'must-change') return <FirstPassphrase />;
  const byPin = chosen?.hasPin ? chosen : null;
  return (
    <main className="mx-auto flex w-full max-w-md min-h-0 flex-1 flex-col gap-6 overflow-y-auto p-6">
      <h1 className="text-3xl font-semibold">
        {data.state === 'locked' ? t`This device is locked` : t`Sign in`}
      </h1>
      {data.onDevice.length > 0 && (
        <section aria-label={t`Here today`}>
          <p className="text-[15px] font-semibold">{t`Here today`}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {data.onDevice.map((one) => (
              <button
                key={one.practitionerId}
                type="button"
                aria-pressed={chosen?.practitionerId === one.practitionerId}
                onClick={() => choose(one)}
                className="figures size-16 rounded-sm border border-ink/40 text-2xl aria-pressed:border-plum aria-pressed:bg-plum aria-pressed:text-on-plum"
              >
                {one.initials}
              </button>
            ))}
          </div>
        </section>
      )}
      {byPin && <PinForm key={byPin.practitionerId} who={byPin} />}
      {chosen && !byPin && (
        <p className="text-[15px] text-quiet">
          {t`${chosen.initials} has no PIN yet: sign in by passphrase, and choose one under your name.`}
        </p>
      )}
      {!byPin && <SignInForm />}
      {byPin && (
        <button
          type="button"
          className="self-start text-[15px] underline underline-offset-4"
          onClick={() => choose(null)}
        >
          {t`By passphrase`}
        </button>
      )}
      {data.demo.length > 0 && <DemoAccounts accounts={data.demo} />}
      <p className="text-[15px]">
        {t`Language`} <LanguageMenu />
      </p>
    </main>
  );
}

/** A person who signed in by a passphrase that another made chooses one before anything else. */
function FirstPassphrase() {
  const queries = useQueryClient();
  return (
    <main className="mx-auto w-full max-w-2xl flex-1 space-y-4 overflow-y-auto p-6">
      <h1 className="text-3xl font-semibold">{t`One of your own`}</h1>
      <p>{t`Another person has made a passphrase for you, and knows it. Choose another, and you are in.`}</p>
      <NewPassphrase then={() => void enter(queries)} />
    </main>
  );
}

function PinForm({ who }: { who: OnDevice }) {
  const signIn = useSignIn();
  const { typed, field, send, empty } = useFields({ pin: '' }, null);
  return (
    <form
      className="space-y-3"
      {...send(({ pin }) =>
        signIn.mutate({ practitionerId: who.practitionerId, pin }, { onError: () => empty() }),
      )}
    >
      <Field
        label={t`PIN of ${who.initials}`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        {...field('pin')}
      />
      {signIn.error && <FieldError>{failureWords(signIn.error)}</FieldError>}
      <Button type="submit" kind="main" does="accept" disabled={typed.pin.length < 4 || signIn.isPending}>
        {t`Unlock`}
      </Button>
    </form>
  );
}

/** A demonstration has nothing to hide: a press signs in. */
function DemoAccounts({ accounts }: { accounts: SignInState['demo'] }) {
  const signIn = useSignIn();
  return (
    <section aria-label={t`Accounts of this demonstration`} className="border-t border-rule pt-4">
      <p className="text-[15px]">
        {t`This is a demonstration. Its people are invented, and so are these accounts:`}
      </p>
      <ul className="mt-2 divide-y divide-rule">
        {accounts.map(({ name, passphrase, role }) => (
          <li key={name} className="flex flex-wrap items-center gap-x-4 py-1.5">
            <span className="min-w-0 flex-1">
              <strong>{name}</strong>, {translate(ROLE_NAMES[role])}
              <span className="block text-[14px] text-quiet">{passphrase}</span>
            </span>
            <Button disabled={signIn.isPending} onClick={() => signIn.mutate({ name, passphrase })}>
              <Trans>
                Sign in<span className="sr-only"> as {name}</span>
              </Trans>
            </Button>
          </li>
        ))}
      </ul>
      {signIn.error && <FieldError>{failureWords(signIn.error)}</FieldError>}
    </section>
  );
}
