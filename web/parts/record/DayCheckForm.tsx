import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewDayCheck } from '#contract/measurements';
import { toNumberOrNull } from '#core/quantity';
import { daySignsAsked, needsBloodPressure } from '#core/record';
import { judgeDayCheck } from '#core/screening';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { translate } from '../../language/translate';
import { ACTIONS } from '../../state/actions';
import { Button } from '../base/Button';
import { FindingLine } from '../base/FindingLine';
import { Field, FieldError } from '../fields/Field';
import { Scale } from '../fields/Scale';
import { useAction } from '../keys/use-action';
import { BloodPressureFields } from './BloodPressureFields';
import { type DayAnswers, DayQuestions } from './DayQuestions';
import { NO_PRESSURE, readPressure } from './typed-pressure';

/** The check on the day: W says all is well, a digit gives the pain, Enter records (rule SCR-3). */
export function DayCheckForm({ client, done }: { client: ClientRecord; done?: () => void }) {
  const signs = daySignsAsked(client.facts, client.judgedAtMs);
  const asksPressure = needsBloodPressure(client.facts, client.judgedAtMs);
  const [well, setWell] = useState<DayAnswers>({});
  const [painNow, setPainNow] = useState<number | null>(null);
  const [typed, setTyped] = useState(NO_PRESSURE);
  const write = useRecordWrite((json: NewDayCheck) =>
    read(api.clients[':id']['day-checks'].$post({ param: { id: client.id }, json })),
  );
  const { reading } = readPressure(typed);
  const [sleep, setSleep] = useState('');
  const [soreness, setSoreness] = useState<number | null>(null);
  const sleepHours = toNumberOrNull(sleep);
  const isSleepWrong = sleepHours !== null && !(sleepHours >= 0 && sleepHours <= 24);
  const readiness =
    sleepHours === null && soreness === null
      ? null
      : { ...(sleepHours === null ? {} : { sleepHours }), ...(soreness === null ? {} : { soreness }) };
  const answered = signs.every((sign) => well[sign] !== undefined);
  const complete = answered && painNow !== null && !isSleepWrong && (!asksPressure || reading !== null);
  const answers: NewDayCheck = {
    notWell: signs.filter((sign) => well[sign] === false),
    painNow: painNow ?? 0,
    bloodPressure: reading,
    ...(readiness && { readiness }),
  };
  const allWell = () => setWell(Object.fromEntries(signs.map((sign) => [sign, true])));
  const record = async () => {
    if (!complete || write.isPending) return;
    if (await write.mutateAsync(answers).catch(() => null)) done?.();
  };
  useAction('all-well', allWell);
  useAction('pain-now', setPainNow);
  useAction('accept', () => void record(), { fromFields: true });
  return (
    <section aria-label={t`Check on the day`} className="space-y-3">
      <h3 className="text-xl font-semibold">{t`On the day`}</h3>
      <DayQuestions signs={signs} well={well} setWell={setWell} />
      <Scale label={t`Pain now`} keys={ACTIONS['pain-now'].written} value={painNow} onChange={setPainNow} />
      {asksPressure && (
        <BloodPressureFields label={t`Blood pressure today`} typed={typed} onChange={setTyped} />
      )}
      <details>
        <summary className="min-h-9 cursor-pointer py-1 text-[15px]">{t`Sleep and soreness, optional`}</summary>
        <div className="space-y-2">
          <Field
            className="w-40"
            label={t`Slept`}
            unit="h"
            number="decimal"
            value={sleep}
            onChange={(event) => setSleep(event.target.value)}
            error={isSleepWrong ? t`From 0 to 24 hours.` : undefined}
          />
          <Scale label={t`Soreness`} value={soreness} onChange={setSoreness} />
        </div>
      </details>
      {complete &&
        judgeDayCheck(answers).map((finding) => (
          <FindingLine key={translate(finding.message)} finding={finding} />
        ))}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      <div className="flex flex-wrap gap-2">
        <Button does="all-well" onClick={allWell}>
          {t`All well`}
        </Button>
        <Button
          kind="main"
          does="accept"
          disabled={!complete || write.isPending}
          onClick={() => void record()}
        >
          {t`Record the check`}
        </Button>
      </div>
    </section>
  );
}
