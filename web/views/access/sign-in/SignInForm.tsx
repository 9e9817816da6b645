import { t } from '@lingui/core/macro';
import { useForm } from 'react-hook-form';
import type { SignInBody } from '#contract/sign-in';
import { failureWords, fieldProblem } from '../../../data/api';
import { useSignIn } from '../../../data/sign-in';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';

/** Name and passphrase; and the code of a second device, once the server says that this account asks for one. */
export function SignInForm() {
  const signIn = useSignIn();
  const { register, handleSubmit, watch, resetField } = useForm<Required<SignInBody>>({
    defaultValues: { name: '', passphrase: '', code: '' },
  });
  const asksCode = fieldProblem(signIn.error, 'code');
  const submit = handleSubmit(({ name, passphrase, code }) =>
    signIn.mutate(code ? { name, passphrase, code } : { name, passphrase }, {
      onError: () => resetField('code'),
    }),
  );
  return (
    <form onSubmit={submit} className="space-y-4" noValidate>
      <Field label={t`Name`} autoComplete="username" autoCapitalize="none" {...register('name')} />
      <Field
        label={t`Passphrase`}
        type="password"
        autoComplete="current-password"
        {...register('passphrase')}
      />
      {asksCode && (
        <Field
          label={t`Code of your second device`}
          inputMode="numeric"
          autoComplete="one-time-code"
          autoFocus
          error={asksCode}
          {...register('code')}
        />
      )}
      {signIn.error && !asksCode && <FieldError>{failureWords(signIn.error)}</FieldError>}
      <Button
        type="submit"
        kind="main"
        does="accept"
        disabled={signIn.isPending || watch('passphrase') === ''}
      >
        {t`Sign in`}
      </Button>
    </form>
  );
}
