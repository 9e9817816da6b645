import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { OutcomeOnRecord, OutcomesView } from '#contract/outcomes';
import { type Measure, type MeasureBook, measuredWords, measureOf } from '#core/outcomes';
import { failureWords } from '../../../data/api';
import { useWithdrawOutcome } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { dayAndTime, plain } from '../../../words/format';

/** Every measure as it was taken, with its repeats; one that does not count says why, and stays. */
export function Found({
  client,
  view,
  book,
}: {
  client: ClientRecord;
  view: OutcomesView;
  book: MeasureBook;
}) {
  if (view.taken.length === 0) return null;
  return (
    <details>
      <summary className="min-h-9 cursor-pointer py-1 font-semibold">
        {t`All that was taken here (${view.taken.length})`}
      </summary>
      <ul className="border-t border-rule">
        {view.taken.map((outcome) => (
          <TakenLine
            key={outcome.id}
            clientId={client.id}
            outcome={outcome}
            measure={measureOf(book, outcome.measureId)}
          />
        ))}
      </ul>
    </details>
  );
}

function TakenLine({
  clientId,
  outcome,
  measure,
}: {
  clientId: string;
  outcome: OutcomeOnRecord;
  measure: Measure;
}) {
  const { id, limb, setting, atMs, value, repeats, note, withdrawn } = outcome;
  const withdraw = useWithdrawOutcome(clientId);
  const [isAsking, setAsking] = useState(false);
  const { typed, field, send } = useFields({ reason: '' }, withdraw.error);
  return (
    <li className="border-b border-rule py-1.5">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <span className="figures w-36 text-quiet">{dayAndTime(atMs)}</span>
        <span className={withdrawn ? 'line-through' : ''}>
          {translate(measuredWords({ limb, setting }, measure))}:{' '}
          <span className="figures">{plain(value)}</span> {translate(measure.unit)}
        </span>
        {repeats.length > 1 && (
          <span className="figures text-[14px] text-quiet">
            {t`of ${repeats.map((one) => plain(one)).join(', ')}`}
          </span>
        )}
        {note && <span className="text-[15px] text-quiet">{note}</span>}
        {withdrawn ? (
          <span className="text-[15px] text-ochre">{t`Does not count: ${withdrawn}`}</span>
        ) : (
          <button
            type="button"
            className="min-h-9 text-[15px] underline underline-offset-4"
            onClick={() => setAsking(!isAsking)}
          >
            {t`It does not count`}
          </button>
        )}
      </div>
      {isAsking && !withdrawn && (
        <form
          className="flex flex-wrap items-end gap-3"
          {...send(({ reason }) => reason.trim() !== '' && withdraw.mutate({ outcomeId: id, reason }))}
        >
          <Field className="min-w-64 flex-1" label={t`Why it does not count`} {...field('reason')} />
          <Button type="submit" disabled={typed.reason.trim() === '' || withdraw.isPending}>
            {t`Take it out`}
          </Button>
          {withdraw.error && <FieldError>{failureWords(withdraw.error)}</FieldError>}
        </form>
      )}
    </li>
  );
}
