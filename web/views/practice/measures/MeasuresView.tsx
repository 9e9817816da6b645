import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { MEASURES, type Measure, type MeasureId, measureBook } from '#core/outcomes';
import { useMay, usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { Reading } from '../../../parts/base/Reading';
import { Why } from '../../../parts/base/Why';
import { plain } from '../../../words/format';
import { MeasureForm } from './MeasureForm';

/** What is measured here: the standard measures as this practice takes them, and its own (OUT-1, OUT-2). */
export function MeasuresView() {
  const { data: practice } = usePractice();
  const mayChange = useMay('keep-practice');
  const [open, setOpen] = useState<MeasureId | 'new' | null>(null);
  if (!practice) return <Reading inFrame>{t`Reading the practice…`}</Reading>;
  const book = measureBook(practice.ownMeasures);
  const toggle = (id: MeasureId) => setOpen(open === id ? null : id);
  return (
    <div className="space-y-4 p-6">
      <PracticeHead title={t`Measures`}>
        {mayChange && <Button onClick={() => setOpen('new')}>{t`Add a measure`}</Button>}
      </PracticeHead>
      <p className="max-w-prose text-quiet">
        <Trans>
          The error is what one measurement is off by chance. It is assumed until this practice’s own repeats
          say better, and what is real is judged by it.
          {!mayChange && (
            <>
              {' '}
              {t`A clinician changes measures.`} <Why rule="SCR-4" />
            </>
          )}
        </Trans>
      </p>
      {open === 'new' && <MeasureForm id={null} book={book} done={() => setOpen(null)} />}
      <ul aria-label={t`Measures`} className="max-w-5xl border-t border-ink/40">
        {Object.entries(book).map(([id, measure]) => (
          <li key={id} className="border-b border-rule">
            <div className="flex flex-wrap items-center gap-x-4 py-1">
              <div className="min-w-72 flex-1">
                <p>
                  <strong>{translate(measure.label)}</strong>{' '}
                  <span className="text-[14px] text-plum">
                    {!(id in MEASURES)
                      ? t`the practice’s own`
                      : id in practice.ownMeasures
                        ? t`changed here`
                        : ''}
                  </span>{' '}
                  {measure.isLeftOut && (
                    <span className="text-[14px] text-ochre">{t`no longer offered`}</span>
                  )}
                </p>
                <p className="text-[15px]">{wordsOf(measure)}</p>
                <p className="text-[15px] text-quiet">{translate(measure.cue)}</p>
              </div>
              {mayChange && (
                <button
                  type="button"
                  aria-expanded={open === id}
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => toggle(id)}
                >
                  <Trans>
                    Change<span className="sr-only"> {translate(measure.label)}</span>
                  </Trans>
                </button>
              )}
            </div>
            {open === id && <MeasureForm id={id} book={book} done={() => setOpen(null)} />}
          </li>
        ))}
      </ul>
    </div>
  );
}

const BETTER_WORDS = {
  higher: t`more is better`,
  lower: t`less is better`,
  neither: t`only describes`,
} as const;
const TAKES = { mean: t`mean`, best: t`best` } as const;
const OF_WORDS = { arm: t`each arm`, leg: t`each leg`, limb: t`each limb`, person: t`the person` } as const;

const wordsOf = ({ unit, of, better, repeats, take, error }: Measure): string =>
  [
    OF_WORDS[of],
    translate(unit),
    BETTER_WORDS[better],
    repeats > 1 ? t`${repeats} figures, the ${TAKES[take]} counts` : t`one figure`,
    t`error ${plain(error.value)} ${error.kind === 'percent' ? '%' : translate(unit)}`,
  ].join(' · ');
