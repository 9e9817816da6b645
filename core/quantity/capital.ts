/** Words as a sentence begins. @example capital('left') //=> 'Left' */
export const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
