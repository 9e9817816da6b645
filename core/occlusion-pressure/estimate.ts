import type { Derived, Step } from '../derivation/derived';
import { tidy, toDecimals } from '../quantity/rounding';
import { mean, median, spread } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { METHODS, type PulseMethod } from './methods';
import { addSpread, NOTHING_SEEN, type Spread, spreadOf } from './practice-spread';
import { bracket, type ReadingSchool, readTrial, type Trial } from './trial';

// The spread from trial to trial that is reckoned with at first, and how many trials that belief is worth (LOP-3).
const { prior: PRIOR, coverage: COVERAGE, trials: TRIALS } = RULES['LOP-3'].figures;

/** What to do next at the plinth, judged by rule LOP-3. */
export type TrialAdvice = {
  next: 'first-trial' | 'another-trial' | 'enough' | 'refit';
  words: string;
};

/** A limb occlusion pressure in mmHg with its expanded uncertainty and what the trials say to do next. */
export type Estimate = {
  pressure: Derived;
  uncertaintyMmHg: number;
  steady: boolean;
  trialsUsed: number;
  advice: TrialAdvice;
};

/** A gauge: its smallest division, and what it was wrong by where it was compared with a reference, in mmHg (rule FIT-2). */
export type Gauge = { divisionMmHg: number; errorMmHg?: number | undefined };

/** What the uncertainty of a pressure depends on, beside its trials. */
export type Terms = {
  /** Mean half-width of the trials' brackets, in mmHg. */
  halfWidthMmHg: number;
  /** Read in one direction: the same part of the step is missing in every trial, and no mean takes it away. */
  isOneWay: boolean;
  gauge: Gauge;
  /** The method's own standard uncertainty, in mmHg. */
  methodMmHg: number;
  /** What this practice has seen so far, without these trials. */
  practice: Spread;
};

/** The practice's own spread, in mmHg, with these trials, beginning from a prior (rule LOP-3). */
const spreadMmHg = ({ squares, degrees }: Spread): number =>
  Math.sqrt((PRIOR.worthTrials * PRIOR.spreadMmHg ** 2 + squares) / (PRIOR.worthTrials + degrees));

const isSettledByMedian = (estimatesMmHg: readonly number[]): boolean =>
  estimatesMmHg.length === TRIALS.most && spread(estimatesMmHg) > TRIALS.agreeWithinMmHg;

/**
 * Expanded uncertainty (about 95 % coverage) of a pressure from its trials, in mmHg, before rounding (rule LOP-3).
 * @param estimatesMmHg one estimate a trial; at least one
 * @example two trials of 174, a = 2, division 2, Doppler, nothing seen before //=> 13.07, kept as 14
 */
export function expandedUncertainty(
  estimatesMmHg: readonly number[],
  { halfWidthMmHg, isOneWay, gauge, methodMmHg, practice }: Terms,
): number {
  const n = estimatesMmHg.length;
  const s = spreadMmHg(addSpread(practice, spreadOf(estimatesMmHg)));
  const reading = halfWidthMmHg ** 2 / (isOneWay ? 3 : 3 * n);
  // Of three that disagree one counts, and the other two say which.
  const repeating = s ** 2 / (isSettledByMedian(estimatesMmHg) ? 2 : n);
  const ofGauge = gauge.divisionMmHg ** 2 / 12 + (gauge.errorMmHg ?? 0) ** 2 / 3;
  return COVERAGE * Math.sqrt(reading + repeating + ofGauge + methodMmHg ** 2);
}

/**
 * Limb occlusion pressure from up to three trials (rules LOP-2, LOP-3).
 * @param trials in the order taken; inconsistent ones are kept out of the number and named in the working
 * @param practice what this practice has seen so far, without these trials
 * @returns the estimate, or `null` while no trial is consistent
 * @throws RangeError for more than three trials
 */
