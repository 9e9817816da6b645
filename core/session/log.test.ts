import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SessionEvent } from './events';
import { mergeLogs } from './log';
import { logOf } from './session.fixture';

const [first] = logOf([[1, { type: 'session-started' }]]);
const event = (changes: Partial<SessionEvent>): SessionEvent =>
  ({ ...(first ?? expect.unreachable()), ...changes }) as SessionEvent;
const ids = (...events: SessionEvent[]) => mergeLogs(events).map(({ id }) => id);

describe('the one order of a log', () => {
  it('is by time, then by what comes first in the same moment, then by device, sequence and id', () => {
    const atOnce = [
      event({ id: 'late', atMs: 9 }),
      event({ id: 'z', deviceId: 'a', seq: 2, atMs: 5 }),
      event({ id: 'b', deviceId: 'b', seq: 1, atMs: 5 }),
      event({ id: 'y', deviceId: 'a', seq: 1, atMs: 5 }),
      event({ id: 'x', deviceId: 'a', seq: 1, atMs: 5 }),
    ];
    const inOrder = ['x', 'y', 'z', 'b', 'late'];
    expect(ids(...atOnce)).toEqual(inOrder);
    expect(ids(...[...atOnce].reverse())).toEqual(inOrder);
    const finished = event({ id: 'a', type: 'session-finished', atMs: 5 } as Partial<SessionEvent>);
    expect(ids(finished, event({ id: 'b', atMs: 5 }))).toEqual(['b', 'a']);
  });

  it('has each id once, the first that came, whatever the parts and their order', () => {
    const twice = mergeLogs([event({ id: 'a', seq: 1 })], [event({ id: 'a', seq: 7 })]);
    expect(twice.map(({ seq }) => seq)).toEqual([1]);
    const some = Array.from({ length: 12 }, (_, place) =>
      event({ id: `e${place}`, seq: place % 3, atMs: place % 4, deviceId: place % 2 ? 'a' : 'b' }),
    );
    fc.assert(
      fc.property(fc.shuffledSubarray(some, { minLength: 12 }), fc.nat(11), (shuffled, cut) => {
        expect(mergeLogs(shuffled.slice(0, cut), shuffled.slice(cut), shuffled)).toEqual(mergeLogs(some));
      }),
    );
  });
});
