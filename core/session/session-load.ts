import type { Derived } from '../derivation/derived';
import { msg } from '../message/message';
import { MS_PER_MINUTE } from '../quantity/units';
import type { SessionState } from './state';

/**
 * The load of a whole session: its effort times its minutes, from its start to its end. A rough measure for comparing the days of one
 * person, optional beside the dose.
 * @returns null while it is not finished, or its effort was not said
 * @example effort 6 over 24 min //=> 144
 */
export function sessionLoad({
  effort,
  startedAtMs,
  finishedAtMs,
}: Pick<SessionState, 'effort' | 'startedAtMs' | 'finishedAtMs'>): Derived | null {
  if (effort === null || startedAtMs === null || finishedAtMs === null) return null;
  const minutes = Math.round((finishedAtMs - startedAtMs) / MS_PER_MINUTE);
  return {
    value: Math.round(effort * minutes),
    unit: 'effort·min',
    working: [
      {
        label: msg('Effort × minutes'),
        detail: msg('{effort} × {minutes} min = {load}', {
          effort,
          minutes,
          load: Math.round(effort * minutes),
        }),
      },
    ],
    rules: ['RUN-5'],
  };
}
