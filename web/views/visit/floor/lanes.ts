import { freeLane } from '#core/session';
import type { LiveSession } from '../../../data/live-session';

/** A lane of the floor by its number, which is its key; without a session while it waits for the next one. */
export type Lane = { number: number; session: LiveSession | null };

/**
 * The lanes from the first to the last that is taken. A session has its lane for as long as it runs; one of an earlier release has none of its
 * own, and takes a free one in the order of opening (rule RUN-9).
 */
export function lanesOf(sessions: readonly LiveSession[]): Lane[] {
  const byNumber = new Map<number, LiveSession>();
  const waiting: LiveSession[] = [];
  for (const session of sessions.toSorted((a, b) => a.view.openedAtMs - b.view.openedAtMs)) {
    const { lane } = session.view;
    if (lane === null || byNumber.has(lane)) waiting.push(session);
    else byNumber.set(lane, session);
  }
  for (const session of waiting) byNumber.set(freeLane(byNumber), session);
  const last = Math.max(0, ...byNumber.keys());
  return Array.from({ length: last }, (_, place) => ({
    number: place + 1,
    session: byNumber.get(place + 1) ?? null,
  }));
}
