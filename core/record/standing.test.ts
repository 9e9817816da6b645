import { describe, expect, it } from 'vitest';
import { msg } from '../message/message';
import { LINK_IDS, type LinkId, type LinkState } from './link';
import { standingOf } from './standing';

const chain = (states: Partial<Record<LinkId, LinkState>> = {}) =>
  LINK_IDS.map((id) => ({
    id,
    state: states[id] ?? ('good' as const),
    figure: '',
    reason: msg('{id}', { id }),
    rules: [],
  }));
const inDays = (days: number | null) => ({ turn: { inDays: days, why: msg('Not yet today.') } });
const standing = (states: Parameters<typeof chain>[0], days: number | null = 0) => {
  const { standing, link } = standingOf({ chain: chain(states), next: inDays(days) });
  return [standing, link?.id];
};

describe('the standing of a person today', () => {
  it('is ready where all holds and it is their day, and later where it is not', () => {
    expect([standing({}), standing({}, null), standing({}, -2), standing({}, 2)]).toEqual([
      ['ready', 'run'],
      ['ready', 'run'],
      ['ready', 'run'],
      ['later', 'run'],
    ]);
    expect(standing({ run: 'missing' })).toEqual(['ready', 'run']);
  });

  it('is the first link that does not hold, whatever the day', () => {
    expect(standing({ measure: 'due', prescribe: 'missing' }, 3)).toEqual(['first', 'measure']);
    expect(standing({ screen: 'missing' })).toEqual(['first', 'screen']);
    expect(standing({ run: 'due' })).toEqual(['first', 'run']);
  });

  it('is asked how the last session was, once nothing else is in the way', () => {
    const asking = chain({ run: 'due' }).map((link) =>
      link.id === 'run' ? { ...link, rules: ['RUN-6' as const] } : link,
    );
    expect(standingOf({ chain: asking, next: null }).standing).toBe('ask');
    const unmeasured = asking.map((link) =>
      link.id === 'measure' ? { ...link, state: 'due' as const } : link,
    );
    expect(standingOf({ chain: unmeasured, next: null }).link?.id).toBe('measure');
  });

  it('is held where that link is', () => {
    expect(standing({ screen: 'held', measure: 'due' })).toEqual(['held', 'screen']);
    expect(standing({ run: 'held' })).toEqual(['held', 'run']);
    expect(standing({ measure: 'due', run: 'held' })).toEqual(['first', 'measure']);
  });
});
