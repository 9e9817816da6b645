import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { MoreHorizontal } from 'lucide-react';
import { Link } from 'react-router';
import { LIMB_LABELS } from '#core/quantity';
import { type Attention, canTakeBackStop, inHand, limbClocks, nextStep, STOPPED_BY_KEY } from '#core/session';
import { type Act, takeOver } from '../../../act/act';
import { thisDevice } from '../../../data/device';
import type { LiveSession } from '../../../data/live-session';
import { workingPractitioner } from '../../../data/practitioner';
import { translate } from '../../../language/translate';
import { Button, KeyHint } from '../../../parts/base/Button';
import { Tip } from '../../../parts/base/Tip';
import { countdown, pressureWords } from '../../../words/format';
import { stepWords } from '../../../words/step-words';
import { LaneFigure } from './LaneFigure';
import { LaneMore, useRunnerWords } from './LaneMore';
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

/** Who and what, and the clocks of the cuffs beneath; where it is narrow, what can be done is beneath them, on a phone the strip as well. */
const LANE =
  'grid grid-cols-[minmax(10.5rem,14rem)_minmax(7rem,1fr)_6.5rem_auto] items-center gap-x-3 gap-y-1 @max-4xl:grid-cols-[minmax(9rem,13rem)_1fr_6.5rem] @max-lg:grid-cols-[1fr_6.5rem]';

/** One person on the floor: what runs out, the session as a piece of the strip, every cuff's clock, and what can be done in one touch. */
export function FloorLane({
  number,
  session,
  need,
  nowMs,
  isInHand,
  act,
  noteSymptom,
  more,
}: {
  /** Its figure key; a lane past the ninth has none. */
  number: number;
  session: LiveSession;
  need: Attention['need'];
  nowMs: number;
  isInHand: boolean;
  act: Act;
  noteSymptom: () => void;
  /** Whether its notes are open, and how they are opened. */
  more: { isOpen: boolean; open: (isOpen: boolean) => void };
}) {
  const { view, state, plan } = session;
  const step = nextStep(plan, state, nowMs);
  const words = stepWords(plan, step, inHand(plan, state)?.limbs);
  const worn = limbClocks(plan, state, nowMs).filter(({ inflated }) => inflated);
  const runner = useRunnerWords(session);
  const isElsewhere = state.runner !== null && state.runner !== thisDevice;
  const isHandedHere = isElsewhere && state.handedTo === workingPractitioner.get();
  const forClient = <span className="sr-only"> {t`for ${view.clientName}`}</span>;
  return (
    <li
      data-number={number}
      aria-current={isInHand ? 'true' : undefined}
      className={`@container border-b border-b-rule border-l-8 py-1 pr-2 pl-3 ${EDGES[need]} ${isInHand ? 'bg-tint' : ''}`}
    >
      <div className={LANE}>
        <div className="min-w-0">
          <Link
            to={`/sessions/${view.id}`}
            className="flex items-center gap-2 text-lg leading-tight font-semibold underline decoration-rule underline-offset-4"
          >
            <KeyHint>{String(number)}</KeyHint>
            <span className="line-clamp-2">{view.clientName}</span>
          </Link>
          <p className={`text-[15px] leading-tight ${words.urgent ? 'font-semibold text-vermilion' : ''}`}>
            {words.now}
          </p>
        </div>
        <div className="min-w-0 @max-lg:col-span-2 @max-lg:row-start-2">
          <LaneStrip plan={plan} state={state} nowMs={nowMs} />
        </div>
        <div className="row-span-2 @max-lg:row-span-1">
          <LaneFigure session={session} nowMs={nowMs} />
        </div>
        <ul className="col-span-2 row-start-2 flex flex-wrap gap-x-4 text-[13px] leading-tight @max-lg:row-start-3">
          {worn.length === 0 && <li className="text-quiet">{t`cuff down`}</li>}
          {worn.map(({ limb, pressureMmHg, leftMs, alarm }) => (
            <li key={limb} className={alarm === 'none' ? '' : 'font-bold text-vermilion'}>
              <Trans>
                {translate(LIMB_LABELS[limb])} <span className="figures">{pressureWords(pressureMmHg)}</span>,
                left <span className="figures">{countdown(Math.max(0, leftMs))}</span>
              </Trans>
            </li>
          ))}
          {isElsewhere && <li className="min-w-0 flex-1 basis-24 truncate text-quiet">{runner}</li>}
        </ul>
        <div className="row-span-2 flex gap-1.5 @max-4xl:col-span-3 @max-4xl:row-span-1 @max-lg:col-span-2 @max-lg:flex-wrap">
          {isHandedHere ? (
            <Button kind="main" className={NEXT} onClick={() => act(takeOver())}>
              {t`Take over`}
              {forClient}
            </Button>
          ) : (
            <Button
              kind={words.urgent ? 'stop' : 'main'}
              className={words.action ? NEXT : `${NEXT} invisible`}
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
          <Button className="px-2" disabled={worn.length === 0} onClick={() => act({ do: 'release' })}>
            <Trans>Release{forClient}</Trans>
          </Button>
          <Button className="px-2" onClick={noteSymptom}>
            <Trans>Symptom{forClient}</Trans>
          </Button>
          {canTakeBackStop(state, nowMs) ? (
            <Button
              className="ml-1.5 min-w-16 px-2 whitespace-nowrap"
              onClick={() => act({ do: 'take-back-stop' })}
            >
              <Trans>Go on{forClient}</Trans>
            </Button>
          ) : (
            <Button
              kind="stop"
              className="ml-1.5 min-w-16 px-2.5"
              disabled={state.stopped !== null}
              onClick={() => act({ do: 'stop', why: STOPPED_BY_KEY })}
            >
              <Trans>Stop{forClient}</Trans>
            </Button>
          )}
          <LaneMore session={session} act={act} open={more.isOpen} onOpenChange={more.open}>
            <Button className="px-2.5">
              <MoreHorizontal aria-hidden className="size-5" />
              <span className="sr-only">{t`Notes and corrections`}</span>
              {forClient}
            </Button>
          </LaneMore>
        </div>
      </div>
    </li>
  );
}

const NEXT = 'w-30 px-2 leading-tight @max-4xl:min-w-34 @max-4xl:flex-1';

/** A lane whose session is over: it waits for the next, so that the others keep their places. */
export const EmptyLane = ({ number }: { number: number }) => (
  <li
    data-number={number}
    className="flex min-h-12 items-center gap-2 border-b border-b-rule border-l-8 border-l-transparent pl-3 text-quiet"
  >
    <KeyHint>{String(number)}</KeyHint> {t`free`}
  </li>
);
