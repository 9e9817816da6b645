import { type Message, msg } from '../message/message';
/** Figures of a rule by name; times in ms and shares of 1, where their names say so. */
export type Figures = { readonly [name: string]: number | Figures };

/**
 * One rule of the practice.
 * - `hard`: cannot be exceeded by anyone
 * - `guard`: needs a clinician, a reason and an audit entry
 * - `note`: informs
 * - `method`: says how a number is made
 */
type Definition<F extends Figures> = {
  title: Message;
  level: 'hard' | 'guard' | 'note' | 'method';
  source: Message;
  /** Where it is computed: a file of the core and the function in it. */
  by: `${string}.ts ${string}`;
  /** The only place where its numbers are: the function takes them from here, and so does the sentence. */
  figures: F;
  words: (figures: F) => Message;
};

export type Rule<F extends Figures = Figures> = Definition<F> & { text: Message };

/** A rule with its sentence made from its figures. */
export const rule = <const F extends Figures>(definition: Definition<F>): Rule<F> => ({
  ...definition,
  text: definition.words(definition.figures),
});

/** For rules whose words carry no figure. */
export const NO_FIGURES = {} as const;

/** Where a rule is the house's own working rule rather than one published method. */
export const HOUSE = msg('Nervato house rule; local policy and licensed practice come first');

// Figures are kept in the unit they are computed in; sentences say them in the one people use.
export const seconds = (ms: number): number => ms / 1000;
export const minutes = (ms: number): number => ms / 60_000;
export const percent = (share: number): number => Math.round(share * 1e6) / 1e4;
