import { useState } from 'react';
import { MEASURES, type Measure, type MeasureId, measureBook } from '#core/outcomes/measures';
import { useMay, usePractice } from '../../data/queries';
import { Button } from '../../parts/Button';
import { plain } from '../../parts/format';
import { PracticeHead } from '../../parts/PracticeHead';
import { Why } from '../../parts/Why';
import { MeasureForm } from './MeasureForm';

/** What is measured here: the standard measures as this practice takes them, and its own (OUT-1, OUT-2). */
export function MeasuresView() {
  const { data: practice } = usePractice();
  const mayChange = useMay('keep-practice');
  const [open, setOpen] = useState<MeasureId | 'new' | null>(null);
  if (!practice) return <p className="p-6 text-quiet">Reading the practice…</p>;
  const book = measureBook(practice.ownMeasures);
  const toggle = (id: MeasureId) => setOpen(open === id ? null : id);
  return (
    <div className="space-y-4 p-6">
      <PracticeHead title="What is measured">
        {mayChange && <Button onClick={() => setOpen('new')}>Add a measure</Button>}
      </PracticeHead>
      <p className="max-w-prose text-quiet">
        The error is what one measurement is off by chance. It is assumed until this practice’s own repeats
        say better, and what is real is judged by it.
        {!mayChange && (
          <>
            {' '}
            A clinician changes measures. <Why rule="SCR-4" />
          </>
        )}
      </p>
      {open === 'new' && <MeasureForm id={null} book={book} done={() => setOpen(null)} />}
      <ul aria-label="Measures" className="max-w-5xl border-t border-ink/40">
        {Object.entries(book).map(([id, measure]) => (
          <li key={id} className="border-b border-rule">
            <div className="flex flex-wrap items-center gap-x-4 py-1">
              <div className="min-w-72 flex-1">
                <p>
                  <strong>{measure.label}</strong>{' '}
                  <span className="text-[14px] text-plum">
                    {!(id in MEASURES)
                      ? 'the practice’s own'
                      : id in practice.ownMeasures
                        ? 'changed here'
                        : ''}
                  </span>{' '}
                  {measure.isLeftOut && <span className="text-[14px] text-ochre">no longer offered</span>}
                </p>
                <p className="text-[15px]">{wordsOf(measure)}</p>
                <p className="text-[15px] text-quiet">{measure.cue}</p>
              </div>
              {mayChange && (
                <button
                  type="button"
                  aria-expanded={open === id}
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => toggle(id)}
                >
                  Change<span className="sr-only"> {measure.label}</span>
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
  higher: 'more is better',
  lower: 'less is better',
  neither: 'only describes',
} as const;
const OF_WORDS = { arm: 'each arm', leg: 'each leg', limb: 'each limb', person: 'the person' } as const;

const wordsOf = ({ unit, of, better, repeats, take, error }: Measure): string =>
  [
    OF_WORDS[of],
    unit,
    BETTER_WORDS[better],
    repeats > 1 ? `${repeats} figures, the ${take} counts` : 'one figure',
    `error ${plain(error.value)} ${error.kind === 'percent' ? '%' : unit}`,
  ].join(' · ');
