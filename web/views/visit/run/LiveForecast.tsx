import { t } from '@lingui/core/macro';
import { memo, useMemo } from 'react';
import type { ClientRecord } from '#contract/client';
import { boutsFromHere, boutsOf } from '#core/forecast';
import { compile, exerciseWords, type Plan } from '#core/plan';
import { libraryOf } from '#core/protocol';
import { effortWords, findSet, likelyWords, type SessionState } from '#core/session';
import { useClient } from '../../../data/queries';
import { useEffortIn } from '../../../data/use-effort-in';
import { useForecast } from '../../../data/use-forecast';
import { useLastReview } from '../../../data/use-last-review';
import { translate } from '../../../language/translate';

/**
 * What the rest of the session is likely to bring, worked out again after each set. It informs, no more.
 * Past logs are folded for it, so it is drawn again after an event, not with every tick of the clock.
 */
export const LiveForecast = memo(function LiveForecast({
  plan,
  state,
  clientId,
}: {
  plan: Plan;
  state: SessionState;
  clientId: string;
}) {
  const { data: client } = useClient(clientId);
  return client ? <Lines plan={plan} state={state} client={client} /> : null;
});

function Lines({ plan, state, client }: { plan: Plan; state: SessionState; client: ClientRecord }) {
  const bouts = boutsFromHere({ plan, state }, libraryOf(client.facts.ownExercises));
  const { data: forecast } = useForecast(bouts, useLastReview(client.id)?.seen ?? []);
  const left = forecast?.sets.filter((set) => !findSet(state, set)) ?? [];
  if (left.length === 0 || state.stopped) return null;
  return (
    <section aria-label={t`Likely from here`}>
      <SaidNextToLikely plan={plan} state={state} client={client} />
      <h2 className="text-[14px] text-quiet">{t`Likely from here`}</h2>
      <ul className="figures text-[15px]">
        {left.slice(0, 4).map(({ exerciseIndex, setIndex, plannedReps, likelyReps, lowReps, highReps }) => (
          <li key={`${exerciseIndex}.${setIndex}`}>
            {t`${plan.exercises.length > 1 ? `${translate(exerciseWords(plan, exerciseIndex))}, ` : ''}set ${setIndex + 1}: ${plannedReps === null ? t`${likelyReps} to failure` : t`${likelyReps} of ${plannedReps}`}${lowReps !== highReps ? ` (${lowReps}–${highReps})` : ''}`}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The effort said after the last set, beside what was likely before the session began. */
function SaidNextToLikely({
  plan,
  state,
  client,
}: {
  plan: Plan;
  state: SessionState;
  client: ClientRecord;
}) {
  const effortIn = useEffortIn();
  const bouts = useMemo(
    () => boutsOf(plan, compile(plan), libraryOf(client.facts.ownExercises)),
    [plan, client.facts.ownExercises],
  );
  const { data: forecast } = useForecast(bouts, useLastReview(client.id)?.seen ?? []);
  const said = state.sets.findLast(({ effort }) => effort !== null);
  const likely = forecast?.sets.find(
    ({ exerciseIndex, setIndex }) => exerciseIndex === said?.exerciseIndex && setIndex === said.setIndex,
  )?.likelyLeft;
  if (!said || said.effort === null || likely == null) return null;
  return (
    <p className="text-[15px]">
      {t`Set ${said.setIndex + 1}: said ${translate(effortWords(said.effort, effortIn))}, likely was ${translate(likelyWords(likely, effortIn))}.`}
    </p>
  );
}
