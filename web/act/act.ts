import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { SessionView } from '#contract/session';
import type { Decision, Intent } from '#core/session';
import { thisDevice } from '../data/device';
import { foldView } from '../data/live-session';
import { workingPractitioner } from '../data/practitioner';
import { translate } from '../language/translate';
import { notify } from '../state/notices';
import { runtimeOf } from './runtime';

/** How a view acts on its session: the one way from a key to the log and the pump (architecture, idea 2). */
export type Act = (intent: Intent) => Decision;

/** To run a session from this device, for who works on it. */
export const takeOver = (): Intent => ({
  do: 'take-over',
  runner: thisDevice,
  practitionerId: workingPractitioner.get() || null,
});

/** Acts, and never fails silently: a refusal is shown. @param about said first, where several are on the page */
export function actAndNotify(queries: QueryClient, view: SessionView, intent: Intent, about = ''): Decision {
  const decision = runtimeOf(queries).act(foldView(view), intent);
  if (decision.refused && intent.do !== 'next') notify(`${about}${translate(decision.refused)}`);
  return decision;
}

/** Acts on one session, and never fails silently: a refusal is shown. */
export function useAct(view: SessionView): Act {
  const queries = useQueryClient();
  return useCallback((intent) => actAndNotify(queries, view, intent), [queries, view]);
}
