import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { SessionView } from '#contract/session';
import { type Decision, decide, type Effect, type Hands, type House, type Intent } from '#core/session';
import { serverNow } from '../data/clock';
import { KEYS } from '../data/keys';
import { appendNow, foldView } from '../data/live-session';
import type { practiceQuery } from '../data/queries';
import { stopAboveOf } from '../data/use-blood-pressure-limit';
import { deflatePump, inflateByPump, sessionPumps } from '../devices/session-pumps';
import { translate } from '../language/translate';
import { notify } from '../state/notices';

/**
 * The one way from a key to the log and the pump (architecture, idea 2): decides on the newest state, appends what comes
 * of it and runs its effects, for every view alike.
 */
export function act(queries: QueryClient, view: SessionView, intent: Intent): Decision {
  const nowMs = serverNow();
  const { id, plan } = view;
  // The newest state: what is drawn may be a moment behind.
  const { state } = foldView(view);
  const decision = decide(plan, state, intent, nowMs, handsOf(id), houseOf(queries));
  void appendNow(queries, id, ...decision.events);
  for (const effect of decision.effects) run(id, effect, nowMs);
  return decision;
}

/** How a view acts on its session. */
export type Act = (intent: Intent) => Decision;

/** Acts, and never fails silently: a refusal is shown. @param about said first, where several are on the page */
export function actAndNotify(queries: QueryClient, view: SessionView, intent: Intent, about = ''): Decision {
  const decision = act(queries, view, intent);
  if (decision.refused && intent.do !== 'next') notify(`${about}${translate(decision.refused)}`);
  return decision;
}

/** Acts on one session, and never fails silently: a refusal is shown. */
export function useAct(view: SessionView): Act {
  const queries = useQueryClient();
  return useCallback((intent) => actAndNotify(queries, view, intent), [queries, view]);
}

/** What the practice sets, as it was last read. */
function houseOf(queries: QueryClient): House {
  const practice = queries.getQueryData<Awaited<ReturnType<typeof practiceQuery.queryFn>>>(KEYS.practice);
  return { stopAbove: stopAboveOf(practice?.settings), weightKits: practice?.weightKits ?? [] };
}

/** Cuffs of a session whose regulated pump is there. */
export function handsOf(sessionId: string): Hands {
  return {
    pumped: sessionPumps()
      .filter((pump) => pump.sessionId === sessionId && pump.source.kind === 'regulated' && !pump.lost)
      .map(({ limb }) => limb),
  };
}

function run(sessionId: string, effect: Effect, nowMs: number): void {
  if (effect.do === 'bring') inflateByPump(sessionId, effect.limb, effect.pressureMmHg, nowMs);
  else deflatePump(sessionId, effect.limb);
}
