import { expect, it } from 'vitest';
import { ACTION_IDS, ACTIONS, type Action, WHERE } from './actions';

const keysOf = ({ keys }: Action): string[] => keys.split(/[, ]/);

/** What is bound in two places that are never open together. */
const worksIn = (where: Action['where']): Action[] =>
  ACTION_IDS.map((id) => ACTIONS[id]).filter((action) => action.where === where);

it('gives every key one meaning where it works', () => {
  for (const where of Object.keys(WHERE) as Action['where'][]) {
    const bound = worksIn(where).flatMap(keysOf);
    expect([where, bound.length - new Set(bound).size]).toEqual([where, 0]);
  }
});

it('takes no key away from what works everywhere', () => {
  const everywhere = worksIn('everywhere').flatMap(keysOf);
  const elsewhere = ACTION_IDS.map((id) => ACTIONS[id]).filter(
    // Two in a moment stop a session; one lets a simulated cuff down or opens a lane, where nothing else is open.
    ({ where, keys }) => where !== 'everywhere' && keys !== 'esc' && keys !== 'enter',
  );
  expect(elsewhere.flatMap(keysOf).filter((key) => everywhere.includes(key))).toEqual([]);
});

it('writes every key as it is pressed, and says what it does', () => {
  for (const id of ACTION_IDS) {
    const { keys, written, words } = ACTIONS[id];
    expect([id, written.length > 0 && words.length > 0]).toEqual([id, true]);
    // A letter or a sign is drawn as it is bound.
    if (/^[a-z.?]$/.test(keys)) expect(written).toBe(keys.toUpperCase());
  }
});
