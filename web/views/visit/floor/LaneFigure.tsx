import { t } from '@lingui/core/macro';
import { LIMB_NAMES } from '#core/quantity';
import { openSet, type RunsOut, repsNow, runsOut } from '#core/session';
import type { LiveSession } from '../../../data/live-session';
import { translate } from '../../../language/translate';
import { countdown } from '../../../words/format';

const WAITED_FOR: Record<Extract<RunsOut, { what: 'wait' }>['why'], string> = {
  rest: t`of rest`,
  'primed-up': t`cuff up`,
  'primed-down': t`cuff down`,
  'free-flow': t`of free flow`,
};

/** What runs out, large; under it what it is of. */
export function LaneFigure({ session: { plan, state }, nowMs }: { session: LiveSession; nowMs: number }) {
  const out = runsOut(plan, state, nowMs);
  const set = openSet(state);
  const reps = repsNow(plan, state, nowMs);
  const isOver = out?.what === 'limit' && out.leftMs <= 0;
  return (
    <p className="text-right leading-none">
      <span className={`figures block text-4xl ${isOver ? 'font-bold text-vermilion' : ''}`}>
        {out === null ? <span className="text-quiet">–</span> : countdown(Math.max(0, out.leftMs))}
      </span>
      <span className="text-[13px] text-quiet">
        {out?.what === 'set' && set && reps !== null && set.plannedReps !== null
          ? t`${reps} of ${set.plannedReps}`
          : out && ofWhat(out)}
      </span>
    </p>
  );
}

function ofWhat(out: RunsOut): string {
  switch (out.what) {
    case 'set':
      return t`of the set`;
    case 'rest':
      return t`of rest`;
    case 'wait':
      return WAITED_FOR[out.why];
    case 'limit':
      return t`limit, ${translate(LIMB_NAMES[out.limb])}`;
  }
}
