import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { cellText, type Dimension, type Rate, type RateRow, rateRows, SEEN_LABELS } from '#core/outcomes';
import { failureWords } from '../../../data/api';
import { useSurveillance } from '../../../data/outcomes';
import { inSentence, translate } from '../../../language/translate';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { Reading } from '../../../parts/base/Reading';
import { WideTable } from '../../../parts/base/WideTable';
import { Choice } from '../../../parts/fields/Choice';
import { FieldError } from '../../../parts/fields/Field';
import { plain } from '../../../words/format';

const DIMENSIONS: Record<Dimension, string> = {
  limb: t`limb`,
  percentBand: '%LOP',
  minutesBand: t`minutes`,
  schoolId: t`school`,
  cuff: t`cuff`,
};

/** How often anything was seen that should not be, per 1,000 inflations with exact intervals; no name is in it (OUT-7). */
export function SafetyView() {
  const { data, error } = useSurveillance();
  const [by, setBy] = useState<Dimension>('limb');
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!data) return <Reading inFrame>{t`Reading what was counted…`}</Reading>;
  const rows = rateRows(data.tallies, by);
  const [all] = rows;
  if (!all || all.inflations === 0) {
    return (
      <div className="max-w-prose p-6">
        <h1 className="text-3xl font-semibold">{t`Safety record`}</h1>
        <p className="mt-2">
          {t`Nothing was counted yet. Every inflation of a finished session is counted here, with the symptoms noted and what was said the day after.`}
        </p>
      </div>
    );
  }
  const occurred = all.seen.filter(({ rate }) => rate.kind === 'seen').map(({ id }) => id);
  const never = all.seen.flatMap(({ id, rate }) => (rate.kind === 'none' ? [{ id, rate }] : []));
  const [bound] = never;
  return (
    <div className="space-y-6 p-6">
      <PracticeHead title={t`Safety record`}>
        <Choice
          label={t`Grouped by`}
          value={by}
          onChange={setBy}
          options={(Object.keys(DIMENSIONS) as Dimension[]).map((value) => ({
            value,
            label: DIMENSIONS[value],
          }))}
        />
      </PracticeHead>
      <p className="text-quiet">
        <Trans>
          <span className="figures">{all.inflations}</span> inflations; per 1,000 of them, with exact 95 %
          intervals. <span className="figures">{data.adverseEvents}</span>{' '}
          {data.adverseEvents === 1 ? t`adverse event` : t`adverse events`} on record.
        </Trans>
      </p>
      <WideTable className="border-t border-ink/40">
        <thead>
          <tr className="text-left align-bottom text-[14px] text-quiet">
            <th className="py-1 pr-6 font-normal">{DIMENSIONS[by]}</th>
            <th className="py-1 pr-6 text-right font-normal">{t`Inflations`}</th>
            <th className="py-1 pr-6 font-normal">{t`Anything`}</th>
            {occurred.map((id) => (
              <th key={id} className="py-1 pr-6 font-normal">
                {translate(SEEN_LABELS[id])}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="border-t border-rule align-top">
              <th scope="row" className={`py-2 pr-6 text-left ${row === all ? '' : 'font-normal'}`}>
                {nameOf(row, by)}
              </th>
              <td className="figures py-2 pr-6 text-right">{row.inflations}</td>
              <td className="py-2 pr-6">
                <RateWords rate={row.any} />
              </td>
              {occurred.map((id) => (
                <td key={id} className="py-2 pr-6">
                  <RateWords rate={row.seen.find((one) => one.id === id)?.rate} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </WideTable>
      {bound && (
        <p className="max-w-prose text-[15px]">
          <Trans>
            Never seen here: {never.map(({ id }) => inSentence(SEEN_LABELS[id])).join('; ')}. Of{' '}
            <span className="figures">{all.inflations}</span> inflations that says: at most{' '}
            <span className="figures">{plain(bound.rate.atMostPer1000)}</span> per 1,000.
          </Trans>
        </p>
      )}
      <p className="max-w-prose text-[14px] text-quiet">
        {t`A symptom belongs to the inflations it was noted in; what was said the day after, to the last inflation of each limb. A difference between rows whose intervals overlap may be chance. Follow local policy for reporting.`}
      </p>
    </div>
  );
}

const nameOf = ({ name }: RateRow, by: Dimension): string =>
  name === null ? t`All` : translate(cellText(by, name));

/** "5.0 (0.6 to 18.1)", or at most what none seen says. */
function RateWords({ rate }: { rate: Rate | undefined }) {
  if (!rate || rate.kind === 'nothing-counted') return <span className="text-quiet">–</span>;
  if (rate.kind === 'none')
    return (
      <span className="text-[15px] text-quiet">
        <Trans>
          none, at most <span className="figures">{plain(rate.atMostPer1000)}</span>
        </Trans>
      </span>
    );
  return (
    <span className="whitespace-nowrap">
      <span className="figures text-lg">{plain(rate.per1000)}</span>{' '}
      <span className="figures text-[14px] text-quiet">
        {t`${plain(rate.interval.low)} to ${plain(rate.interval.high)}`}
      </span>
    </span>
  );
}
