import { HOUSE, NO_FIGURES, percent, rule, seconds } from './rule';

export const occlusionPressureRules = {
  'LOP-1': rule({
    title: 'Limb occlusion pressure',
    level: 'method',
    source: HOUSE,
    by: 'occlusion-pressure/methods.ts checkMethod',
    figures: NO_FIGURES,
    words: () =>
      'The lowest cuff pressure that stops arterial flow to that limb, for that cuff, in that position. By handheld Doppler, palpated pulse, pulse oximeter trace (upper limb only, reacts late) or automatic pump.',
  }),
  'LOP-2': rule({
    title: 'Bracketing a trial',
    level: 'method',
    source: HOUSE,
    by: 'occlusion-pressure/trial.ts bracket',
    figures: { oneDirectionStepMmHg: { noteAbove: 10, refuseAbove: 20 } },
    words: ({ oneDirectionStepMmHg: { noteAbove, refuseAbove } }) =>
      `Inflate in steps until the pulse goes, deflate in steps until it is back. Rising: LOP lies in (gone − up, gone]. Falling: LOP lies in (back, back + down]. The estimate is the middle of what the two share; a is half its width. No shared range: the trial is inconsistent. A school of one direction states its reading with its whole step as a; a step over ${noteAbove} is noted, over ${refuseAbove} refused.`,
  }),
  'LOP-3': rule({
    title: 'How many trials',
    level: 'method',
    source: 'Uncertainty expanded with k = 2 in the manner of JCGM 100:2008 (GUM)',
    by: 'occlusion-pressure/estimate.ts estimateOcclusionPressure',
    figures: {
      trials: { most: 3, enough: 2, agreeWithinMmHg: 10, recoveryMs: 60_000 },
      coverage: 2,
      prior: { spreadMmHg: 10, worthTrials: 5 },
      methodMmHg: { doppler: 0, 'automatic-pump': 3, oximeter: 3, palpation: 4 },
    },
    words: ({ trials, coverage, prior, methodMmHg: m }) =>
      `Up to ${trials.most} trials, cuff fully deflated at least ${seconds(trials.recoveryMs)} s between. ${trials.enough} within ${trials.agreeWithinMmHg} mmHg suffice, otherwise one more. LOP is the mean; after ${trials.most} with a wider range it is the median, unsteady where no two are within ${trials.agreeWithinMmHg}. U = ${coverage}·√(a²⁄3n + s²⁄n + d²⁄twelve + m²), with a²⁄three where pressure is read in one direction and s²⁄two with the median; s² = (${prior.worthTrials}·${prior.spreadMmHg}² + S) ÷ (${prior.worthTrials} + f), with S and f the squares and the degrees of freedom within all measurements of the practice, this one too; m is ${m.doppler} mmHg for Doppler, ${m['automatic-pump']} for an automatic pump, ${m.oximeter} for an oximeter, ${m.palpation} for fingers, working assumptions of this app. U is rounded up to whole mmHg, LOP to the half.`,
  }),
  'LOP-4': rule({
    title: 'Each limb on its own',
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-limb.ts checkLimb',
    figures: NO_FIGURES,
    words: () => 'A pressure is never copied from left to right.',
  }),
  'LOP-5': rule({
    title: 'Position counts',
    level: 'hard',
    source: HOUSE,
    by: 'pressure/check-pressure.ts checkPosition',
    figures: { uprightAddsMmHg: { leg: 45, arm: 8 } },
    words: ({ uprightAddsMmHg: { leg, arm } }) =>
      `Lying, sitting and standing differ and rise in that order. Exercising more upright than measured: real restriction is lower than planned, and the true range reaches down by up to ${leg} mmHg for a thigh, ${arm} for an arm. More reclined than measured is refused: measure in that position. There is no automatic conversion.`,
  }),
  'LOP-6': rule({
    title: 'Shelf life of a pressure',
    level: 'hard',
    source: HOUSE,
    by: 'occlusion-pressure/shelf-life.ts reasonDue',
    figures: {
      shelfLifeDays: { 'every-session': 0.5, '7-days': 7, '10-days': 10, '4-weeks': 28, '8-weeks': 56 },
      girthChangeShare: 0.05,
    },
    words: ({ shelfLifeDays: days, girthChangeShare }) =>
      `A setting per person and limb: every session (within ${days['every-session']} of a day), ${days['7-days']} days, ${days['10-days']} days, ${days['4-weeks'] / 7} weeks or ${days['8-weeks'] / 7} weeks; ${days['4-weeks'] / 7} weeks by default, every session after an operation. A new cuff width, a position more reclined than measured, or a girth change over ${percent(girthChangeShare)} % makes it due at once.`,
  }),
  'LOP-7': rule({
    title: 'Is it plausible?',
    level: 'hard',
    source: 'Clin Orthop Relat Res 1993;286:257–261',
    by: 'occlusion-pressure/plausibility.ts checkPlausibility',
    figures: {
      expected: { baseMmHg: 67, perRatioMmHg: 16.67, widthsPerGirth: 3 },
      plausibleShare: 0.4,
      slimCuff: { girthToWidth: 8, plausibleShare: 0.6 },
      occlusionPressureMmHg: { checkAbove: 250, refuseAbove: 300 },
      quickCheck: { confirmWithinMmHg: 10, mostStepMmHg: 10, mostRenewals: 2 },
    },
    words: ({ expected, plausibleShare, slimCuff, occlusionPressureMmHg: mmHg, quickCheck: quick }) =>
      `Expected about DBP + (SBP − DBP) × girth ÷ (${expected.widthsPerGirth} × bladder width), or ${expected.baseMmHg} + ${expected.perRatioMmHg} × girth ÷ width where no resting pressure is known; a check only, never a prescription. Over ${percent(plausibleShare)} % away (${percent(slimCuff.plausibleShare)} % where girth ÷ width is above ${slimCuff.girthToWidth}), or above ${mmHg.checkAbove}: check overlap, zero and probe. Above ${mmHg.refuseAbove} is refused. A quick check within ±${quick.confirmWithinMmHg} of the stored LOP, in steps of ${quick.mostStepMmHg} or less, confirms it and renews its shelf life, at most ${quick.mostRenewals} times running: the middle of what it read is compared. Where the nearest end is further off, at any step, it contradicts, and the pressure is due until it is measured in full.`,
  }),
} as const;
