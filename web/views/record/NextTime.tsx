import { reviewSession } from '#core/record/session-review';
import { changeWords } from '#core/review/change';
import { RULES } from '#core/rules/catalogue';
import { limitsInForce } from '#core/screening/clearance';
import { useAct } from '../../act/act';
import { type LiveSession, useSession } from '../../data/live-session';
import { useClient, usePractice } from '../../data/queries';
import { ReviewAnswerForm } from './ReviewAnswerForm';

/** What the session suggests for the next one, with its reason and rule. Whoever signs decides. */
export function NextTime({ session: { view, state } }: { session: LiveSession }) {
  const { data: client } = useClient(view.clientId);
  const { data: practice } = usePractice();
  const act = useAct(view);
  const { session: before } = useSession(view.idBefore ?? view.id);
  if (!client || !before || !practice || state.sets.length === 0) return null;
  const advices = reviewSession(
    {
      plan: view.plan,
      state,
      painBefore: view.painBefore,
      before: view.idBefore ? { plan: before.view.plan, state: before.state } : null,
    },
    client.facts,
    practice.weightKits,
    client.judgedAtMs,
  );
  const cap = limitsInForce(client.facts.clearances, client.judgedAtMs).maxPercentLop;
  const done = view.plan.exercises.flatMap((exercise, place) => {
    const advice = advices[place];
    return advice ? [{ exercise, place, advice }] : [];
  });
  return (
    <section className="space-y-2 border-l-4 border-plum pl-4">
      <h2 className="text-[14px] text-quiet">Next time</h2>
      {done.map(({ exercise, place, advice }) => {
        const { change, reason, rule } = advice;
        return (
          <div key={place}>
            <p className="text-2xl font-semibold first-letter:uppercase">
              {done.length > 1 && `${exercise.label}: `}
              {changeWords(change)}
            </p>
            <p>
              {reason}{' '}
              <abbr className="text-[13px] no-underline" title={RULES[rule].text}>
                {rule}
              </abbr>
            </p>
            <ReviewAnswerForm
              plan={view.plan}
              exerciseIndex={place}
              advice={advice}
              answer={state.reviews.find(({ exerciseIndex }) => exerciseIndex === place)}
              capPercentLop={cap}
              act={act}
            />
          </div>
        );
      })}
    </section>
  );
}
