import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { type Bout, type Forecast, knowledgeWords, type SetForecast } from '#core/forecast';
import { exerciseWords, type Plan } from '#core/plan';
import { likelyWords } from '#core/session';
import { useEffortIn } from '../../../data/use-effort-in';
import { useForecast } from '../../../data/use-forecast';
import { language } from '../../../language/language';
import { translate } from '../../../language/translate';

/** Likely repetitions of each set with their band. It informs; it never sets a load. */
export function EffortForecast({ plan, bouts, seen }: { plan: Plan; bouts: Bout[]; seen: Bout[][] }) {
  const { data: forecast, isPending } = useForecast(bouts, seen);
  if (isPending) return <p className="text-quiet">{t`Working out the effort…`}</p>;
  return (
    <section aria-label={t`Effort forecast`}>
      <h3 className="font-semibold">{t`Effort forecast`}</h3>
      {forecast ? (
        <ForecastBars forecast={forecast} plan={plan} />
      ) : (
        <p className="text-[15px] text-quiet">
          {t`Nothing can be foreseen here: it takes a 1RM and sets of repetitions.`}
        </p>
      )}
    </section>
  );
}

function ForecastBars({ forecast, plan }: { forecast: Forecast; plan: Plan }) {
  const foreseen = new Set(forecast.sets.map(({ exerciseIndex }) => exerciseIndex));
  const several = foreseen.size > 1;
  const unforeseen = plan.exercises.flatMap(({ label }, place) => (foreseen.has(place) ? [] : [label]));
  return (
    <>
      <p className="text-[15px]">
        {forecast.chance !== null && (
          <Trans>
            All sets finished in <span className="figures">{Math.round(100 * forecast.chance)}</span> of 100.{' '}
          </Trans>
        )}
        <span className="text-quiet">
          {t`${translate(knowledgeWords(forecast.seen))} A model of this app, ${forecast.runs.toLocaleString(language.get())} runs; it informs and never sets the load.${unforeseen.length > 0 ? t` Not foreseen: ${unforeseen.map((label) => translate(label)).join(', ')}.` : ''}`}
        </span>
      </p>
      <ul className="mt-1 max-w-2xl">
        {forecast.sets.map((set) => (
          <SetLine
            key={`${set.exerciseIndex}.${set.setIndex}`}
            set={set}
            label={several ? `${translate(exerciseWords(plan, set.exerciseIndex))}, ` : ''}
          />
        ))}
      </ul>
    </>
  );
}

function SetLine({ set, label }: { set: SetForecast; label: string }) {
  const effortIn = useEffortIn();
  const { likelyLeft, setIndex, plannedReps, likelyReps, lowReps, highReps, chance } = set;
  // A set to failure is drawn against the most it is likely to bring.
  const fullReps = Math.max(1, plannedReps ?? highReps);
  const band = lowReps === highReps ? `${lowReps}` : `${lowReps}–${highReps}`;
  return (
    <li className="grid grid-cols-[minmax(4rem,11rem)_1fr_10rem] items-center gap-3 border-t border-rule py-1 text-[15px]">
      <span>{t`${label}set ${setIndex + 1}`}</span>
      <span className="relative h-4 border-r border-b border-ink/40" aria-hidden="true">
        <span
          className="absolute top-0 h-full bg-plum/30"
          style={{
            left: `${(100 * lowReps) / fullReps}%`,
            width: `${Math.max(1, (100 * (highReps - lowReps)) / fullReps)}%`,
          }}
        />
        <span
          className="absolute top-0 h-full w-1 bg-plum"
          style={{ left: `calc(${(100 * likelyReps) / fullReps}% - 4px)` }}
        />
      </span>
      <span className="figures">
        {plannedReps === null ? t`${likelyReps} to failure` : t`${likelyReps} of ${plannedReps}`}
        <span className="block text-[13px] text-quiet">
          {band}
          {chance !== null && t`, all in ${Math.round(100 * chance)} %`}
        </span>
        <span className="block text-[13px] text-quiet">
          {likelyLeft !== null && translate(likelyWords(likelyLeft, effortIn))}
        </span>
      </span>
    </li>
  );
}
