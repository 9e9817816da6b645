import { v4 as newId } from 'uuid';
import type { EventBody, SessionEvent } from '#core/session';

// Every page of a phone is a device of its own.
const deviceId = `home ${newId()}`;

/** Events of a session at home with their stamps. @param seq how many there are already @param ids where they are given */
export const stampedAt = (
  sessionId: string,
  seq: number,
  atMs: number,
  bodies: readonly EventBody[],
  ids: readonly string[] = [],
): SessionEvent[] =>
  bodies.map(
    (body, place) =>
      ({ ...body, id: ids[place] ?? newId(), sessionId, deviceId, seq: seq + place, atMs }) as SessionEvent,
  );
