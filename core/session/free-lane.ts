/**
 * The lowest lane of the floor that is not taken: a finished session leaves its lane to the next that begins (rule RUN-9).
 * @example freeLane(new Set([1, 3])) //=> 2
 */
export function freeLane(taken: { has: (lane: number) => boolean }): number {
  let lane = 1;
  while (taken.has(lane)) lane += 1;
  return lane;
}
