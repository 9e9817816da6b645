import { t } from '@lingui/core/macro';
import { whoMay } from '#core/access';
import { calledIn } from '#core/plan';
import { limitsInForce, mayTakeBack, reviewOfCourse, reviewSession } from '#core/record';
import { changeWords } from '#core/review';
import { undoable } from '#core/session';
import type { Act } from '../../act/act';
import { type LiveSession, useSession } from '../../data/live-session';
import { useClient, useMay, usePractice } from '../../data/queries';
import { translate } from '../../language/translate';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { useAction } from '../keys/use-action';
import { ReviewAnswerForm } from './ReviewAnswerForm';

/**
 * What the session suggests for the next one, with its reason and rule. It waits for an answer: the plan does not open again
 * before it has one (rule REV-10).
 */
export function NextTime({ session: { view, state, log }, act }: { session: LiveSession; act: Act }) {
  const { data: client } = useClient(view.clientId);
  const { data: practice } = usePractice();
  const { session: before } = useSession(view.idBefore ?? view.id);
  const isReady = client !== undefined && before !== undefined && practice !== undefined;
  const advices = isReady
    ? reviewSession(
        {
          plan: view.plan,
          state,
          painBefore: view.painBefore,
          before: view.idBefore ? { plan: before.view.plan, state: before.state } : null,
        },
        client.facts,
        practice.weightKits,
        client.judgedAtMs,
      )
    : [];
  const done = view.plan.exercises.flatMap((_, place) => {
    const advice = advices[place];
    const answer = state.reviews.find(({ exerciseIndex }) => exerciseIndex === place);
    return advice ? [{ place, advice, answer }] : [];
  });
  const open = done.filter(({ answer }) => !answer);
  const acceptAll = () => {
    for (const { place, advice } of open) {
      act({
        do: 'answer-review',
        exerciseIndex: place,
        rule: advice.rule,
        answer: 'accepted',
        change: advice.change,
        reason: '',
      });
    }
  };
  const maySign = useMay('sign');
  useAction('accept-reviews', acceptAll, { enabled: maySign && open.length > 0 });
  const takesBack = (place: number) => {
    const event = undoable(log).findLast(
      (one) => one.type === 'review-answered' && one.exerciseIndex === place,
    );
    return event && maySign && client && mayTakeBack(client.facts, view.id)
      ? () => act({ do: 'undo', eventId: event.id })
      : null;
  };
  const called = calledIn(view.plan.exercises);
  if (!isReady || done.length === 0) return null;
  const limits = limitsInForce(client.facts, client.judgedAtMs);
  const prescription = client.facts.prescriptions.find(({ versions }) =>
    versions.includes(view.prescriptionId),
  );
  const course =
    prescription && reviewOfCourse(prescription, client.facts, practice.weightKits, client.judgedAtMs);
  const asks = course?.session.id === view.id ? course.exercises.map((one) => one?.asks ?? null) : null;
  const waits = asks === null ? open.length > 0 : asks.some((one) => one !== null);
  return (
    <section aria-label={t`Next time`} className="space-y-2 border-l-4 border-plum pl-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-[14px] text-quiet">{t`Next time`}</h2>
        {maySign && open.length > 0 && done.length > 1 && (
          <Button kind="main" does="accept-reviews" className="print:hidden" onClick={acceptAll}>
            {t`Accept all`}
          </Button>
        )}
      </div>
      {done.map(({ place, advice: { change, reason, rule }, advice, answer }) => (
        <div key={place}>
          <p className="text-2xl font-semibold first-letter:uppercase">
            {done.length > 1 && `${translate(called[place])}: `}
            {translate(changeWords(change))}
          </p>
          <p>
            {translate(reason)} <Why rule={rule} />
          </p>
          {(maySign || answer) && (
            <ReviewAnswerForm
              plan={view.plan}
              exerciseIndex={place}
              advice={advice}
              answer={answer}
              limits={limits}
              act={act}
              takeBack={takesBack(place)}
              isAlone={done.length === 1}
            />
          )}
        </div>
      ))}
      {asks?.map((why, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
        <p key={place} className={why ? 'notched py-1' : 'hidden'}>
          {translate(why ?? '')} <Why rule="REV-10" />
        </p>
      ))}
      {open.length > 0 && (
        <p className="text-[15px] text-quiet print:hidden">
          {waits
            ? t`${!maySign ? `${translate(whoMay('sign'))} ` : ''}It is asked before the plan opens again; past what was signed, the answer is the next version.`
            : t`This is inside what was signed: the plan moves so by itself. Answer only to do otherwise.`}
        </p>
      )}
    </section>
  );
}
