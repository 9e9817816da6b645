import type { Turn } from '../course/turn';
import type { Link } from './link';

/** The standing of a person today: may train now, is asked how the last session was, needs one thing first, is held, or has another day. */
export type Standing = 'ready' | 'ask' | 'first' | 'held' | 'later';

/** As the day asks: who may train now, who is asked, who needs something; last who has another day. */
export const BY_NEED: readonly Standing[] = ['ready', 'ask', 'first', 'held', 'later'];

/**
 * The standing of a person today, and the link that says why: the first that does not hold, else Run.
 * @param next the plan whose turn it is; null without one
 * @example standingOf({ chain: [{ id: 'measure', state: 'due', … }], next: null }).standing //=> 'first'
 */
export function standingOf({ chain, next }: { chain: readonly Link[]; next: { turn: Turn } | null }): {
  standing: Standing;
  link: Link | undefined;
} {
  const link = chain.find(({ state }) => state !== 'good') ?? chain.find(({ id }) => id === 'run');
  if (link?.state === 'held') return { standing: 'held', link };
  if (link && link.state !== 'good') {
    // Nothing was run yet, and nothing is in its way.
    const neverRun = link.id === 'run' && link.state === 'missing';
    if (!neverRun) return { standing: link.rules.includes('RUN-6') ? 'ask' : 'first', link };
  }
  return { standing: (next?.turn.inDays ?? 0) > 0 ? 'later' : 'ready', link };
}
