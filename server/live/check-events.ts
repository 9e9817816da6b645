import { type Message, msg } from '#core/message';
import { EVENTS, type SessionEvent } from '#core/session';
import { Problem } from '../problem';
import type { SessionHead } from '../record/session';
import { sameJson } from '../same-json';
import { asSaid } from './time-by-receipt';

/**
 * Which events of a batch are new, as the server times them; a batch with one that cannot be is refused whole, each named at its place, so that the
 * device sets it aside and sends the rest (rule RUN-9).
 * @param known those of them that are on record @param practitionerId who sends them @param aheadMs how far ahead of the server's clock
 * an event may be
 * @throws Problem 400 for another session's, 403 for another practitioner's, 409 for a known id with other content or a finished session, 422 for its time
 */
export function checkEvents(
  session: SessionHead,
  events: readonly SessionEvent[],
  known: readonly SessionEvent[],
  { nowMs, aheadMs, practitionerId }: { nowMs: number; aheadMs: number; practitionerId: string },
): SessionEvent[] {
  refuse(
    400,
    msg('Another session'),
    places(events, ({ sessionId }) => sessionId !== session.id),
    'sessionId',
    () => msg('This event belongs to another session; none was stored.'),
  );
  const firstById = new Map<string, SessionEvent>();
  for (const event of [...known, ...events]) if (!firstById.has(event.id)) firstById.set(event.id, event);
  refuse(
    409,
    msg('Another event'),
    places(events, (event) => {
      const first = firstById.get(event.id);
      // One that is new is itself the first.
      return first !== event && !(first && sameJson(asSaid(first), asSaid(event)));
    }),
    'id',
    () => msg('An event with this id is on record and says something else; none of this batch was stored.'),
  );
  const knownIds = new Set(known.map(({ id }) => id));
  const fresh = (event: SessionEvent) => !knownIds.has(event.id);
  refuse(
    422,
    msg('Outside the session'),
    places(events, (event) => fresh(event) && event.atMs > nowMs + aheadMs),
    'atMs',
    () => msg('It is said to happen in the future: the clock of the device is ahead.'),
  );
  refuse(
    403,
    msg('Another practitioner'),
    places(
      events,
      (event) =>
        fresh(event) &&
        'practitionerId' in event &&
        ![undefined, practitionerId].includes(event.practitionerId),
    ),
    'practitionerId',
    () => msg('Only who works on a device can say that they run a session there; none was stored.'),
  );
  const finishedMs = session.finishedAtMs ?? Number.POSITIVE_INFINITY;
  refuse(
    409,
    msg('Finished'),
    places(events, (event) => fresh(event) && event.atMs > finishedMs && !EVENTS[event.type].afterFinish),
    'type',
    ({ type }) =>
      msg('The session is finished and takes corrections only: {words} came after its end.', {
        words: EVENTS[type].words,
      }),
  );
  return [...new Map(events.filter(fresh).map((event) => [event.id, event])).values()];
}

type Place = { place: number; event: SessionEvent };

const places = (events: readonly SessionEvent[], isWrong: (event: SessionEvent) => boolean): Place[] =>
  events.flatMap((event, place) => (isWrong(event) ? [{ place, event }] : []));

function refuse(
  status: 400 | 403 | 409 | 422,
  title: Message,
  wrong: readonly Place[],
  field: string,
  words: (event: SessionEvent) => Message,
): void {
  const [first] = wrong;
  if (!first) return;
  throw new Problem(
    status,
    title,
    words(first.event),
    wrong.map(({ place, event }) => ({
      path: `events.${place}.${field}`,
      message: words(event),
      rule: 'RUN-9',
    })),
  );
}
