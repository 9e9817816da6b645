import type { SeenExercise } from '#core/forecast/fit-trainee';
import { type Forecast, knowledgeWords } from '#core/forecast/forecast';
import type { Plan } from '#core/plan/plan';
import { useForecast } from '../../data/use-forecast';

/** Likely repetitions of each set with their band. It informs; it never sets a load. */
export function EffortForecast({ plan, seen }: { plan: Plan; seen: SeenExercise[] }) {
  const { data: forecast, isPending } = useForecast(plan, seen);
  if (isPending) return <p className="text-quiet">Working out the effort…</p>;
  return (
    <section aria-label="Effort forecast">
      <h3 className="font-semibold">Effort forecast</h3>
      {forecast ? (
        <ForecastBars forecast={forecast} plan={plan} />
      ) : (
        <p className="text-[15px] text-quiet">
          Nothing can be foreseen here: it takes a 1RM and sets of repetitions.
        </p>
      )}
    </section>
  );
}

function ForecastBars({ forecast, plan }: { forecast: Forecast; plan: Plan }) {
  const several = new Set(forecast.sets.map(({ exerciseIndex }) => exerciseIndex)).size > 1;
  return (
    <>
      <p className="text-[15px]">
        All sets finished in <span className="figures">{Math.round(100 * forecast.chance)}</span> of 100.{' '}
        <span className="text-quiet">
          {knowledgeWords(forecast.setsSeen)} A model of this app, {forecast.runs.toLocaleString('en')} runs;
          it informs and never sets the load.
          {forecast.unforeseen.length > 0 && ` Not foreseen: ${forecast.unforeseen.join(', ')}.`}
        </span>
      </p>
      <ul className="mt-1 grid max-w-5xl gap-x-8 lg:grid-cols-2">
        {forecast.sets.map(
          ({ exerciseIndex, setIndex, plannedReps, likelyReps, lowReps, highReps, chance }) => (
            <li
              key={`${exerciseIndex}.${setIndex}`}
              className="grid grid-cols-[11rem_1fr_8.5rem] items-center gap-3 border-t border-rule py-1 text-[15px]"
            >
              <span className="truncate">
                {several && `${plan.exercises[exerciseIndex]?.label}, `}set {setIndex + 1}
              </span>
              <span className="relative h-4 border-r border-b border-ink/40" aria-hidden="true">
                <span
                  className="absolute top-0 h-full bg-plum/30"
                  style={{
                    left: `${(100 * lowReps) / plannedReps}%`,
                    width: `${Math.max(1, (100 * (highReps - lowReps)) / plannedReps)}%`,
                  }}
                />
                <span
                  className="absolute top-0 h-full w-1 bg-plum"
                  style={{ left: `calc(${(100 * likelyReps) / plannedReps}% - 4px)` }}
                />
              </span>
              <span className="figures">
                {likelyReps} of {plannedReps}
                <span className="block text-[13px] text-quiet">
                  {lowReps === highReps ? lowReps : `${lowReps}–${highReps}`}, all in{' '}
                  {Math.round(100 * chance)} %
                </span>
              </span>
            </li>
          ),
        )}
      </ul>
    </>
  );
}
