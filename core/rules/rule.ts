/**
 * One rule of the practice.
 * - `hard`: cannot be exceeded by anyone
 * - `guard`: needs a clinician, a reason and an audit entry
 * - `note`: informs
 * - `method`: says how a number is made
 */
export type Rule = {
  title: string;
  text: string;
  level: 'hard' | 'guard' | 'note' | 'method';
  source: string;
};

/** Where a rule is the house's own working rule rather than one published method. */
export const HOUSE = 'Nervato house rule; local policy and licensed practice come first';
