import type { StrengthFact } from '#core/strength';

/** What a 1RM is of. */
type Tested = Pick<StrengthFact, 'exerciseId' | 'side'>;

/** Whether two tests are of the same exercise on the same side. */
export const sameTest = (a: Tested, b: Tested): boolean => a.exerciseId === b.exerciseId && a.side === b.side;
