import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { measureBook } from '#core/outcomes';
import { exerciseWords, type Plan, targetWords } from '#core/plan';
import { LIMB_LABELS, LIMB_NAMES, LIMBS } from '#core/quantity';
import { cuffInForce } from '#core/record';
import { CONSENT_VERSION, DAY_SIGNS, ITEM_IDS, SCREEN_ITEMS } from '#core/screening';
import { BLOOD_PRESSURE_MOMENTS, EFFORT_SCALES, SIGNS, signIdSchema } from '#core/session';
import { translate } from '../../../language/translate';
import { amountWords } from '../../../parts/plan/PlanSummary';
import { ConsentWords } from '../../../parts/record/ConsentWords';
import { paperColumns } from '../../../words/paper-columns';
import type { PaperForm } from '../../../words/paper-forms';
import { shareOfMax } from '../../../words/share-of-max';
import { useUnits } from '../../../words/units';
import { Boxes, EmptyTable, Line } from './parts';

/** Whose sheet it is, and by which plan; blank where it has no person. */
export type OfPaper = {
  practice: PracticeView;
  client: ClientRecord | null;
  plan: Plan | null;
};

/** What is on each sheet, in the order of the screen it is typed into. */
export const SHEETS: Record<PaperForm, (of: OfPaper) => React.ReactNode> = {
  screening: () => <Screening />,
  consent: (of) => <Consent {...of} />,
  pressure: (of) => <Pressure {...of} />,
  session: (of) => <Session {...of} />,
  outcomes: (of) => <Outcomes {...of} />,
};

function Screening() {
  return (
    <>
      <ol className="columns-1">
        {ITEM_IDS.map((id, place) => (
          <li key={id} className="flex items-center justify-between gap-4 border-b border-rule py-0.5">
            <span>
              <span className="figures mr-2 inline-block w-6 text-right">{place + 1}</span>
              {translate(SCREEN_ITEMS[id].label)}
            </span>
            <Boxes of={[t`no`, t`yes`]} />
          </li>
        ))}
      </ol>
      <p className="font-semibold">{t`Surgery in the last 12 weeks`}</p>
      <div className="flex flex-wrap gap-x-4">
        <Line label={t`limb`} />
        <Line label={t`on`} />
        <Line label={t`what was done`} wide />
      </div>
      <p className="font-semibold">{t`Resting blood pressure, two readings a minute apart`}</p>
      <div className="flex gap-x-4">
        <Line label={t`First, upper / lower`} />
        <Line label={t`Second, upper / lower`} />
      </div>
      <Line label={t`Note`} wide />
    </>
  );
}

function Consent({ practice }: OfPaper) {
  return (
    <>
      <ConsentWords version={CONSENT_VERSION} />
      <p>
        <Boxes
          of={[
            t`I have read this, or it was read to me`,
            t`My questions were answered`,
            t`I agree to train in this way`,
          ]}
        />
      </p>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Line label={t`Signed`} />
        <Line label={t`on`} />
        <Line label={t`For ${practice.settings.name}`} wide />
      </div>
      <p className="text-[13px] text-quiet">
        {t`Version ${CONSENT_VERSION}. Asked again after a year (SCR-6). Local law and policy may ask for more.`}
      </p>
    </>
  );
}

