import { memo } from 'react';
import type { ClientRecord } from '#contract/client';
import { boutsFromHere } from '#core/forecast/bouts-from-here';
import { exerciseWords, type Plan } from '#core/plan/plan';
import { libraryOf } from '#core/protocol/exercises';
import { findSet, type SessionState } from '#core/session/state';
import { useClient } from '../../data/queries';
import { useForecast } from '../../data/use-forecast';
import { useLastReview } from '../../data/use-last-review';

/**
 * What the rest of the session is likely to bring, worked out again after each set. It informs, no more.
 * Past logs are folded for it, so it is drawn anew after an event, not with every tick of the clock.
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
    <section aria-label="Likely from here">
      <h2 className="text-[14px] text-quiet">Likely from here</h2>
      <ul className="figures text-[15px]">
        {left.slice(0, 4).map(({ exerciseIndex, setIndex, plannedReps, likelyReps, lowReps, highReps }) => (
          <li key={`${exerciseIndex}.${setIndex}`}>
            {plan.exercises.length > 1 && `${exerciseWords(plan, exerciseIndex)}, `}set {setIndex + 1}:{' '}
            {plannedReps === null ? `${likelyReps} to failure` : `${likelyReps} of ${plannedReps}`}
            {lowReps !== highReps && ` (${lowReps}–${highReps})`}
          </li>
        ))}
      </ul>
    </section>
  );
}
