/** How a wrap without marks lies: what its tension was, in words; how many turns is its mark (rule TIGHT). */
export type Wrapped = { tension: string };

/** Where a strap or wrap is tightened to: a printed mark, or turns at a tension. */
export type AtMark = { mark: number; wrapped?: Wrapped | undefined };

/**
 * @example markWords({ mark: 6 }) //=> 'mark 6'
 * @example markWords({ mark: 4, wrapped: { tension: 'stretched by half' } }) //=> '4 turns, stretched by half'
 */
export const markWords = ({ mark, wrapped }: AtMark): string =>
  wrapped ? `${mark} ${mark === 1 ? 'turn' : 'turns'}, ${wrapped.tension}` : `mark ${mark}`;

/** What one step of what is worn is called. */
export const stepName = (target: object): string => ('wrapped' in target && target.wrapped ? 'turn' : 'mark');
