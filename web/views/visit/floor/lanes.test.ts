import { describe, expect, it } from 'vitest';
import { fold, mergeLogs } from '#core/session';
import type { LiveSession } from '../../../data/live-session';
import { testView } from '../../../data/session-view.fixture';
import { lanesOf } from './lanes';

/** A session that was opened at this minute. */
function session(clientName: string, lane: number | null, minute: number): LiveSession {
  const view = { ...testView([]), id: clientName, clientName, lane, openedAtMs: minute * 60_000 };
  const log = mergeLogs([]);
  return { id: view.id, plan: view.plan, view, log, state: fold(view.plan, log) };
}
const names = (sessions: readonly LiveSession[]) =>
  lanesOf(sessions).map(({ number, session: one }) => `${number} ${one?.view.clientName ?? '–'}`);

describe('the lanes of the floor (RUN-9)', () => {
  it('keep their numbers when others join, whatever the order they are given in', () => {
    expect(names([session('Bea', 2, 2), session('Ann', 1, 1)])).toEqual(['1 Ann', '2 Bea']);
    expect(names([session('Cem', 3, 0), session('Bea', 2, 2), session('Ann', 1, 1)])).toEqual([
      '1 Ann',
      '2 Bea',
      '3 Cem',
    ]);
  });

  it('stay empty where one has finished, and end with the last that is taken', () => {
    expect(names([session('Cem', 3, 3), session('Ann', 1, 1)])).toEqual(['1 Ann', '2 –', '3 Cem']);
    expect(names([session('Ann', 1, 1)])).toEqual(['1 Ann']);
    expect(names([])).toEqual([]);
  });

  it('give sessions of an earlier release the free ones, by when they were opened', () => {
    expect(names([session('Old', null, 0), session('Bea', 2, 5), session('Older', null, 1)])).toEqual([
      '1 Old',
      '2 Bea',
      '3 Older',
    ]);
  });
});
