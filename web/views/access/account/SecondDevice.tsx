import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, failureWords, fieldProblem, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { must } from '../../../data/sign-in';
import { Button } from '../../../parts/base/Button';
import { QrCode } from '../../../parts/base/QrCode';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';

/** Codes that a second device shows, asked for beside the passphrase: set up by a picture it takes, and confirmed by its first code. */
export function SecondDevice({ hasCode }: { hasCode: boolean }) {
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: KEYS.me });
  const begin = useMutation({
    mutationFn: (json: { passphrase: string }) => read<{ uri: string }>(api.me.code.$post({ json })),
    onSuccess: (): void => own.empty(),
  });
  const confirm = useMutation({
    mutationFn: (json: { code: string }) => must(api.me.code.confirm.$post({ json })),
    onSuccess: () => {
      begin.reset();
      shown.empty();
      return again();
    },
  });
  const end = useMutation({
    mutationFn: (json: { passphrase: string }) => must(api.me.code.end.$post({ json })),
    onSuccess: () => {
      own.empty();
      return again();
    },
  });
  const failed = hasCode ? end.error : begin.error;
  const own = useFields<{ passphrase: string }>({ passphrase: '' }, failed);
  const shown = useFields({ code: '' }, confirm.error);
  return (
    <section aria-labelledby="second-device" className="space-y-3 border-t border-ink/40 pt-4">
      <h2 id="second-device" className="text-xl font-semibold">
        {t`Codes of a second device`}
      </h2>
      {begin.data ? (
        <form className="space-y-3" {...shown.send((typed) => confirm.mutate(typed))}>
          <p className="text-[15px]">
            {t`Have an app for one-time codes take this picture, and type the code it shows.`}
          </p>
          <QrCode text={begin.data.uri} label={t`an app for one-time codes`} sizePx={200} />
          <details className="text-[15px]">
            <summary className="min-h-9 cursor-pointer">{t`Without a camera`}</summary>
            <code className="break-all">{new URL(begin.data.uri).searchParams.get('secret')}</code>
          </details>
          <div className="max-w-48">
            <Field
              label={t`Code it shows`}
              inputMode="numeric"
              autoComplete="one-time-code"
              {...shown.field('code')}
            />
          </div>
          <Button type="submit" disabled={confirm.isPending || shown.typed.code.length !== 6}>
            {t`Confirm`}
          </Button>
        </form>
      ) : (
        <form className="space-y-3" {...own.send((typed) => (hasCode ? end : begin).mutate(typed))}>
          <p className="text-[15px] text-quiet">
            {hasCode
              ? t`A code is asked for beside your passphrase.`
              : t`None is asked for. With one, a stolen passphrase is not enough.`}
          </p>
          <Field
            label={t`Your passphrase`}
            type="password"
            autoComplete="current-password"
            className="max-w-sm"
            {...own.field('passphrase')}
          />
          {failed && !fieldProblem(failed, 'passphrase') && <FieldError>{failureWords(failed)}</FieldError>}
          <Button type="submit" disabled={own.typed.passphrase === '' || begin.isPending || end.isPending}>
            {hasCode ? t`Ask for no code any more` : t`Set up codes`}
          </Button>
        </form>
      )}
    </section>
  );
}
