import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import type { HomeSheet } from '#contract/home';
import { markWords } from '#core/cuff';
import { LIMB_LABELS } from '#core/quantity';
import {
  correctedReps,
  EFFORT_SCALES,
  type InHand,
  type Intent,
  inflatedLimbs,
  inHand,
  isEmergency,
  nextStep,
  type SessionState,
} from '#core/session';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { withoutRule } from '../../../parts/base/Why';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { FieldError } from '../../../parts/fields/Field';
import { Scale } from '../../../parts/fields/Scale';
import { BigClock } from '../../../parts/plan/BigClock';
import { SignList } from '../../../parts/record/SignList';
import { onTick } from '../../../parts/time/ticks';
import { useNow } from '../../../parts/time/use-now';
import { usePace } from '../../../parts/time/use-pace';
import { useWakeLock } from '../../../parts/time/use-wake-lock';
import { promptWords, stepWords, thenWords } from '../../../words/step-words';
import { Call, EmergencyCall } from './Call';
import { knownAtHome } from './home-runtime';
import type { RunningAtHome } from './kept-home';
import type { Home } from './use-home';

const TICK_MS = 200;

/** A session at home: one thing to do next, the clock, and what to do when it is wrong. It needs no network. */
export function HomeRun({ home, running, sheet }: { home: Home; running: RunningAtHome; sheet: HomeSheet }) {
  const { plan, state } = knownAtHome(running);
  const { runtime } = home;
  const [signs, setSigns] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const nowMs = useNow(TICK_MS);
  const step = nextStep(plan, state, nowMs);
  const hand = inHand(plan, state);
  const words = stepWords(plan, step, hand?.limbs);
  const prompt = promptWords(plan, step, state, nowMs);
  const after = thenWords(plan, state);
  const isUp = inflatedLimbs(state).length > 0;
  const isEmergencyNow = state.signs.some(({ sign }) => isEmergency(sign));
  const act = (intent: Intent) => {
    const { refused: why } = runtime.act(knownAtHome(running), intent);
    // The main key is only offered where it is taken; a second press of it is no mistake.
    setRefused(why && intent.do !== 'next' ? withoutRule(translate(why)) : null);
  };
  useWakeLock(true);
  useEffect(() => onTick(TICK_MS, runtime.tick), [runtime]);
  usePace(() => [knownAtHome(running)]);

  return (
    <section aria-label={t`The session`} className="space-y-5">
      {isEmergencyNow && <EmergencyCall practice={sheet.practice} />}
      {state.stopped && !isEmergencyNow && (
        <div role="alert" className="space-y-1 border-l-8 border-vermilion bg-tint p-3">
          <p className="text-2xl font-semibold text-vermilion">{t`Stopped: ${translate(state.stopped.why)}`}</p>
          <p>{t`Let it down at once. Sit or lie down. See colour and feeling come back.`}</p>
          <Call phone={sheet.practice.phone} />
        </div>
      )}
      <div>
        <p className={`text-2xl font-semibold ${words.urgent ? 'text-vermilion' : ''}`} role="status">
          {words.now}
        </p>
        {prompt && <p>{withoutRule(prompt)}</p>}
        {refused !== null && <FieldError>{refused}</FieldError>}
        {!state.stopped && <BigClock plan={plan} state={state} />}
        {!state.stopped && after && <p className="text-quiet">{after}</p>}
      </div>
      {hand && !state.stopped && step.do !== 'finish' && <HowDone hand={hand} />}
      {step.do === 'decide' ? (
        <div className="grid grid-cols-2 gap-2">
          <Button onClick={() => act({ do: 'loosen' })}>{t`I have loosened it`}</Button>
          <Button onClick={() => act({ do: 'check-colour', good: true })}>{t`Good again`}</Button>
        </div>
      ) : (
        words.action && (
          <Button kind="main" className="min-h-20 w-full text-2xl" onClick={() => act({ do: 'next' })}>
            {words.action}
          </Button>
        )
      )}
      {step.do === 'check-colour' && (
        <Button className="w-full" onClick={() => act({ do: 'check-colour', good: false })}>
          {t`Not good`}
        </Button>
      )}
      <div className="grid grid-cols-2 gap-2">
        {isUp && step.do !== 'release' && (
          <Button className="min-h-14" onClick={() => act({ do: 'release' })}>
            {t`Cuff is down`}
          </Button>
        )}
        <Button kind="stop" className="col-start-2 min-h-14" onClick={() => setSigns(true)}>
          {t`Something is wrong`}
        </Button>
      </div>
      <SetSaid state={state} act={act} effortIn={sheet.effortIn} />
      <SignList open={signs} onOpenChange={setSigns} note={(sign) => act({ do: 'note-sign', sign })} />
    </section>
  );
}

/** The exercise in hand: what it looks like, how it is done, and what the cuff is at. */
function HowDone({ hand: { exercise, limbs } }: { hand: InHand }) {
  return (
    <div className="border-y border-rule py-2">
      <ExerciseFigure id={exercise.exerciseId} className="float-right h-16" />
      <p className="font-semibold">
        {translate(exercise.label)}, {translate(exercise.load.recipe)}
      </p>
      <p className="text-[15px] text-quiet">{translate(exercise.cue)}</p>
      {limbs.map((target) => (
        <p key={target.limb} className="clear-right">
          {translate(LIMB_LABELS[target.limb])}:{' '}
          <span className="figures">
            {target.kind === 'by-feel' ? translate(markWords(target)) : `${target.targetMmHg} mmHg`}
          </span>
        </p>
      ))}
    </div>
  );
}

/** How the last set was: the count put right, effort, and pain of a joint. */
function SetSaid({
  state,
  act,
  effortIn,
}: {
  state: SessionState;
  act: (intent: Intent) => void;
  effortIn: HomeSheet['effortIn'];
}) {
  const set = state.sets.at(-1);
  if (!set || set.endedAtMs === null) return null;
  const scale = EFFORT_SCALES[effortIn];
  return (
    <section aria-label={t`How it was`} className="space-y-2 border-t border-rule pt-3">
      <h2 className="font-semibold">{t`How was set ${set.setIndex + 1}?`}</h2>
      {set.plannedReps !== null && (
        <div className="flex items-center gap-2">
          <span className="mr-auto">{t`${correctedReps(set)} of ${set.plannedReps} done`}</span>
          <Button onClick={() => act({ do: 'correct-reps', byReps: -1 })}>{t`One fewer`}</Button>
          <Button onClick={() => act({ do: 'correct-reps', byReps: 1 })}>{t`One more`}</Button>
        </div>
      )}
      <Scale
        label={translate(scale.asked)}
        steps={scale.said}
        value={set.effort === null ? null : scale.toSaid(set.effort)}
        onChange={(said) => act({ do: 'note-set', effort: scale.toEffort(said) })}
      />
      <Scale
        label={t`Pain of the joint`}
        value={set.jointPain}
        onChange={(jointPain) => act({ do: 'note-set', jointPain })}
      />
    </section>
  );
}
