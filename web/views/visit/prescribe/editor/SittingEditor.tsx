import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { SessionChoice } from '#core/plan';
import { type Adjunct, adjunctText, type PlannedAdjunct } from '#core/protocol';
import { translate } from '../../../../language/translate';
import { Button } from '../../../../parts/base/Button';
import { WordMenu } from '../../../../parts/base/WordMenu';
import { Choice } from '../../../../parts/fields/Choice';
import { Field } from '../../../../parts/fields/Field';
import { useFields } from '../../../../parts/forms/use-fields';
import { ADJUNCT_OPTIONS } from '../../../../words/adjunct-options';

const MOST = 8;
const WHEN: { value: PlannedAdjunct['when']; label: string }[] = [
  { value: 'before', label: t`Before the cuff` },
  { value: 'after', label: t`After it` },
];

/** Adjuncts of the sitting: a heavy lift after the warm-up or before the finisher, mobility, ice (rule PRO-4). */
export function SittingEditor({
  session,
  change,
}: {
  session: SessionChoice;
  change: (session: SessionChoice) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const { typed, set, field, send } = useFields<PlannedAdjunct>(
    { when: 'before', what: 'heavy-lift', words: '' },
    null,
  );
  const { sitting = [], ...rest } = session;
  const keep = (next: PlannedAdjunct[]) => change(next.length > 0 ? { ...rest, sitting: next } : rest);
  const part = (when: PlannedAdjunct['when']) =>
    sitting.map((one, place) => ({ one, place })).filter(({ one }) => one.when === when);
  const list = (when: PlannedAdjunct['when']) =>
    part(when).map(({ one, place }) => (
      <li key={`${when} ${place} ${one.what}`} className="inline-flex items-center gap-2">
        {translate(adjunctText(one))}
        <button
          type="button"
          className="min-h-9 px-1 underline underline-offset-4"
          aria-label={t`Leave out ${translate(adjunctText(one))}`}
          onClick={() => keep(sitting.filter((_, other) => other !== place))}
        >
          {t`leave out`}
        </button>
      </li>
    ));
  return (
    <section aria-label={t`Before and after the cuff`} className="text-[15px]">
      {sitting.length > 0 && (
        <ol className="flex flex-wrap items-center gap-x-3" aria-label={t`The sitting in order`}>
          {list('before')}
          <li className="font-semibold">
            {part('before').length > 0 ? t`then the cuff` : t`First the cuff`}
          </li>
          {part('after').length > 0 && <li aria-hidden>{t`then`}</li>}
          {list('after')}
        </ol>
      )}
      {!isOpen && sitting.length < MOST && (
        <button type="button" className="min-h-9 underline underline-offset-4" onClick={() => setOpen(true)}>
          {sitting.length === 0 ? t`A heavy lift, mobility or ice in the same sitting` : t`Another adjunct`}
        </button>
      )}
      {isOpen && (
        <form
          className="flex flex-wrap items-end gap-x-4 gap-y-2 border-y border-rule py-3"
          {...send((one) => {
            keep([...sitting, { ...one, words: one.words.trim() }]);
            set('words', '');
            setOpen(false);
          })}
        >
          <Choice label={t`When`} value={typed.when} onChange={(when) => set('when', when)} options={WHEN} />
          <WordMenu<Adjunct>
            label={t`What is done`}
            value={typed.what}
            onChange={(what) => set('what', what)}
            options={ADJUNCT_OPTIONS}
          />
          <Field
            className="min-w-56 flex-1"
            label={t`In a few words`}
            maxLength={200}
            autoComplete="off"
            {...field('words')}
          />
          <Button type="submit" kind="main">
            {t`Add`}
          </Button>
          <Button leaves onClick={() => setOpen(false)}>
            {t`Cancel`}
          </Button>
        </form>
      )}
    </section>
  );
}
