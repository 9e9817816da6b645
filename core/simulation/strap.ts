import { normal, type Random } from './random';

/** Of the simulated wearer: at rest, and in light work under a cuff, in beats a minute. */
const AT = { rest: 68, work: 116 };
/** How quickly a heart follows what is asked of it, in s. */
const FOLLOWS_S = 40;
const SPREAD = 0.8;

/**
 * The next reading of a simulated chest strap: it follows work and rest with some delay, and trembles.
 * @param before the reading before, in beats a minute; null for the first @param seconds since then
 */
export function nextHeartRate(
  before: number | null,
  isWorking: boolean,
  seconds: number,
  random: Random,
): number {
  const from = before ?? AT.rest;
  const to = isWorking ? AT.work : AT.rest;
  return to + (from - to) * Math.exp(-seconds / FOLLOWS_S) + SPREAD * normal(random) * Math.sqrt(seconds);
}
