import { t } from '@lingui/core/macro';
import { memo } from 'react';
import type { Plan } from '#core/plan';
import { pacedReps, pacePosition } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import {
  correctedReps,
  findSet,
  inHand,
  type NextStep,
  nextPlace,
  nextStep,
  openSet,
  repsNow,
  restLeftMs,
  runsOut,
  type SessionState,
  type SetRecord,
} from '#core/session';
import { translate } from '../../language/translate';
import { clock, countdown } from '../../words/format';
import { useNow } from '../time/use-now';
import { amountWords } from './PlanSummary';

// The bar of the pace fills and empties within a second; nothing else of the page moves as fast.
const PHASE_EVERY_MS = 100;

/** What is counted down to where nothing is done but waiting. */
const WAITED_FOR: Record<Extract<NextStep, { do: 'wait' }>['why'], string> = {
  rest: t`rest left`,
  'primed-up': t`until the cuff comes down`,
  'primed-down': t`until it goes up again`,
  'free-flow': t`of free flow left`,
};

/** The one number to read from three metres: repetitions in a set, what is left of a rest or a wait, time between. */
export const BigClock = memo(function BigClock({ plan, state }: { plan: Plan; state: SessionState }) {
  const nowMs = useNow(PHASE_EVERY_MS);
  const set = openSet(state);
  const restMs = restLeftMs(state, nowMs);
  const reps = repsNow(plan, state, nowMs);
  const step = set || restMs !== null ? null : nextStep(plan, state, nowMs);
  return (
    <div>
      {set && set.plannedReps === null ? (
        <>
          <p className="figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none">
            {countdown(Math.max(0, set.startedAtMs + workMsOfSet(plan, set) - nowMs))}
          </p>
          <p className="text-xl">{t`left of this spell`}</p>
        </>
      ) : set?.plannedReps != null && reps !== null ? (
        <>
          <p
            className="figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none"
            data-testid="reps"
          >
            {reps}
            <span className="text-5xl text-quiet"> / {set.plannedReps}</span>
          </p>
          <Phase
            plan={plan}
            exerciseIndex={set.exerciseIndex}
            elapsedMs={nowMs - set.startedAtMs}
            reps={set.plannedReps}
          />
        </>
      ) : restMs !== null ? (
        <>
          <p
            className={`figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none ${restMs < 0 ? 'text-quiet' : ''}`}
          >
            {restMs > 0 ? countdown(restMs) : `+${clock(-restMs)}`}
          </p>
          <p className="text-xl">{restMs > 0 ? t`rest left` : t`over the rest`}</p>
        </>
      ) : step?.do === 'wait' ? (
        <>
          <p className="figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none">
            {countdown(Math.max(0, step.untilMs - nowMs))}
          </p>
          <p className="text-xl">{WAITED_FOR[step.why]}</p>
        </>
      ) : (
        <LimitLeft plan={plan} state={state} nowMs={nowMs} />
      )}
      <SetDots plan={plan} state={state} />
    </div>
  );
});

/** What is left of the limit while a cuff is up and nothing else runs; nothing counts up. */
function LimitLeft({ plan, state, nowMs }: { plan: Plan; state: SessionState; nowMs: number }) {
  const out = runsOut(plan, state, nowMs);
  return out?.what === 'limit' ? (
    <>
      <p
        className={`figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none ${out.leftMs <= 0 ? 'text-vermilion' : 'text-quiet'}`}
      >
        {countdown(Math.max(0, out.leftMs))}
      </p>
      <p className="text-xl">{t`left for the ${translate(LIMB_NAMES[out.limb])}`}</p>
    </>
  ) : (
    <p
      aria-hidden="true"
      className="figures text-[max(7.5rem,min(160px,16dvh))] max-sm:text-[27vw] leading-none text-quiet"
    >
      –
    </p>
  );
}

const workMsOfSet = (plan: Plan, { exerciseIndex, setIndex }: SetRecord): number =>
  plan.exercises[exerciseIndex]?.sets[setIndex]?.lastsMs ?? 0;

const PHASE_WORDS = { up: t`Lift`, hold: t`Hold`, down: t`Lower` } as const;

/** Where in the repetition the pace is: a bar that fills on the way up and empties on the way down. */
function Phase({
  plan,
  exerciseIndex,
  elapsedMs,
  reps,
}: {
  plan: Plan;
  exerciseIndex: number;
  elapsedMs: number;
  reps: number;
}) {
  const exercise = plan.exercises[exerciseIndex];
  const pace = exercise && pacePosition(elapsedMs, exercise.tempo, reps);
  const height = !pace ? 0 : pace.phase === 'up' ? pace.share : pace.phase === 'hold' ? 1 : 1 - pace.share;
  return (
    <div className="mt-2 flex items-center gap-4">
      <div className="h-5 w-72 border border-ink/40">
        <div className="h-full bg-plum" style={{ width: `${height * 100}%` }} />
      </div>
      <span className="text-3xl font-semibold">{pace ? PHASE_WORDS[pace.phase] : ''}</span>
    </div>
  );
}

/** The sets of the exercise in hand, and how many follow it: of several exercises all would push the keys out of view. */
const SetDots = memo(function SetDots({ plan, state }: { plan: Plan; state: SessionState }) {
  const next = openSet(state) || state.stopped ? null : nextPlace(plan, state);
  const at = inHand(plan, state)?.exerciseIndex ?? 0;
  const alternates = plan.exercises.some(({ alternates: turns }) => turns === true);
  const shown = plan.exercises.flatMap((exercise, exerciseIndex) =>
    alternates || exerciseIndex === at ? [{ exercise, exerciseIndex }] : [],
  );
  const later = alternates ? 0 : plan.exercises.slice(at + 1).reduce((sum, { sets }) => sum + sets.length, 0);
  return (
    <ol className="mt-2 flex flex-wrap items-center gap-2" aria-label={t`Sets`}>
      {shown.flatMap(({ exercise, exerciseIndex }) =>
        exercise.sets.map((planned, setIndex) => {
          const set = findSet(state, { exerciseIndex, setIndex });
          const ended = set?.endedAtMs != null;
          const isNext = next?.exerciseIndex === exerciseIndex && next.setIndex === setIndex;
          return (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: a set is its place
              key={`${exerciseIndex}.${setIndex}`}
              className={`figures min-w-16 border px-2 py-1 text-center text-lg ${ended ? 'border-plum bg-plum text-on-plum' : set || isNext ? 'border-2 border-plum' : 'border-ink/40'}`}
            >
              {ended && set && planned.work.kind !== 'timed'
                ? `${correctedReps(set)}/${pacedReps(planned.work)}`
                : amountWords(planned)}
            </li>
          );
        }),
      )}
      {later > 0 && <li className="text-quiet">{t`then ${later} more`}</li>}
    </ol>
  );
});
