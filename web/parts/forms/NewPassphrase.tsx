import { t } from '@lingui/core/macro';
import { useMutation } from '@tanstack/react-query';
import { newPassphraseSchema } from '#contract/sign-in';
import { api, failureWords } from '../../data/api';
import { must } from '../../data/sign-in';
import { Button } from '../base/Button';
import { Field, FieldError } from '../fields/Field';
import { schemaResolver } from './schema-resolver';
import { useFields } from './use-fields';

/** A new passphrase; also asked of who came in by one that another person has made. */
export function NewPassphrase({ then }: { then?: () => void }) {
  const change = useMutation({
    mutationFn: (json: { old: string; passphrase: string }) => must(api.me.passphrase.$post({ json })),
    onSuccess: () => {
      fields.empty();
      then?.();
    },
  });
  const fields = useFields({ old: '', passphrase: '' }, change.error, schemaResolver(newPassphraseSchema));
  const { old, passphrase } = fields.typed;
  return (
    <form className="space-y-3 border-t border-ink/40 pt-4" {...fields.send((typed) => change.mutate(typed))}>
      <h2 className="text-xl font-semibold">{t`A new passphrase`}</h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label={t`The one you have`}
          type="password"
          autoComplete="current-password"
          {...fields.field('old')}
        />
        <Field
          label={t`The new one`}
          type="password"
          autoComplete="new-password"
          hint={t`At least 12 characters: four or five words are easy to keep in mind.`}
          {...fields.field('passphrase')}
        />
      </div>
      {change.error && <FieldError>{failureWords(change.error)}</FieldError>}
      <Button type="submit" disabled={change.isPending || old === '' || passphrase === ''}>
        {t`Change the passphrase`}
      </Button>
      {change.isSuccess && <Done>{t`It is changed, and every other device of yours is signed out.`}</Done>}
    </form>
  );
}

/** What was done, where nothing else shows it. */
export const Done = ({ children }: { children: string }) => <p role="status">{children}</p>;
