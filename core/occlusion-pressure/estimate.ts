import type { Derived, Step } from '../derivation/derived';
import { tidy, toDecimals } from '../quantity/rounding';
import { mean, median, spread } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { METHODS, type PulseMethod } from './methods';
import { bracket, type ReadingSchool, readTrial, type Trial } from './trial';

// The spread a careful operator shows from trial to trial, and how many trials that belief is worth (LOP-3).
const { prior: PRIOR, coverage: COVERAGE } = RULES['LOP-3'].figures;

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

/**
 * Expanded uncertainty (about 95 % coverage) of a mean of trials, in mmHg, before rounding (rule LOP-3).
 * @param estimatesMmHg one estimate a trial; at least one
 * @param meanHalfWidthMmHg mean half-width of the trials' brackets
 * @param gaugeDivisionMmHg smallest division of the gauge
 * @param methodMmHg the method's own standard uncertainty
 * @example two trials of 174, a = 2, division 2, Doppler //=> 6.5, kept as 7
 */
export function expandedUncertainty(
  estimatesMmHg: readonly number[],
  meanHalfWidthMmHg: number,
  gaugeDivisionMmHg: number,
  methodMmHg: number,
): number {
  const n = estimatesMmHg.length;
  const centre = mean(estimatesMmHg);
  const squares = estimatesMmHg.reduce((sum, x) => sum + (x - centre) ** 2, 0);
  const variance = (PRIOR.worthTrials * PRIOR.spreadMmHg ** 2 + squares) / (PRIOR.worthTrials + n - 1);
  return (
    COVERAGE *
    Math.sqrt(meanHalfWidthMmHg ** 2 / (3 * n) + variance / n + gaugeDivisionMmHg ** 2 / 12 + methodMmHg ** 2)
  );
}

/**
 * Limb occlusion pressure from up to three trials (rules LOP-2, LOP-3).
 * @param trials in the order taken; inconsistent ones are kept out of the number and named in the working
 * @param gaugeDivisionMmHg smallest division of the gauge, in mmHg
 * @returns the estimate, or `null` while no trial is consistent
 * @throws RangeError for more than three trials
 */
export function estimateOcclusionPressure(
  trials: readonly Trial[],
  gaugeDivisionMmHg: number,
  school: ReadingSchool = 'bracket',
  method: PulseMethod = 'doppler',
): Estimate | null {
  const methodMmHg = METHODS[method].uncertaintyMmHg;
  if (trials.length > RULES['LOP-3'].figures.trials.most) {
    throw new RangeError(
      `At most ${RULES['LOP-3'].figures.trials.most} trials make one measurement, got ${trials.length}.`,
    );
  }
  const read = trials.map((trial) => readTrial(trial, school));
  const used = read.filter((reading) => reading !== null);
  if (used.length === 0) return null;

  const estimates = used.map((reading) => reading.estimateMmHg);
  const rangeMmHg = spread(estimates);
  const steady = rangeMmHg <= RULES['LOP-3'].figures.trials.agreeWithinMmHg;
  const settledByMedian = used.length === RULES['LOP-3'].figures.trials.most && !steady;
  const valueMmHg = toHalf(settledByMedian ? median(estimates) : mean(estimates));
  const halfWidth = mean(used.map((reading) => reading.halfWidthMmHg));
  const exactUncertainty = expandedUncertainty(estimates, halfWidth, gaugeDivisionMmHg, methodMmHg);
  const uncertaintyMmHg = Math.ceil(toDecimals(exactUncertainty, 6));

  const working: Step[] = [
    ...trials.map((trial, index) => ({ label: `Trial ${index + 1}`, detail: trialWords(trial, school) })),
    {
      label: settledByMedian ? 'Median' : 'Mean',
      detail: `${estimates.join(', ')} → ${valueMmHg} mmHg${estimates.length > 1 ? `, range ${toDecimals(rangeMmHg, 1)}` : ''}`,
    },
    {
      label: 'Uncertainty',
      detail: `mean half-width ${toDecimals(halfWidth, 2)}, gauge division ${gaugeDivisionMmHg}, n = ${used.length}${methodMmHg > 0 ? `, by ${METHODS[method].label} ±${methodMmHg} more (this app’s working assumption)` : ''} → U = ${toDecimals(exactUncertainty, 2)}, shown as ±${uncertaintyMmHg} mmHg`,
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
    advice: adviseTrial(trials.length, estimates, gaugeDivisionMmHg, halfWidth, methodMmHg),
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

function adviseTrial(
  taken: number,
  estimates: readonly number[],
  gaugeDivisionMmHg: number,
  halfWidth: number,
  methodMmHg: number,
): TrialAdvice {
  const { most, enough, agreeWithinMmHg } = RULES['LOP-3'].figures.trials;
  const rangeMmHg = toDecimals(spread(estimates), 1);
  const agree = estimates.length >= enough && rangeMmHg <= agreeWithinMmHg;
  if (agree) return { next: 'enough', words: `${estimates.length} trials within ${rangeMmHg} mmHg: enough.` };
  if (taken >= most) {
    return estimates.length < 2
      ? { next: 'refit', words: 'Only one of three trials can be used: re-fit the cuff and measure again.' }
      : {
          next: 'refit',
          words: `Unsteady: three trials range over ${rangeMmHg} mmHg. Re-fit the cuff and measure again.`,
        };
  }
  if (estimates.length >= 2) {
    return { next: 'another-trial', words: `The trials differ by ${rangeMmHg} mmHg: take a third.` };
  }
  const single = Math.ceil(expandedUncertainty(estimates, halfWidth, gaugeDivisionMmHg, methodMmHg));
  const centre = mean(estimates);
  const pair = Math.ceil(expandedUncertainty([centre, centre], halfWidth, gaugeDivisionMmHg, methodMmHg));
  return {
    next: 'another-trial',
    words: `One trial is ±${single} mmHg; a second that agrees would make it ±${pair}.`,
  };
}
