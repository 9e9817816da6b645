import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo, useEffect, useMemo, useState } from 'react';
import { zoneOf } from '#core/aerobic';
import { compile, isByFeel, lighterWords, type Plan, plannedKg } from '#core/plan';
import {
  canTakeBackStop,
  inflatedLimbs,
  inHand,
  liveTimeline,
  nextStep,
  openSet,
  type SessionState,
  STOPPED_BY_KEY,
  settlingWords,
  TAKE_BACK_MS,
} from '#core/session';
import { takeOver, useAct } from '../../../act/act';
import { thisDevice } from '../../../data/device';
import type { LiveSession } from '../../../data/live-session';
import { pumpOf } from '../../../devices/session-pumps';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Said, Why } from '../../../parts/base/Why';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { toggleFullScreen } from '../../../parts/keys/full-screen';
import { useAction } from '../../../parts/keys/use-action';
import { useEscapeTwice } from '../../../parts/keys/use-escape-twice';
import { useSpace } from '../../../parts/keys/use-space';
import { Corrections } from '../../../parts/live/Corrections';
import { SessionEffort } from '../../../parts/live/SessionEffort';
import { SetNotes } from '../../../parts/live/SetNotes';
import { BigClock } from '../../../parts/plan/BigClock';
import { PlaceLine } from '../../../parts/plan/PlaceLine';
import { AdjunctNotes } from '../../../parts/record/AdjunctNotes';
import { BloodPressureInWork } from '../../../parts/record/BloodPressureInWork';
import { SignList } from '../../../parts/record/SignList';
import { useNow } from '../../../parts/time/use-now';
import { say } from '../../../sound/voice';
import { shareOfMax } from '../../../words/share-of-max';
import { promptWords, stepWords, thenWords } from '../../../words/step-words';
import { useUnits } from '../../../words/units';
import { ColourDecision } from './ColourDecision';
import { CuffClocks } from './CuffClocks';
import { LiveForecast } from './LiveForecast';
import { OfferPanel } from './OfferPanel';
import { PressureKeys } from './PressureKeys';
import { PumpPanel } from './PumpPanel';
import { StrapPanel } from './StrapPanel';

// What comes next changes with an event, and by the clock only when a rest or a wait is over.
const WORDS_EVERY_MS = 250;
// The strip moves about a pixel a second: drawing it with every tick of the clock would only cost battery.
const STRIP_EVERY_MS = 1_000;

