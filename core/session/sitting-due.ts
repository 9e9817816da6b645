import type { PlannedAdjunct } from '../protocol/adjunct';
import type { SessionState } from './state';

/**
 * What of the sitting is planned and was not noted yet, in its order.
 * @example sittingDue([{ when: 'before', what: 'mobility', words: 'hips' }], state) //=> [] once that was noted
 */
export const sittingDue = (
  sitting: readonly PlannedAdjunct[] | undefined,
  state: Pick<SessionState, 'adjuncts' | 'sets'>,
): PlannedAdjunct[] => (sitting ?? []).filter((one, place, all) => !isDone(one, all.slice(0, place), state));

/** Whether what was planned was noted, on its side of the work; of heavy lifts as many as were planned before it, and one. */
function isDone(
  one: PlannedAdjunct,
  earlier: readonly PlannedAdjunct[],
  { adjuncts, sets }: Pick<SessionState, 'adjuncts' | 'sets'>,
): boolean {
  const workFromMs = sets[0]?.startedAtMs ?? Number.POSITIVE_INFINITY;
  const isOnSide = ({ atMs }: { atMs: number }) => atMs < workFromMs === (one.when === 'before');
  const noted = adjuncts.filter(({ what }) => what === one.what);
  if (one.what === 'heavy-lift') {
    const before = earlier.filter(({ what, when }) => what === one.what && when === one.when).length;
    return noted.filter(isOnSide).length > before;
  }
  if (one.what === 'provoking-test') return noted.some(isOnSide);
  return noted.some((said) => said.words === one.words && (one.what !== 'swelling' || isOnSide(said)));
}