function Pressure({ client }: OfPaper) {
  const { length } = useUnits();
  const fitted = client
    ? LIMBS.flatMap((limb) => {
        const cuff = cuffInForce(client.facts, limb);
        return cuff
          ? [t`${translate(LIMB_LABELS[limb])}: ${cuff.label}, girth ${length.words(cuff.girthCm)}`]
          : [];
      })
    : [];
  return (
    <>
      {fitted.length > 0 && <p>{fitted.join(' · ')}</p>}
      {['', ''].map((_, measurement) => (
        <section
          // biome-ignore lint/suspicious/noArrayIndexKey: a measurement of an empty sheet is its place.
          key={measurement}
          className="space-y-1.5"
        >
          <div className="flex flex-wrap gap-x-4 gap-y-1">
            <span className="inline-flex gap-3">
              {t`Limb`} <Boxes of={LIMBS.map((limb) => translate(LIMB_NAMES[limb]))} />
            </span>
            <span className="inline-flex gap-3">
              {t`Position`} <Boxes of={[t`lying`, t`sitting`, t`standing`]} />
            </span>
            <span className="inline-flex gap-3">
              {t`Pulse by`} <Boxes of={[t`Doppler`, t`fingers`, t`oximeter`, t`automatic pump`]} />
            </span>
          </div>
          <div className="flex gap-x-4">
            <Line label={t`Cuff`} />
            <Line label={t`Gauge`} />
            <Line label={t`Girth`} />
          </div>
          <EmptyTable
            heads={[
              t`Trial`,
              t`Pulse gone at, mmHg`,
              t`going up by`,
              t`Pulse back at, mmHg`,
              t`going down by`,
            ]}
            rows={[['1'], ['2'], ['3']]}
          />
        </section>
      ))}
      <p className="text-[13px]">
        {t`Cuff fully down for a while between trials. Two within 10 mmHg are enough; otherwise a third (LOP-3). Quick check: the pressure at which the pulse under the fingers goes, in steps of 10 or less (LOP-7).`}
      </p>
    </>
  );
}

const EMPTY_SETS = 4;

function Session({ practice, plan }: OfPaper) {
  const { mass } = useUnits();
  const columnsOf = (exercise: Plan['exercises'][number] | null) =>
    paperColumns(exercise, translate(EFFORT_SCALES[practice.settings.effortIn].asked));
  return (
    <>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <Line label={t`It began at`} />
        <span>
          {t`Well today`} <Boxes of={Object.values(DAY_SIGNS).map(({ ask }) => translate(ask))} />
        </span>
        <Line label={t`Pain now 0–10`} />
      </div>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <span className="w-full">{t`Blood pressure, if it is taken`}</span>
        {Object.values(BLOOD_PRESSURE_MOMENTS).map((moment) => (
          <Line key={translate(moment)} label={translate(moment)} narrow />
        ))}
      </div>
      {(plan?.exercises ?? [null, null]).map((exercise, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
        <section key={place} className="break-inside-avoid space-y-1">
          <h2 className="font-semibold">
            {place + 1}. {plan && exercise ? translate(exerciseWords(plan, place)) : '_____________________'}
          </h2>
          {exercise && (
            <p>
              {exercise.limbs
                .map((target) => `${translate(LIMB_LABELS[target.limb])} ${translate(targetWords(target))}`)
                .join(' · ')}
              {exercise.load.kind === 'weighed'
                ? ` · ${mass.words(exercise.load.load.value)}${shareOfMax(exercise.load, exercise.load.load.value)}`
                : ` · ${translate(exercise.load.recipe)}`}
            </p>
          )}
          <EmptyTable
            heads={[
              t`Set`,
              t`Planned`,
              ...columnsOf(exercise).map(({ label, unit }) => (unit ? `${label}, ${unit}` : label)),
            ]}
            rows={(exercise?.sets ?? Array.from({ length: EMPTY_SETS }, () => null)).map((set, at) => [
              String(at + 1),
              set && amountWords(set),
              ...columnsOf(exercise).map(
                ({ is }) => is === 'colour' && <Boxes key={is} of={[t`yes`, t`no`]} />,
              ),
            ])}
          />
        </section>
      ))}
      <Line label={t`Worst joint pain 0–10`} />
      <p>
        {t`Felt or seen:`} <Boxes of={signIdSchema.options.map((id) => translate(SIGNS[id].label))} />
      </p>
    </>
  );
}

function Outcomes({ practice }: OfPaper) {
  const measures = Object.values(measureBook(practice.ownMeasures)).filter(({ isLeftOut }) => !isLeftOut);
  return (
    <EmptyTable
      heads={[
        t({ message: 'Measure', context: 'what is measured' }),
        t`Limb, setting`,
        '1',
        '2',
        '3',
        t`Note`,
      ]}
      rows={measures.map(({ label, unit, setting }) => [
        `${translate(label)}, ${translate(unit)}`,
        translate(setting) ?? '',
      ])}
    />
  );
}
