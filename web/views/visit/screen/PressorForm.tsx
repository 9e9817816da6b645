import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import type { Message } from '#core/message';
import { toNumber } from '#core/quantity';
import { watchesBloodPressure } from '#core/record';
import { type PressorReadings, pressorReadingsSchema, pressorResponse } from '#core/screening';
import { api, failureWords, read } from '../../../data/api';
import { useMay, usePractitioner, useRecordWrite } from '../../../data/queries';
import { useBloodPressureLimit } from '../../../data/use-blood-pressure-limit';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { BloodPressureFields } from '../../../parts/record/BloodPressureFields';
import { NO_PRESSURE, readPressure } from '../../../parts/record/typed-pressure';

type Moment = Exclude<keyof PressorReadings, 'percentLop'>;
const MOMENTS: Record<Moment, string> = {
  before: t`Before`,
  minute1: t`At 1 min`,
  minute2: t`At 2 min`,
  after: t`5 min after`,
};
const MOMENT_IDS = Object.keys(MOMENTS) as Moment[];
const EMPTY = { before: NO_PRESSURE, minute1: NO_PRESSURE, minute2: NO_PRESSURE, after: NO_PRESSURE };

/** How the blood pressure rises in two minutes of light work under a cuff, and the cap a clinician may keep from it (rule RUN-8). */
export function PressorForm({ client }: { client: ClientRecord }) {
  const mayKeep = useMay('clear');
  const practitioner = usePractitioner();
  const limit = useBloodPressureLimit();
  const { typed, set, field, send } = useFields({ percent: '40', ...EMPTY }, null);
  const write = useRecordWrite((json: NewClearance) =>
    read(api.clients[':id'].clearances.$post({ param: { id: client.id }, json })),
  );
  if (!mayKeep) return null;
  const parsed = pressorReadingsSchema.safeParse({
    percentLop: toNumber(typed.percent),
    ...Object.fromEntries(MOMENT_IDS.map((moment) => [moment, readPressure(typed[moment]).reading])),
  });
  const response = parsed.success ? pressorResponse(parsed.data, limit) : null;
  const cap = response?.kind === 'cap' && !write.isSuccess ? response : null;
  const keep = ({ capPercentLop, words }: { capPercentLop: number; words: Message }) =>
    write.mutate({
      subjects: ['pressor-response'],
      givenBy: practitioner?.name ?? 'Clinician',
      byPhysician: false,
      givenAtMs: client.judgedAtMs,
      untilMs: null,
      maxPercentLop: capPercentLop,
      limbs: [],
      modes: [],
      highestRung: null,
      ranges: [],
      note: translate(words),
    });
  return (
    <details open={write.isSuccess}>
      <summary className="min-h-11 cursor-pointer py-2 text-xl font-semibold">
        <Trans>
          How the blood pressure rises in work
          {watchesBloodPressure(client.facts, client.judgedAtMs) && (
            <span className="notched ml-3 text-[15px] font-normal">
              {t`it is watched in work`} <Why rule="RUN-8" />
            </span>
          )}
        </Trans>
      </summary>
      <form className="space-y-3" {...send(() => cap && !write.isPending && keep(cap))}>
        <p className="max-w-prose text-[15px] text-quiet">
          {t`One limb, two minutes of light work under the cuff, the person seated. Stop above ${limit.systolicMmHg}/${limit.diastolicMmHg} or at any symptom. What comes of it is a proposal: that the rise goes with the share of LOP is an assumption of this app, and it only ever lowers.`}
        </p>
        <Field label={t`Cuff at`} unit="% LOP" className="max-w-40" number="decimal" {...field('percent')} />
        {MOMENT_IDS.map((moment) => (
          <BloodPressureFields
            key={moment}
            label={MOMENTS[moment]}
            typed={typed[moment]}
            onChange={(next) => set(moment, next)}
          />
        ))}
        {response && (
          <p role="status" className={response.kind === 'none-needed' ? '' : 'notched py-1'}>
            {translate(response.words)}
          </p>
        )}
        {cap && (
          <Button type="submit" kind="main" disabled={write.isPending}>
            {t`Keep ${cap.capPercentLop} % of LOP as a cap`}
          </Button>
        )}
        {write.isSuccess && <p role="status">{t`Kept: every pressure obeys it from now on.`}</p>}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      </form>
    </details>
  );
}
