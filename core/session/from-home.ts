import type { SessionEvent, SessionEventType } from './events';

/** What somebody who trains by themselves writes into a log; the rest is for a practitioner to say. */
const AT_HOME: ReadonlySet<SessionEventType> = new Set([
  'session-started',
  'cuff-inflated',
  'cuff-released',
  'loosened',
  'mark-moved',
  'pressure-read',
  'set-started',
  'set-ended',
  'end-taken-back',
  'rest-started',
  're-fitted',
  'reps-corrected',
  'reps-confirmed',
  'became-hard',
  'set-noted',
  'colour-checked',
  'sign-noted',
  'alarm-ignored',
  'stopped',
  'session-finished',
]);

/**
 * Why a log cannot be one of a session at home, in words, or `null`: it begins by saying whose it is, it is over, and it says
 * nothing that is for a practitioner to say.
 * @param events in their order
 */
export function whyNotFromHome(events: readonly SessionEvent[]): string | null {
  const [first] = events;
  if (first?.type !== 'session-started' || first.byClient !== true)
    return 'It does not begin with the start of a session at home.';
  if (events.at(-1)?.type !== 'session-finished') return 'It is not finished.';
  const stranger = events.find(({ type }) => !AT_HOME.has(type));
  if (stranger) return `“${stranger.type}” is for a practitioner to say.`;
  return events.some(({ sessionId }) => sessionId !== first.sessionId)
    ? 'Its events are of several sessions.'
    : null;
}
