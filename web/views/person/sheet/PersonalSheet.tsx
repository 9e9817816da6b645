import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { markWords } from '#core/cuff';
import { compile, doseOf, GOALS, targetWords, wornLabel } from '#core/plan';
import { teachingOf } from '#core/protocol';
import { emergencyPhoneAt, LIMB_LABELS, limbsWords } from '#core/quantity';
import type { PrescriptionFact } from '#core/record';
import { SIGNS, signIdSchema } from '#core/session';
import { translate } from '../../../language/translate';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { PaperHead } from '../../../parts/paper/PaperHead';
import { restWords, setsWords } from '../../../parts/plan/PlanSummary';
import { SittingWords } from '../../../parts/plan/SittingWords';
import { clock, day } from '../../../words/format';
import { useUnits } from '../../../words/units';

export type SheetProps = { client: ClientRecord; prescription: PrescriptionFact; practice: PracticeView };

const STOP_SIGNS = signIdSchema.options.filter((id) => SIGNS[id].level !== 'expected');
const EXPECTED = signIdSchema.options.filter((id) => SIGNS[id].level === 'expected');

/** One page for the person: what is done, in large figures; what is normal; when to stop; the number to call. */
export function PersonalSheet({ client, prescription, practice }: SheetProps) {
  const { mass } = useUnits();
  const { plan, atMs, signedBy } = prescription;
  const timeline = compile(plan);
  const signer = practice.practitioners.find(({ id }) => id === signedBy);
  return (
    <article className="space-y-4">
      <PaperHead title={client.name}>
        <p>
          {t`${translate(GOALS[plan.goal].label)}. Signed ${day(atMs)} by ${signer?.name ?? t`the practice`}, ${practice.settings.name}.`}
        </p>
      </PaperHead>
      <SittingWords plan={plan} when="before" />
      {plan.exercises.map((exercise, place) => (
        <section
          // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
          key={place}
          className="flow-root break-inside-avoid border-b border-rule pb-2"
        >
          <h2 className="text-xl font-semibold">
            {place + 1}. {translate(exercise.label)},{' '}
            {translate(limbsWords(exercise.limbs.map(({ limb }) => limb)))}
          </h2>
          <p className="flex flex-wrap items-baseline gap-x-8">
            <span className="figures text-4xl">{setsWords(exercise)}</span>
            <span className="figures text-4xl">
              {exercise.load.kind === 'weighed'
                ? mass.words(exercise.load.load.value)
                : translate(exercise.load.recipe)}
            </span>
            <span className="text-[15px]">
              {exercise.load.kind === 'weighed' && `${translate(exercise.load.recipe)}, `}
              {restWords(exercise)}
            </span>
          </p>
          <ExerciseFigure id={exercise.exerciseId} className="float-right h-18" />
          <p>
            {exercise.limbs
              .map(
                (target) =>
                  `${translate(LIMB_LABELS[target.limb])}: ${target.kind === 'by-feel' ? t`${translate(markWords(target))}, felt ${target.felt} of 10` : translate(targetWords(target))}, ${wornLabel(target)}`,
              )
              .join('. ')}
            . {translate(exercise.cue)} {translate(teachingOf(exercise.exerciseId)?.range)}
          </p>
        </section>
      ))}
      <SittingWords plan={plan} when="after" />
      <OcclusionStrip planned={timeline} plan={plan} laneHeight={48} />
      <p>
        <Trans>
          It lasts about <span className="figures">{clock(timeline.endMs)}</span>; the cuff is up for{' '}
          <span className="figures">{clock(doseOf(timeline).occludedMs)}</span> of it.
        </Trans>
      </p>
      <section className="grid break-inside-avoid grid-cols-2 gap-8">
        <div>
          <h2 className="font-semibold">{t`Normal while the cuff is up`}</h2>
          <p>{EXPECTED.map((id) => translate(SIGNS[id].label)).join(', ')}.</p>
        </div>
        <div className="border-l-4 border-vermilion pl-3">
          <h2 className="font-semibold text-vermilion">{t`Stop, and let the cuff down at once`}</h2>
          <p>{STOP_SIGNS.map((id) => translate(SIGNS[id].label)).join(', ')}.</p>
          <p className="mt-1">{t`Sit or lie down and do not stay alone. Then no more that day.`}</p>
        </div>
      </section>
      <p className="border-t-2 border-ink pt-2 text-xl">
        <Trans>
          Questions, or numbness or bruising later: {practice.settings.name}
          {practice.settings.phone && (
            <>
              , <span className="figures">{practice.settings.phone}</span>
            </>
          )}
          {signer && t`, ask for ${signer.name}`}. In an emergency:{' '}
          <strong className="figures">{emergencyPhoneAt(plan.place, practice.settings)}</strong>.
        </Trans>
      </p>
      <p className="text-[13px] text-quiet">
        {t`Decision support; follow local policy and licensed practice. The pressures hold only for this person, limb, position and cuff.`}
      </p>
    </article>
  );
}
