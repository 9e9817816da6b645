/** Escapes of JSON that no text can be stored with: U+0000, and halves of a letter of two, each without the other. */
const UNSTORABLE = [
  /(?<!\\)(?:\\\\)*\\u0000/,
  /(?<!\\)(?:\\\\)*\\u[dD][89abAB][0-9a-fA-F]{2}(?!\\u[dD][c-fC-F][0-9a-fA-F]{2})/,
  /(?<!\\u[dD][89abAB][0-9a-fA-F]{2})(?<!\\)(?:\\\\)*\\u[dD][c-fC-F][0-9a-fA-F]{2}/,
];

/**
 * Whether what a JSON text says can be stored as it is: the database ends a text at U+0000, and half a letter is none.
 * @example isStorable('"Ada\\u0000"') //=> false
 */
export const isStorable = (json: string): boolean =>
  !json.includes('\u0000') && (!json.includes('\\u') || !UNSTORABLE.some((broken) => broken.test(json)));
