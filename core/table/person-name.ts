/**
 * A name as it is said, of one that has the last name first.
 * @example personOf('Sandersby, Quill') //=> 'Quill Sandersby'
 * @example personOf('Quill Sandersby') //=> 'Quill Sandersby'
 */
export function personOf(text: string): string {
  const [last = '', first = '', ...others] = text.split(',').map((part) => part.trim().replace(/\s+/g, ' '));
  return others.length > 0 || last === '' || first === ''
    ? text.trim().replace(/\s+/g, ' ')
    : `${first} ${last}`;
}
