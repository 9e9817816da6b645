import { compileOnce } from '#language/render';

/** How much longer than English another language may be: a word for so many letters. */
const LETTERS_A_WORD = 16;
const WORD = ' ~~~~';

/**
 * A language of tests: every message in brackets and a third longer. What is outside of brackets is no message, and what is cut
 * has too little room for other languages.
 * @example compilePseudo('Fit') //=> ['⟦Fit ~~~~⟧']
 */
export const compilePseudo = (message: string): ReturnType<typeof compileOnce> =>
  compileOnce(`⟦${message}${WORD.repeat(Math.ceil(message.length / LETTERS_A_WORD))}⟧`);
