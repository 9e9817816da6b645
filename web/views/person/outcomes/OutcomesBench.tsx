import { t } from '@lingui/core/macro';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { OutcomesView } from '#contract/outcomes';
import { reachedWords } from '#core/aerobic';
import {
  isSameFollowed,
  limbsFor,
  type MeasureBook,
  MOMENT_WORDS,
  mainSeries,
  measureBook,
  measureOf,
  seriesOf,
  trainedLimbs,
} from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { limbKind, limbSide, otherSide } from '#core/quantity';
import { dueWords, measuresDue } from '#core/record';
import { failureWords } from '../../../data/api';
import { useOutcomes } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Reading } from '../../../parts/base/Reading';
import { Why } from '../../../parts/base/Why';
import { FieldError } from '../../../parts/fields/Field';
import { AdverseEvents } from '../../../parts/record/AdverseEvents';
import { BlockByBlock } from './BlockByBlock';
import { Comparisons } from './Comparisons';
import { Found } from './Found';
import { Ladders } from './Ladders';
import { SeriesLine } from './SeriesLine';
import { Symmetries } from './Symmetries';
import { TakeMeasure, type ToTake } from './TakeMeasure';

const DoseAndEffect = lazy(() =>
  import('./DoseAndEffect').then(({ DoseAndEffect }) => ({ default: DoseAndEffect })),
);

/** Whether it helped: what is due to be measured, what was measured, and what that says against its error (OUT). */
export function OutcomesBench({ client }: { client: ClientRecord }) {
  const { data, error } = useOutcomes(client.id);
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!data) return <Reading>{t`Reading what was measured…`}</Reading>;
  return <Outcomes client={client} view={data} />;
}

const FIRST: ToTake = { measureId: 'girth-mid-thigh', limb: 'left-thigh', setting: '' };

function Outcomes({ client, view }: { client: ClientRecord; view: OutcomesView }) {
  const library = useMemo(() => libraryOf(client.facts.ownExercises), [client.facts.ownExercises]);
  const book = useMemo(() => measureBook(client.facts.ownMeasures), [client.facts.ownMeasures]);
  const series = useMemo(() => seriesOf(view, { library, book }), [view, library, book]);
  const due = useMemo(() => measuresDue(client.facts, client.judgedAtMs), [client.facts, client.judgedAtMs]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [toTake, setToTake] = useState<ToTake | null>(null);
  const [next] = due;
  const take =
    toTake ??
    (next ? { measureId: next.measureId, limb: next.limb, setting: next.setting } : firstFor(client));
  const shown =
    series.find(({ key }) => key === chosen) ?? mainSeries(series, trainedLimbs(client.facts.prescriptions));
  const reached =
    shown && view.taken.find((one) => one.withdrawn === null && isSameFollowed(one, shown))?.reached;
  return (
    <section
      aria-labelledby="outcomes-title"
      className="grid gap-x-10 gap-y-8 lg:grid-cols-[1fr_17rem] print:block"
    >
      <div className="min-w-0 space-y-6">
        <div className="flex items-baseline justify-between gap-4">
          <h2 id="outcomes-title" className="text-2xl font-semibold">
            {t`Outcomes`}
          </h2>
          <Link
            to={`/people/${client.id}/report`}
            className="inline-flex min-h-9 items-center underline underline-offset-4 print:hidden"
          >
            {t`Report for them or the referrer`}
          </Link>
        </div>
        {series.length === 0 ? (
          <p className="max-w-prose">
            {t`Nothing was measured yet. Take two or three measures before the first session: then the app can say whether anything changed, and how sure that is.`}
          </p>
        ) : (
          <ul aria-label={t`What changed`} className="border-t border-ink/40">
            {series.map((one) => (
              <SeriesLine
                key={one.key}
                series={one}
                isChosen={one.key === shown?.key}
                choose={() => setChosen(one.key)}
              />
            ))}
          </ul>
        )}
        {shown && (
          <Suspense fallback={<div className="h-72" />}>
            <DoseAndEffect client={client} series={shown} />
          </Suspense>
        )}
        {reached && (
          <p className="text-[15px]">{t`At the end of the last test: ${translate(reachedWords(reached))}.`}</p>
        )}
        {shown && <BlockByBlock client={client} view={view} series={series} shown={shown} />}
        <Ladders client={client} />
        <Symmetries series={series} />
        <Comparisons client={client} view={view} series={series} book={book} />
        <Found client={client} view={view} book={book} />
        <AdverseEvents clientId={client.id} sessionId={null} />
      </div>
      <div className={`space-y-6 print:hidden ${due.length > 0 ? 'max-lg:order-first' : ''}`}>
        {due.length > 0 && (
          <section aria-label={t`Due`}>
            <h3 className="font-semibold">
              {t`Due ${translate(MOMENT_WORDS[due[0]?.moment ?? 'baseline'])}`} <Why rule="OUT-4" />
            </h3>
            <ul className="border-t border-rule">
              {due.map(({ measureId, limb, setting, ...moment }) => (
                <li key={`${measureId} ${limb} ${setting}`} className="border-b border-rule">
                  <button
                    type="button"
                    className="min-h-10 w-full text-left hover:bg-tint"
                    onClick={() => setToTake({ measureId, limb, setting })}
                  >
                    {translate(dueWords({ measureId, limb, setting, ...moment }, client.facts))}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <TakeMeasure
          key={`${take.measureId} ${take.limb} ${take.setting}`}
          client={client}
          toTake={take}
          onToTake={setToTake}
          book={book}
          kept={(taken) => setToTake(nextToTake(taken, book))}
        />
      </div>
    </section>
  );
}

/** The limb that is trained, for a person without measurements. */
function firstFor({ facts }: ClientRecord): ToTake {
  const limb = facts.prescriptions[0]?.plan.exercises[0]?.limbs[0]?.limb;
  if (limb && limbKind(limb) === 'arm') return { measureId: 'girth-mid-arm', limb, setting: '' };
  return limb ? { ...FIRST, limb } : FIRST;
}

/** The other side of what was taken now; after that, the same again is not wanted. */
function nextToTake({ measureId, limb, setting }: ToTake, book: MeasureBook): ToTake | null {
  const limbs = limbsFor(measureOf(book, measureId));
  if (!limb || limbSide(limb) !== 'left') return null;
  const other = limbs.find((one) => one === otherSide(limb));
  return other ? { measureId, limb: other, setting } : null;
}
