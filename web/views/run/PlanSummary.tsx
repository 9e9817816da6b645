import { compile } from '#core/plan/compile';
import { type Plan, type PlannedExercise, staysInflated } from '#core/plan/plan';
import { LIMB_LABELS } from '#core/quantity/limb';
import { Figure } from '../../parts/Figure';
import { clock } from '../../parts/format';
import { OcclusionStrip } from '../../parts/OcclusionStrip';
import { Strapped } from '../../parts/Strapped';

/** What was prescribed: each exercise with its pressures, load and sets, and the strip beneath. */
export function PlanSummary({ plan }: { plan: Plan }) {
  return (
    <div className="space-y-4">
      {plan.exercises.map((exercise, place) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
          key={place}
          className="border-t border-rule pt-3"
        >
          {plan.exercises.length > 1 && (
            <p className="font-semibold">
              {place + 1}. {exercise.label}, {exercise.position}
            </p>
          )}
          <div className="flex flex-wrap items-start gap-x-10 gap-y-4">
            {exercise.limbs.map((target) =>
              target.byFeel ? (
                <Strapped key={target.limb} limb={target.limb} {...target.byFeel} />
              ) : (
                <Figure
                  key={target.limb}
                  label={`${exercise.limbs.length > 1 || plan.exercises.length > 1 ? `${LIMB_LABELS[target.limb]}, ` : ''}${target.percentLop} % of LOP`}
                  derived={target.pressure}
                  size={plan.exercises.length > 1 ? 'text-4xl' : 'text-6xl'}
                />
              ),
            )}
            {exercise.strength ? (
              <Figure
                label={exercise.loadRecipe}
                derived={exercise.load}
                size={plan.exercises.length > 1 ? 'text-4xl' : 'text-6xl'}
              />
            ) : (
              <p className="self-center text-xl">{exercise.loadRecipe}</p>
            )}
            <div>
              <p className="text-[13px] text-quiet">{exercise.protocolLabel}</p>
              <p className="figures text-3xl">{setsWords(exercise)}</p>
              <p className="text-[14px] text-quiet">{restWords(exercise)}</p>
            </div>
          </div>
        </div>
      ))}
      <OcclusionStrip planned={compile(plan)} names={plan.exercises.map(({ label }) => label)} />
    </div>
  );
}

/** "30 / 15 / 15 / 15", or the spells of work by the clock. */
export const setsWords = ({ sets }: Pick<PlannedExercise, 'sets'>): string =>
  sets
    .map(({ reps, workMs, untilFailure }) =>
      reps === 0 ? clock(workMs) : `${untilFailure ? '≤' : ''}${reps}`,
    )
    .join(' / ');

/** "rest 30 s, tempo 1–0–1, cuff stays inflated". */
export function restWords(exercise: PlannedExercise): string {
  const rests = [...new Set(exercise.sets.slice(0, -1).map(({ restMs }) => restMs / 1000))];
  const paced = exercise.sets.some(({ reps }) => reps > 0);
  return [
    rests.length > 0 && `rest ${rests.join(', ')} s`,
    paced && `tempo ${exercise.tempoId.replaceAll('-', '–')}`,
    staysInflated(exercise) ? 'cuff stays inflated' : 'released between sets',
    exercise.limbs.some(({ primingMmHg }) => primingMmHg.length > 0) && 'primed first',
  ]
    .filter(Boolean)
    .join(', ');
}
