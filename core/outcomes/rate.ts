import { RULES } from '../rules/catalogue';

/** How often something was seen per 1,000; where never, no more often than `atMost` says (rule OUT-7). */
export type Rate =
  | { kind: 'seen'; count: number; of: number; per1000: number; interval: { low: number; high: number } }
  | { kind: 'none'; of: number; atMostPer1000: number }
  | { kind: 'nothing-counted' };

const { per, tail, noneSeen } = RULES['OUT-7'].figures;

/**
 * A rate with its exact (Poisson) two-sided 95 % interval (rule OUT-7); of none seen, the one-sided bound 3/n.
 * @example 2 of 400: exact 0.2422 to 7.2247 //=> 5 per 1,000, 0.61 to 18.06
 */
export function ratePer(count: number, of: number): Rate {
  if (of === 0) return { kind: 'nothing-counted' };
  if (count === 0) return { kind: 'none', of, atMostPer1000: (per * noneSeen) / of };
  const scale = per / of;
  const { low, high } = poissonInterval(count);
  return {
    kind: 'seen',
    count,
    of,
    per1000: count * scale,
    interval: { low: low * scale, high: high * scale },
  };
}

/** Exact interval of a Poisson mean: where `count` or more, and `count` or fewer, become as rare as a tail. */
export function poissonInterval(count: number): { low: number; high: number } {
  const low = count === 0 ? 0 : solve((mean) => 1 - atMost(count - 1, mean), tail, count);
  const high = solve((mean) => 1 - atMost(count, mean), 1 - tail, 3 * count + 20);
  return { low, high };
}

/** The chance of `count` or fewer of a Poisson mean: added up from its likeliest number on, since e^−mean is 0 above some 740. */
function atMost(count: number, mean: number): number {
  const likeliest = Math.min(count, Math.floor(mean));
  const most = Math.exp(likeliest * Math.log(mean) - mean - logFactorial(likeliest));
  let sum = most;
  for (let [k, term] = [likeliest, most]; k > 0 && term > most * NOTHING; k -= 1) {
    term *= k / mean;
    sum += term;
  }
  for (let [k, term] = [likeliest + 1, most]; k <= count && term > most * NOTHING; k += 1) {
    term *= mean / k;
    sum += term;
  }
  return Math.min(1, sum);
}

/** A share of a sum that changes none of its digits. */
const NOTHING = 1e-18;
/** From here on Stirling's series is exact to more digits than are kept. */
const LARGE = 20;

/** ln(n!). @example logFactorial(5) //=> 4.787491742782046 */
function logFactorial(n: number): number {
  if (n < LARGE)
    return Array.from({ length: n }, (_, k) => Math.log(k + 1)).reduce((sum, one) => sum + one, 0);
  return n * Math.log(n) - n + Math.log(2 * Math.PI * n) / 2 + 1 / (12 * n) - 1 / (360 * n ** 3);
}

/** Where a rising function reaches a value between 0 and `most`, by halving. */
function solve(rising: (mean: number) => number, value: number, most: number): number {
  let [low, high] = [0, most];
  for (let i = 0; i < 80; i += 1) {
    const middle = (low + high) / 2;
    if (rising(middle) < value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
