import type { Derived, Step } from '../derivation/derived';
import { list, type Message, msg } from '../message/message';
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
  words: Message;
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
    ...trials.map((trial, index) => ({
      label: msg('Trial {index}', { index: index + 1 }),
      detail: trialWords(trial, school),
    })),
    {
      label: settledByMedian ? msg('Median') : msg('Mean'),
      detail:
        estimates.length > 1
          ? msg('{trials} → {valueMmHg} mmHg, range {rangeMmHg}', {
              trials: list(estimates, ', '),
              valueMmHg,
              rangeMmHg: toDecimals(rangeMmHg, 1),
            })
          : msg('{trials} → {valueMmHg} mmHg', { trials: list(estimates, ', '), valueMmHg }),
    },
    {
      label: msg('Uncertainty'),
      detail: msg('{terms} → U = {exact}, shown as ±{uncertaintyMmHg} mmHg', {
        terms: list(
          [
            msg('mean half-width {halfWidth}', { halfWidth: toDecimals(halfWidth, 2) }),
            gauge.errorMmHg
              ? msg('gauge division {divisionMmHg} and error {errorMmHg}', {
                  divisionMmHg: gauge.divisionMmHg,
                  errorMmHg: gauge.errorMmHg,
                })
              : msg('gauge division {divisionMmHg}', { divisionMmHg: gauge.divisionMmHg }),
            msg('n = {trials}', { trials: used.length }),
            msg('spread of this practice {spreadMmHg} by {degrees} repeats', {
              spreadMmHg: toDecimals(spreadMmHg(seen), 1),
              degrees: seen.degrees,
            }),
            ...(methodMmHg > 0
              ? [
                  msg('by {method} ±{methodMmHg} more (this app’s working assumption)', {
                    method: METHODS[method].label,
                    methodMmHg,
                  }),
                ]
              : []),
          ],
          ', ',
        ),
        exact: toDecimals(exactUncertainty, 2),
        uncertaintyMmHg,
      }),
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

function trialWords(trial: Trial, school: ReadingSchool): Message {
  const { goneMmHg, upMmHg, backMmHg, downMmHg } = trial;
  const result = bracket(trial);
  const ranges = msg('({a}, {b}] ∩ ({c}, {d}]', {
    a: goneMmHg - upMmHg,
    b: goneMmHg,
    c: backMmHg,
    d: backMmHg + downMmHg,
  });
  if (!result.consistent)
    return msg('{ranges} share nothing: not used. {words}', { ranges, words: result.words });
  if (school === 'first-silence')
    return msg('pulse gone at {goneMmHg}, give or take the whole step of {upMmHg}', { goneMmHg, upMmHg });
  if (school === 'first-return')
    return msg('pulse back at {backMmHg}, give or take the whole step of {downMmHg}', { backMmHg, downMmHg });
  const { low, high } = result.bracket;
  return msg('{ranges} = {low}–{high} → {middle}, a = {halfWidth}', {
    ranges,
    low,
    high,
    middle: (low + high) / 2,
    halfWidth: (high - low) / 2,
  });
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
  if (agree)
    return {
      next: 'enough',
      words: msg('{trials} trials within {rangeMmHg} mmHg: enough.', { trials: estimates.length, rangeMmHg }),
    };
  if (taken >= most) {
    if (estimates.length < 2)
      return {
        next: 'refit',
        words: msg('Only one of three trials can be used: re-fit the cuff and measure again.'),
      };
    const apartMmHg = toDecimals(closestMmHg(estimates), 1);
    return apartMmHg <= agreeWithinMmHg
      ? {
          next: 'enough',
          words: msg('The middle of three trials, two of them within {apartMmHg} mmHg: enough.', {
            apartMmHg,
          }),
        }
      : {
          next: 'refit',
          words: msg(
            'Unsteady: no two of the trials are within {agreeWithinMmHg} mmHg. Re-fit the cuff and measure again.',
            { agreeWithinMmHg },
          ),
        };
  }
  if (estimates.length >= 2) {
    return {
      next: 'another-trial',
      words: msg('The trials differ by {rangeMmHg} mmHg: take a third.', { rangeMmHg }),
    };
  }
  const single = Math.ceil(expandedUncertainty(estimates, terms));
  const centre = mean(estimates);
  const pair = Math.ceil(expandedUncertainty([centre, centre], terms));
  return {
    next: 'another-trial',
    words: msg('One trial is ±{single} mmHg; a second that agrees would make it ±{pair}.', { single, pair }),
  };
}
