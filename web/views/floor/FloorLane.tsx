import { Link } from 'react-router';
import { LIMB_LABELS } from '#core/quantity/limb';
import type { Attention } from '#core/session/attention';
import { limbClocks, repsNow, restLeftMs } from '#core/session/clocks';
import { inHand } from '#core/session/in-hand';
import { nextStep } from '#core/session/next-step';
import { openSet } from '#core/session/state';
import { useAct } from '../../act/act';
import type { LiveSession } from '../../data/live-session';
import { Button, KeyHint } from '../../parts/Button';
import { clock, countdown, pressureWords } from '../../parts/format';
import { stepWords } from '../../words/step-words';

const EDGES: Record<Attention['need'], string> = {
  limit: 'border-vermilion',
  stopped: 'border-vermilion',
  'limit-near': 'border-ochre border-dashed',
  act: 'border-plum',
  soon: 'border-plum border-dashed',
  runs: 'border-transparent',
  over: 'border-transparent',
};

/** One person on the floor: what now, the one number, every cuff's clock, and the next expected thing in one touch. */
export function FloorLane({
  number,
  session: { view, state },
  need,
  nowMs,
}: {
  number: number;
  session: LiveSession;
  need: Attention['need'];
  nowMs: number;
}) {
  const act = useAct(view);
  const { plan } = view;
  const step = nextStep(plan, state, nowMs);
  const words = stepWords(plan, step, inHand(plan, state)?.limbs);
  const set = openSet(state);
  const reps = repsNow(plan, state, nowMs);
  const restMs = restLeftMs(state, nowMs);
  const worn = limbClocks(plan, state, nowMs).filter(({ inflated }) => inflated);
  return (
    <li className={`@container border-b border-b-rule border-l-8 py-2 pl-3 ${EDGES[need]}`}>
      <div className="grid grid-cols-[minmax(9rem,1fr)_9rem_minmax(9rem,1.2fr)_auto] items-center gap-4 @max-2xl:grid-cols-[1fr_auto] @max-2xl:gap-2">
        <div className="min-w-0">
          <Link
            to={`/sessions/${view.id}`}
            className="flex items-center gap-2 text-xl font-semibold underline decoration-rule underline-offset-4"
          >
            <KeyHint>{String(number)}</KeyHint>
            <span className="truncate">{view.clientName}</span>
          </Link>
          <p className={words.urgent ? 'font-semibold text-vermilion' : ''}>{words.now}</p>
        </div>
        <p className="figures text-5xl leading-none @max-2xl:text-4xl">
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
        <ul className="@max-2xl:col-span-2">
          {worn.length === 0 && <li className="text-quiet">cuff down</li>}
          {worn.map(({ limb, pressureMmHg, clockMs, leftMs, alarm }) => (
            <li key={limb} className={alarm === 'none' ? '' : 'font-bold text-vermilion'}>
              {LIMB_LABELS[limb]} <span className="figures">{pressureWords(pressureMmHg)}</span>,{' '}
              <span className="figures text-xl">{clock(clockMs)}</span>, left{' '}
              <span className="figures text-xl">{clock(leftMs)}</span>
            </li>
          ))}
        </ul>
        <div className="w-40 @max-2xl:col-span-2 @max-2xl:w-full">
          {words.action && (
            <Button
              kind={words.urgent ? 'stop' : 'main'}
              className="w-full"
              onClick={() => act({ do: 'next' })}
            >
              {words.action}
              <span className="sr-only"> for {view.clientName}</span>
            </Button>
          )}
        </div>
      </div>
    </li>
  );
}