/** The live session: what now, what next, and one key for each. Everything shown is folded from the log. */
export function LiveBench({ session: { view, log, state } }: { session: LiveSession }) {
  const nowMs = useNow(WORDS_EVERY_MS);
  const { mass } = useUnits();
  const act = useAct(view);
  const [signing, setSigning] = useState(false);
  const { plan } = view;
  const second = Math.floor(nowMs / STRIP_EVERY_MS);
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn again each second and after each event
  const stripNowMs = useMemo(() => nowMs, [second, state]);
  const step = nextStep(plan, state, nowMs);
  const hand = useMemo(() => inHand(plan, state), [plan, state]);
  const words = stepWords(plan, step, hand?.limbs);
  const inflated = inflatedLimbs(state).map(({ limb }) => limb);
  const inSet = openSet(state) !== null;
  const ended = state.sets.at(-1)?.endedAtMs ?? null;
  const justEnded =
    !inSet && !state.stopped && ended !== null && nowMs - ended <= TAKE_BACK_MS && inflated.length > 0;

  const doNext = () => act({ do: 'next' });
  const release = () => inflated.length > 0 && act({ do: 'release' });
  const stop = () => !state.stopped && act({ do: 'stop', why: STOPPED_BY_KEY });
  useSpace(doNext);
  useAction('release', release);
  useAction('loosen', () => act({ do: 'loosen' }));
  useAction('top-up', () => act({ do: 'top-up' }));
  useAction('tighten', () => act({ do: 'raise' }));
  useAction('take-back', () => act({ do: state.stopped ? 'take-back-stop' : 'take-back-end' }));
  useAction('re-fit', () => act({ do: 're-fit' }));
  useAction('run-here', () => act(takeOver()));
  useAction('sign', () => setSigning(true));
  useEscapeTwice(stop);
  useAction('full-screen', toggleFullScreen);
  useEffect(() => say(words.now), [words.now]);
  const hint = settlingWords(plan, state, step) ?? promptWords(plan, step, state, nowMs);
  const after = thenWords(plan, state);
  const exercise = hand?.exercise;
  return (
    <section className="space-y-2">
      <header className="flex flex-wrap items-center justify-between gap-x-6">
        <h1
          className={`text-4xl font-semibold max-sm:text-2xl ${words.urgent ? 'text-vermilion' : ''}`}
          aria-live="assertive"
        >
          {words.now}
        </h1>
        {hand && exercise && (
          <p className="flex items-center gap-3 text-quiet">
            <ExerciseFigure id={exercise.exerciseId} className="h-14 shrink-0 text-ink max-sm:h-10" />
            <span>
              {translate(exercise.label)},{' '}
              {hand.loadKg === null
                ? translate(exercise.load.recipe)
                : `${mass.words(hand.loadKg)}${hand.loadKg === plannedKg(exercise.load) ? ` (${translate(exercise.load.recipe)})` : ''}${shareOfMax(exercise.load, hand.loadKg)}`}
              . {translate(exercise.cue)}
            </span>
          </p>
        )}
      </header>
      {plan.today && <p className="notched py-1">{translate(lighterWords(plan.today))}</p>}
      {hint && (
        <p className="text-xl max-sm:text-[16px]">
          <Said>{translate(hint)}</Said>
        </p>
      )}
      {state.runner !== null && state.runner !== thisDevice && state.finishedAtMs === null && (
        <p className="notched flex flex-wrap items-center gap-3 py-1">
          {t`Another device runs this session: it ends sets and begins them on the clock.`}
          <Button does="run-here" onClick={() => act(takeOver())}>
            {t`Take over`}
          </Button>
        </p>
      )}
      {state.stopped && (
        <p role="alert" className="border-l-4 border-vermilion pl-3 text-xl">
          <Trans>
            <strong className="text-vermilion">Stop.</strong> {translate(state.stopped.why)}. Deflate at once,
            sit or lie down, stay with the person, follow local first-aid policy. Note what was felt, where,
            and when it passed.
          </Trans>{' '}
          <Why rule="RUN-3" />
        </p>
      )}
      {state.stopped && <PlaceLine plan={plan} />}
      <div className="grid gap-6 lg:grid-cols-[1fr_20rem]">
        {/* What Space does stays in view, however much is to be noted beside it. */}
        <div className="flex min-w-0 flex-col justify-between gap-3 lg:sticky lg:top-4 lg:self-start">
          {after && <p className="text-xl leading-none text-quiet">{after}</p>}
          <BigClock plan={plan} state={state} />
          <div className="flex flex-wrap gap-3">
            {words.action && (
              <Button
                kind={words.urgent ? 'stop' : 'main'}
                className="min-h-20 basis-full text-2xl lg:min-h-16"
                does="next"
                onClick={doNext}
              >
                {step.do === 'inflate' && step.cuffs.some(({ limb }) => pumpOf(view.id, limb))
                  ? t`Inflate`
                  : words.action}
              </Button>
            )}
            {inflated.length > 0 && step.do !== 'release' && (
              <Button className="min-h-14 flex-1" does="release" onClick={release}>
                {t`Release`}
              </Button>
            )}
            {justEnded && (
              <Button
                className="min-h-14 flex-1"
                does="take-back"
                onClick={() => act({ do: 'take-back-end' })}
              >
                {t`Not ended: go on`}
              </Button>
            )}
            <Button className="min-h-14 flex-1" does="sign" onClick={() => setSigning(true)}>
              {t`Symptom noted`}
            </Button>
            {!state.stopped && (
              <Button kind="stop" className="min-h-14 flex-1" does="stop" onClick={() => stop()}>
                {t`Stop`}
              </Button>
            )}
            {canTakeBackStop(state, nowMs) && (
              <Button
                className="min-h-14 flex-1"
                does="take-back"
                onClick={() => act({ do: 'take-back-stop' })}
              >
                {t`No stop: ${view.clientName} goes on`}
              </Button>
            )}
          </div>
          <LiveStrip plan={plan} state={state} nowMs={stripNowMs} />
        </div>
        <div className="space-y-3">
          <CuffClocks plan={plan} state={state} hand={hand} act={act} />
          {hand && !state.stopped && (
            <PressureKeys hand={hand} inSet={inSet} up={inflated.length > 0} act={act} />
          )}
          {exercise && !state.stopped && !isByFeel(exercise) && (
            <details>
              <summary className="min-h-11 cursor-pointer py-2 text-[15px]">{t`Pump`}</summary>
              {exercise.limbs.map((target) => (
                <PumpPanel
                  key={target.limb}
                  sessionId={view.id}
                  clientId={view.clientId}
                  position={exercise.position}
                  target={target}
                />
              ))}
            </details>
          )}
          {exercise?.mode === 'aerobic' && !state.stopped && (
            <StrapPanel view={view} zone={zoneOf(exercise)} />
          )}
          <BloodPressureInWork clientId={view.clientId} plan={plan} state={state} act={act} />
          <AdjunctNotes clientId={view.clientId} plan={plan} state={state} act={act} />
          {step.do === 'finish' && <SessionEffort state={state} act={act} />}
          <OfferPanel plan={plan} state={state} act={act} />
          <SetNotes plan={plan} state={state} act={act} />
          <LiveForecast plan={plan} state={state} clientId={view.clientId} />
          <Corrections plan={plan} state={state} log={log} act={act} />
        </div>
      </div>
      <ColourDecision
        open={step.do === 'decide' && !signing}
        limbs={hand?.limbs ?? []}
        act={act}
        noteSign={() => setSigning(true)}
      />
      <SignList open={signing} onOpenChange={setSigning} note={(sign) => act({ do: 'note-sign', sign })} />
    </section>
  );
}

/** Room of all lanes together, in px, and what one needs in addition for what is written under it. */
const LIVE_LANE_PX = 64;
const UNDER_LANE_PX = 26;
const laneHeightPx = (lanes: number): number =>
  Math.max(16, (LIVE_LANE_PX - UNDER_LANE_PX * (lanes - 1)) / Math.max(1, lanes));

const LiveStrip = memo(function LiveStrip({
  plan,
  state,
  nowMs,
}: {
  plan: Plan;
  state: SessionState;
  nowMs: number;
}) {
  const planned = useMemo(() => compile(plan), [plan]);
  return (
    <OcclusionStrip
      // Whole above the dock, beside everything that is to be pressed.
      laneHeight={laneHeightPx(planned.lanes.length)}
      planned={planned}
      plan={plan}
      done={liveTimeline(plan, state, nowMs)}
      nowMs={nowMs - (state.startedAtMs ?? nowMs)}
    />
  );
});
