import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Practitioner } from '#contract/practice';
import { failureWords } from '../../../data/api';
import { useImports, useUndoImport } from '../../../data/import-export';
import { translate } from '../../../language/translate';
import { FieldError } from '../../../parts/fields/Field';
import { dayAndTime } from '../../../words/format';

/** What was brought in at once, and can be taken back at once. */
export function ImportList({ practitioners }: { practitioners: readonly Practitioner[] }) {
  const { data: lists } = useImports();
  const takeBack = useUndoImport();
  if (!lists || lists.length === 0) return null;
  const nameOf = (id: string) => practitioners.find((one) => one.id === id)?.name ?? t`on the machine itself`;
  return (
    <section aria-labelledby="brought-in" className="max-w-4xl">
      <h2 id="brought-in" className="text-xl font-semibold">
        {t`Brought in before`}
      </h2>
      {takeBack.error && <FieldError>{failureWords(takeBack.error)}</FieldError>}
      <ul className="mt-2 border-t border-ink/40">
        {lists.map(({ id, atMs, practitionerId, words, rows, undoneAtMs }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-6 border-b border-rule py-1">
            <p className={`min-w-72 flex-1 ${undoneAtMs === null ? '' : 'line-through'}`}>
              <strong>{translate(words)}</strong>{' '}
              <span className="text-[15px] text-quiet">
                {dayAndTime(atMs)}, {nameOf(practitionerId)}, {rows} {rows === 1 ? t`record` : t`records`}
              </span>
            </p>
            {undoneAtMs === null ? (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                disabled={takeBack.isPending}
                onClick={() => takeBack.mutate(id)}
              >
                <Trans>
                  Take back<span className="sr-only"> {translate(words)}</span>
                </Trans>
              </button>
            ) : (
              <p className="text-[15px]">{t`taken back ${dayAndTime(undoneAtMs)}`}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
