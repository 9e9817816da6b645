import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from 'react-router';
import { LIMB_LABELS } from '#core/quantity';
import { type Attention, inHand, limbClocks, nextStep, openSet, repsNow, restLeftMs } from '#core/session';
import type { Act } from '../../../act/act';
import type { LiveSession } from '../../../data/live-session';
import { translate } from '../../../language/translate';
import { Button, KeyHint } from '../../../parts/base/Button';
import { Tip } from '../../../parts/base/Tip';
import { clock, countdown, pressureWords } from '../../../words/format';
import { stepWords } from '../../../words/step-words';
import { LaneStrip } from './LaneStrip';

const EDGES: Record<Attention['need'], string> = {
  limit: 'border-l-vermilion',
  stopped: 'border-l-vermilion',
  'limit-near': 'border-l-ochre border-dashed',
  act: 'border-l-plum',
  soon: 'border-l-plum border-dashed',
  runs: 'border-l-transparent',
  over: 'border-l-transparent',
};

/** One person on the floor: the one number, the session as a piece of the strip, every cuff's clock, and what can be done in one touch. */
export function FloorLane({
  number,
  session,
  need,
  nowMs,
  isInHand,
  act,
}: {
  /** The figure key that takes it in hand; none past the ninth. */
  number: number | null;
  session: LiveSession;
  need: Attention['need'];
  nowMs: number;
  isInHand: boolean;
  act: Act;
}) {
  const { view, state } = session;
  const { plan } = view;
  const step = nextStep(plan, state, nowMs);
  const words = stepWords(plan, step, inHand(plan, state)?.limbs);
  const worn = limbClocks(plan, state, nowMs).filter(({ inflated }) => inflated);
  const forClient = <span className="sr-only"> {t`for ${view.clientName}`}</span>;
  return (
    <li
      aria-current={isInHand ? 'true' : undefined}
      className={`@container border-b border-b-rule border-l-8 py-1.5 pr-2 pl-3 ${EDGES[need]} ${isInHand ? 'bg-tint' : ''}`}
    >
      <div className="grid grid-cols-[minmax(9rem,13rem)_7.5rem_minmax(10rem,1fr)_22rem] items-center gap-x-4 @max-4xl:grid-cols-[1fr_auto] @max-4xl:gap-y-1">
        <div className="min-w-0">
          <Link
            to={`/sessions/${view.id}`}
            className="flex items-center gap-2 text-lg font-semibold underline decoration-rule underline-offset-4"
          >
            {number !== null && <KeyHint>{String(number)}</KeyHint>}
            <span className="truncate">{view.clientName}</span>
          </Link>
          <p className={`text-[15px] leading-tight ${words.urgent ? 'font-semibold text-vermilion' : ''}`}>
            {words.now}
          </p>
        </div>
        <OneFigure session={session} nowMs={nowMs} />
        <div className="min-w-0 @max-4xl:col-span-2">
          <LaneStrip plan={plan} state={state} nowMs={nowMs} />
          <ul className="flex flex-wrap gap-x-5 text-[14px]">
            {worn.length === 0 && <li className="text-quiet">{t`cuff down`}</li>}
            {worn.map(({ limb, pressureMmHg, clockMs, leftMs, alarm }) => (
              <li key={limb} className={alarm === 'none' ? '' : 'font-bold text-vermilion'}>
                <Trans>
                  {translate(LIMB_LABELS[limb])}{' '}
                  <span className="figures">{pressureWords(pressureMmHg)}</span>,{' '}
                  <span className="figures">{clock(clockMs)}</span>, left{' '}
                  <span className="figures">{clock(leftMs)}</span>
                </Trans>
              </li>
            ))}
          </ul>
        </div>
        <div className="flex gap-1.5 @max-4xl:col-span-2">
          {words.action && (
            <Button
              kind={words.urgent ? 'stop' : 'main'}
              className="min-w-36 flex-1 px-2"
              {...(isInHand ? { does: 'next' as const } : {})}
              onClick={() => act({ do: 'next' })}
            >
              {words.action}
              {forClient}
            </Button>
          )}
          <Tip words={t`Looser (L)`}>
            <Button className="px-3" onClick={() => act({ do: 'loosen' })}>
              <span aria-hidden>▾</span>
              <span className="sr-only">{t`Looser`}</span>
              {forClient}
            </Button>
          </Tip>
          <Tip words={t`Release (R)`}>
            <Button className="px-3" disabled={worn.length === 0} onClick={() => act({ do: 'release' })}>
              <Trans>Release{forClient}</Trans>
            </Button>
          </Tip>
        </div>
      </div>
    </li>
  );
}

/** Repetitions in a set, what is left of a spell or a rest, else how long it has been going on. */
function OneFigure({ session: { view, state }, nowMs }: { session: LiveSession; nowMs: number }) {
  const { plan } = view;
  const set = openSet(state);
  const reps = repsNow(plan, state, nowMs);
  const restMs = restLeftMs(state, nowMs);
  return (
    <p className="figures text-4xl leading-none">
      {set && reps !== null && set.plannedReps !== null ? (
        <>
          {reps}
          <span className="text-xl text-quiet">/{set.plannedReps}</span>
        </>
      ) : restMs !== null ? (
        restMs > 0 ? (
          countdown(restMs)
        ) : (
          `+${clock(-restMs)}`
        )
      ) : (
        clock(nowMs - (state.startedAtMs ?? nowMs))
      )}
    </p>
  );
}
