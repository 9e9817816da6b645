import { type Message, msg } from '../message/message';
import { EVENTS, type SessionEvent } from './events';

/**
 * Why a log cannot be one of a session at home, in words, or `null`: it begins by saying whose it is, it is over, and it says
 * nothing that is for a practitioner to say.
 * @param events in their order
 */
export function whyNotFromHome(events: readonly SessionEvent[]): Message | null {
  const [first] = events;
  if (first?.type !== 'session-started' || first.byClient !== true)
    return msg('It does not begin with the start of a session at home.');
  if (events.at(-1)?.type !== 'session-finished') return msg('It is not finished.');
  const notFromHome = events.find(({ type }) => !EVENTS[type].atHome);
  if (notFromHome) return msg('“{type}” is for a practitioner to say.', { type: notFromHome.type });
  return events.some(({ sessionId }) => sessionId !== first.sessionId)
    ? msg('Its events are of several sessions.')
    : null;
}
