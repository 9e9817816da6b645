import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { ComparisonOnRecord, OutcomesView } from '#contract/outcomes';
import {
  COMPARISON_LIMITS,
  changeFigure,
  compareArms,
  conditionsOf,
  differenceWords,
  drawnWords,
  type MeasureBook,
  measuredWords,
  measureOf,
  type Series,
  type ToCompare,
} from '#core/outcomes';
import { LIMB_NAMES } from '#core/quantity';
import { comparisonInForce } from '#core/record';
import { failureWords } from '../../../data/api';
import { useEndComparison } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { day, plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import { ComparisonForm } from './ComparisonForm';

/** With the cuff against without, in this person alone: what was drawn, what is there, what it says and what it cannot. */
export function Comparisons({
  client,
  view,
  series,
  book,
}: {
  client: ClientRecord;
  view: OutcomesView;
  series: readonly Series[];
  book: MeasureBook;
}) {
  const [isOpen, setOpen] = useState(false);
  const mayBegin = !comparisonInForce(client.facts, client.judgedAtMs);
  return (
    <section aria-label={t`Compared in this person`} className="space-y-3">
      <h3 className="font-semibold">{t`With the cuff against without, in this person`}</h3>
      {view.comparisons.map((one) => (
        <ComparisonLines key={one.id} client={client} comparison={one} series={series} book={book} />
      ))}
      {mayBegin && (
        <div className="print:hidden">
          {isOpen ? (
            <ComparisonForm client={client} book={book} done={() => setOpen(false)} />
          ) : (
            <Only permission="sign">
              <Button onClick={() => setOpen(true)}>{t`Begin a comparison`}</Button>
            </Only>
          )}
        </div>
      )}
    </section>
  );
}

function ComparisonLines({
  client,
  comparison: { id, design, ended },
  series,
  book,
}: {
  client: ClientRecord;
  comparison: ComparisonOnRecord;
  series: readonly Series[];
  book: MeasureBook;
}) {
  const measure = measureOf(book, design.measureId);
  const { values, verdict, asLarge } = compareArms(design, series, client.facts.zoneOffsetMs);
  const conditions = conditionsOf(design);
  const limb = design.kind === 'periods' ? design.limb : null;
  const { can, cannot } = COMPARISON_LIMITS[design.kind];
  const lastDay = Math.max(...conditions.map(({ toDay }) => toDay));
  return (
    <div className="max-w-3xl border-t border-rule pt-2">
      <p>
        {verdict && (
          <strong className="mr-2 text-lg">{translate(differenceWords(verdict.kind, measure.better))}</strong>
        )}
        {translate(measuredWords({ limb, setting: design.setting }, measure))}
        {verdict && (
          <>
            : <span className="figures">{translate(changeFigure(verdict, measure))}</span>{' '}
            <span className="text-quiet">{t`with the cuff, over without`}</span>
          </>
        )}
      </p>
      {asLarge && (
        <p className="text-[15px]">
          <Trans>
            Of <span className="figures">{asLarge.orders}</span> orders that could have been drawn,{' '}
            <span className="figures">{asLarge.of}</span> {asLarge.of === 1 ? t`gives` : t`give`} as much.
          </Trans>
        </p>
      )}
      <p className="text-[15px] text-quiet">
        <Trans>
          {translate(drawnWords(design))}; from {onDay(conditions[0]?.fromDay ?? 0)} to {onDay(lastDay)}.
          Drawn by the seed <span className="figures">{design.seed}</span>.
        </Trans>
      </p>
      {ended !== null && <p className="text-ochre">{t`Ended: ${ended}`}</p>}
      {!verdict && ended === null && <Values values={values} unit={translate(measure.unit)} />}
      <p className="text-[15px]">{t`It can say ${translate(can)}`}</p>
      <p className="text-[15px] text-quiet">{t`It cannot say more: ${translate(cannot)}`}</p>
      {ended === null && !verdict && <End client={client} comparisonId={id} />}
    </div>
  );
}

/** Which of its values are there, and about which day the others are to be taken. */
function Values({ values, unit }: { values: readonly ToCompare[]; unit: string }) {
  return (
    <ul className="flex flex-wrap gap-x-6 text-[15px]">
      {values.map(({ limb, day: about, taken }) => (
        <li key={`${limb} ${about}`}>
          <span className="text-quiet">
            {onDay(about)}
            {limb && `, ${translate(LIMB_NAMES[limb])}`}:
          </span>{' '}
          {taken ? (
            <>
              <span className="figures">{plain(taken.value)}</span> {unit}
            </>
          ) : (
            t`to take`
          )}
        </li>
      ))}
    </ul>
  );
}

const onDay = (of: number): string => day(noonOf(of).getTime());

function End({ client, comparisonId }: { client: ClientRecord; comparisonId: string }) {
  const [isEnding, setEnding] = useState(false);
  const end = useEndComparison(client.id);
  const { typed, field, send } = useFields({ why: '' }, end.error);
  if (!isEnding) {
    return (
      <button
        type="button"
        className="min-h-9 text-[15px] underline underline-offset-4"
        onClick={() => setEnding(true)}
      >
        {t`End it early`}
      </button>
    );
  }
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      {...send(({ why }) => why.trim() !== '' && end.mutate({ comparisonId, why }))}
    >
      <Field className="min-w-64 flex-1" label={t`Why it ends`} {...field('why')} />
      <Only permission="sign">
        <Button type="submit" disabled={typed.why.trim() === '' || end.isPending}>
          {t`End it`}
        </Button>
      </Only>
      {end.error && <FieldError>{failureWords(end.error)}</FieldError>}
    </form>
  );
}
