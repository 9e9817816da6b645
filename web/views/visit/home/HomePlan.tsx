import { t } from '@lingui/core/macro';
import type { HomeSheet } from '#contract/home';
import { compile, exerciseWords, targetWords, wornLabel } from '#core/plan';
import { teachingOf } from '#core/protocol';
import { LIMB_LABELS } from '#core/quantity';
import { translate } from '../../../language/translate';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { restWords, setsWords } from '../../../parts/plan/PlanSummary';
import { SittingWords } from '../../../parts/plan/SittingWords';

/** The plan to read before it: each exercise with how tight, how heavy, how often, and how it is done. */
export function HomePlan({ sheet: { plan } }: { sheet: HomeSheet }) {
  return (
    <section aria-label={t`The plan`} className="space-y-4">
      <SittingWords plan={plan} when="before" />
      {plan.exercises.map((exercise, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
        <section key={place} className="border-t border-rule pt-2">
          <ExerciseFigure id={exercise.exerciseId} className="float-right h-20" />
          <h2 className="text-xl font-semibold">{translate(exerciseWords(plan, place))}</h2>
          <ul className="mt-1">
            {exercise.limbs.map((target) => (
              <li key={target.limb}>
                {translate(LIMB_LABELS[target.limb])}:{' '}
                <strong className="figures text-xl">{translate(targetWords(target))}</strong>,{' '}
                {wornLabel(target)}
              </li>
            ))}
          </ul>
          <p>
            <span className="figures text-xl">{setsWords(exercise)}</span>, {translate(exercise.load.recipe)}
          </p>
          <p className="text-[15px] text-quiet">{restWords(exercise)}</p>
          <p className="mt-1">
            {translate(exercise.cue)} {translate(teachingOf(exercise.exerciseId)?.range)}
          </p>
        </section>
      ))}
      <SittingWords plan={plan} when="after" />
      <OcclusionStrip planned={compile(plan)} plan={plan} laneHeight={48} />
    </section>
  );
}
