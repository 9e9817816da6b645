/** The first letters of a name: all that a locked screen shows. @example initialsOf('Ines Marrable') //=> 'IM' */
export const initialsOf = (name: string): string =>
  name
    .trim()
    .split(/\s+/)
    .slice(0, 3)
    .map((word) => [...word][0] ?? '')
    .join('')
    .toUpperCase();