export function estimateOcclusionPressure(
  trials: readonly Trial[],
  gauge: Gauge,
  school: ReadingSchool = 'bracket',
  method: PulseMethod = 'doppler',
  practice: Spread = NOTHING_SEEN,
): Estimate | null {
  const methodMmHg = METHODS[method].uncertaintyMmHg;
  if (trials.length > TRIALS.most) {
    throw new RangeError(`At most ${TRIALS.most} trials make one measurement, got ${trials.length}.`);
  }
  const read = trials.map((trial) => readTrial(trial, school));
  const used = read.filter((reading) => reading !== null);
  if (used.length === 0) return null;

  const estimates = used.map((reading) => reading.estimateMmHg);
  const rangeMmHg = spread(estimates);
  const steady = estimates.length < 2 || closestMmHg(estimates) <= TRIALS.agreeWithinMmHg;
  const settledByMedian = isSettledByMedian(estimates);
  const valueMmHg = toHalf(settledByMedian ? median(estimates) : mean(estimates));
  const halfWidth = mean(used.map((reading) => reading.halfWidthMmHg));
  const terms: Terms = {
    halfWidthMmHg: halfWidth,
    isOneWay: school !== 'bracket',
    gauge,
    methodMmHg,
    practice,
  };
  const exactUncertainty = expandedUncertainty(estimates, terms);
  const seen = addSpread(practice, spreadOf(estimates));
  const uncertaintyMmHg = Math.ceil(toDecimals(exactUncertainty, 6));

  const working: Step[] = [
    ...trials.map((trial, index) => ({ label: `Trial ${index + 1}`, detail: trialWords(trial, school) })),
    {
      label: settledByMedian ? 'Median' : 'Mean',
      detail: `${estimates.join(', ')} → ${valueMmHg} mmHg${estimates.length > 1 ? `, range ${toDecimals(rangeMmHg, 1)}` : ''}`,
    },
    {
      label: 'Uncertainty',
      detail: `mean half-width ${toDecimals(halfWidth, 2)}, gauge division ${gauge.divisionMmHg}${gauge.errorMmHg ? ` and error ${gauge.errorMmHg}` : ''}, n = ${used.length}, spread of this practice ${toDecimals(spreadMmHg(seen), 1)} by ${seen.degrees} repeats${methodMmHg > 0 ? `, by ${METHODS[method].label} ±${methodMmHg} more (this app’s working assumption)` : ''} → U = ${toDecimals(exactUncertainty, 2)}, shown as ±${uncertaintyMmHg} mmHg`,
    },
  ];
  return {
    pressure: {
      value: valueMmHg,
      unit: 'mmHg',
      interval: { low: valueMmHg - uncertaintyMmHg, high: valueMmHg + uncertaintyMmHg },
      working,
      rules: ['LOP-2', 'LOP-3'],
    },
    uncertaintyMmHg,
    steady,
    trialsUsed: used.length,
    advice: adviseTrial(trials.length, estimates, terms),
  };
}

/** Rounded to half a mmHg; a tie goes down (rule LOP-3). @example toHalf(174.25) //=> 174 */
export const toHalf = (mmHg: number): number => Math.ceil(tidy(2 * mmHg - 0.5)) / 2;

function trialWords(trial: Trial, school: ReadingSchool): string {
  const { goneMmHg, upMmHg, backMmHg, downMmHg } = trial;
  const result = bracket(trial);
  const ranges = `(${goneMmHg - upMmHg}, ${goneMmHg}] ∩ (${backMmHg}, ${backMmHg + downMmHg}]`;
  if (!result.consistent) return `${ranges} share nothing: not used. ${result.words}`;
  if (school === 'first-silence')
    return `pulse gone at ${goneMmHg}, give or take the whole step of ${upMmHg}`;
  if (school === 'first-return')
    return `pulse back at ${backMmHg}, give or take the whole step of ${downMmHg}`;
  const { low, high } = result.bracket;
  return `${ranges} = ${low}–${high} → ${(low + high) / 2}, a = ${(high - low) / 2}`;
}

/** How far apart the two are that are nearest to each other, in mmHg; endless of fewer than two. */
function closestMmHg(estimatesMmHg: readonly number[]): number {
  const sorted = [...estimatesMmHg].sort((a, b) => a - b);
  return Math.min(...sorted.map((one, place) => (sorted[place + 1] ?? Number.POSITIVE_INFINITY) - one));
}

function adviseTrial(taken: number, estimates: readonly number[], terms: Terms): TrialAdvice {
  const { most, enough, agreeWithinMmHg } = TRIALS;
  const rangeMmHg = toDecimals(spread(estimates), 1);
  const agree = estimates.length >= enough && rangeMmHg <= agreeWithinMmHg;
  if (agree) return { next: 'enough', words: `${estimates.length} trials within ${rangeMmHg} mmHg: enough.` };
  if (taken >= most) {
    if (estimates.length < 2)
      return {
        next: 'refit',
        words: 'Only one of three trials can be used: re-fit the cuff and measure again.',
      };
    const apartMmHg = toDecimals(closestMmHg(estimates), 1);
    return apartMmHg <= agreeWithinMmHg
      ? { next: 'enough', words: `The middle of three trials, two of them within ${apartMmHg} mmHg: enough.` }
      : {
          next: 'refit',
          words: `Unsteady: no two of the trials are within ${agreeWithinMmHg} mmHg. Re-fit the cuff and measure again.`,
        };
  }
  if (estimates.length >= 2) {
    return { next: 'another-trial', words: `The trials differ by ${rangeMmHg} mmHg: take a third.` };
  }
  const single = Math.ceil(expandedUncertainty(estimates, terms));
  const centre = mean(estimates);
  const pair = Math.ceil(expandedUncertainty([centre, centre], terms));
  return {
    next: 'another-trial',
    words: `One trial is ±${single} mmHg; a second that agrees would make it ±${pair}.`,
  };
}
