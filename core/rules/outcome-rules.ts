import { length, msg } from '../message/message';
import { HOUSE, NO_FIGURES, percent, rule } from './rule';

export const outcomeRules = {
  'OUT-1': rule({
    title: msg('Measures'),
    level: 'method',
    source: HOUSE,
    by: 'outcomes/taken.ts checkTaken',
    figures: { girthErrorCm: 0.5, painError: 0.7 },
    words: ({ girthErrorCm, painError }) =>
      msg(
        'Each measure has its unit, the direction that is better, how it is taken, and its error: {girthErrorCm} of a girth, {painError} of a pain, others as set. They are working assumptions of this app until the practice’s own repeats say better.',
        { girthErrorCm: length(girthErrorCm), painError },
      ),
  }),
  'OUT-2': rule({
    title: msg('Change against error'),
    level: 'method',
    source: HOUSE,
    by: 'outcomes/verdict.ts verdict',
    figures: { z95: 1.96, fewestPairs: 8, probablyFrom: 0.75, sizeFromDay: 21 },
    words: ({ z95, fewestPairs, probablyFrom, sizeFromDay }) =>
      msg(
        'A change is real from {z95} times the error of both occasions on, and probable from a chance of {probablyFrom} % on. The error comes from the practice’s own repeats when there are {fewestPairs} pairs or more, else from the default; errors in % are of the first value. Of size nothing is said before day {sizeFromDay}.',
        { z95, probablyFrom: percent(probablyFrom), fewestPairs, sizeFromDay },
      ),
  }),
  'OUT-3': rule({
    title: msg('Symmetry'),
    level: 'method',
    source: HOUSE,
    by: 'outcomes/symmetry.ts symmetry',
    figures: NO_FIGURES,
    words: () => msg('Weaker ÷ stronger with its interval on the log scale, by the errors of both sides.'),
  }),
  'OUT-4': rule({
    title: msg('When to test'),
    level: 'note',
    source: HOUSE,
    by: 'outcomes/test-calendar.ts testsDue',
    figures: { baselineDays: 14, midwayLeadDays: 3, restDays: 3, followUpDays: 28 },
    words: ({ baselineDays, midwayLeadDays, restDays, followUpDays }) =>
      msg(
        'Each measure of a person is taken in the {baselineDays} days before a block, from {midwayLeadDays} days before its middle on, {restDays} days or more after its last session, and {followUpDays} days after it as a follow-up.',
        { baselineDays, midwayLeadDays, restDays, followUpDays },
      ),
  }),
  'OUT-5': rule({
    title: msg('Responders'),
    level: 'note',
    source: HOUSE,
    by: 'outcomes/responders.ts respondersOf',
    figures: { fromWeeks: 6, fromShare: 0.8 },
    words: ({ fromWeeks, fromShare }) =>
      msg(
        'People are ordered by how sure their gain is, each with its interval. Where {fromWeeks} weeks or more with {fromShare} % of the sessions show no real gain, the advice is to stop or to change one thing.',
        { fromWeeks, fromShare: percent(fromShare) },
      ),
  }),
  'OUT-6': rule({
    title: msg('Dose and effect'),
    level: 'method',
    source: HOUSE,
    by: 'outcomes/add-up.ts addUp',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Sessions, minutes, %LOP·min, sets a muscle and week, effort and pain are on one time axis with the measure. A set of two limbs counts once for the person, and half its volume for each limb.',
      ),
  }),
  'OUT-7': rule({
    title: msg('Surveillance'),
    level: 'method',
    source: HOUSE,
    by: 'outcomes/rate.ts ratePer',
    figures: { per: 1000, tail: 0.025, noneSeen: 3 },
    words: ({ per, tail, noneSeen }) =>
      msg(
        'Signs and next-day answers are rates per {per} cuff inflations with exact intervals, {tail} % in each tail. Where none was seen of n, it is said as at most {noneSeen}/n.',
        { per, tail: percent(tail), noneSeen },
      ),
  }),
} as const;
