import { msg, only } from '../message/message';
import { HOUSE, NO_FIGURES, percent, rule, seconds } from './rule';

export const occlusionPressureRules = {
  'LOP-1': rule({
    title: msg('Limb occlusion pressure'),
    level: 'method',
    source: HOUSE,
    by: 'occlusion-pressure/methods.ts checkMethod',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'The lowest cuff pressure that stops arterial flow to that limb, for that cuff, in that position. By handheld Doppler, palpated pulse, pulse oximeter trace (upper limb only, reacts late) or automatic pump.',
      ),
  }),
  'LOP-2': rule({
    title: msg('Bracketing a trial'),
    level: 'method',
    source: HOUSE,
    by: 'occlusion-pressure/trial.ts bracket',
    figures: { oneDirectionStepMmHg: { noteAbove: 10, refuseAbove: 20 } },
    words: ({ oneDirectionStepMmHg: { noteAbove, refuseAbove } }) =>
      msg(
        'Inflate in steps until the pulse goes, deflate in steps until it is back. Rising: LOP lies in (gone − up, gone]. Falling: LOP lies in (back, back + down]. The estimate is the middle of what the two share; a is half its width. No shared range: the trial is inconsistent. A school of one direction states its reading with its whole step as a; a step over {noteAbove} is noted, over {refuseAbove} refused.',
        { noteAbove, refuseAbove },
      ),
  }),
  'LOP-3': rule({
    title: msg('How many trials'),
    level: 'method',
    source: only('Uncertainty expanded with k = 2 in the manner of JCGM 100:2008 (GUM)'),
    by: 'occlusion-pressure/estimate.ts estimateOcclusionPressure',
    figures: {
      trials: { most: 3, enough: 2, agreeWithinMmHg: 10, recoveryMs: 60_000 },
      coverage: 2,
      prior: { spreadMmHg: 10, worthTrials: 5 },
      methodMmHg: { doppler: 0, 'automatic-pump': 3, oximeter: 3, palpation: 4 },
    },
    words: ({ trials, coverage, prior, methodMmHg: m }) =>
      msg(
        'Up to {most} trials, cuff fully deflated at least {recovery} s between. {enough} within {agreeWithinMmHg} mmHg suffice, otherwise one more. LOP is the mean; after {most} with a wider range it is the median, unsteady where no two are within {agreeWithinMmHg}. U = {coverage}·√(a²⁄3n + s²⁄n + d²⁄twelve + m²), with a²⁄three where pressure is read in one direction and s²⁄two with the median; s² = ({worthTrials}·{spreadMmHg}² + S) ÷ ({worthTrials} + f), with S and f the squares and the degrees of freedom within all measurements of the practice, this one too; m is {doppler} mmHg for Doppler, {automaticPump} for an automatic pump, {oximeter} for an oximeter, {palpation} for fingers, working assumptions of this app. U is rounded up to whole mmHg, LOP to the half.',
        {
          most: trials.most,
          recovery: seconds(trials.recoveryMs),
          enough: trials.enough,
          agreeWithinMmHg: trials.agreeWithinMmHg,
          coverage,
          worthTrials: prior.worthTrials,
          spreadMmHg: prior.spreadMmHg,
          doppler: m.doppler,
          automaticPump: m['automatic-pump'],
          oximeter: m.oximeter,
          palpation: m.palpation,
        },
      ),
  }),
  'LOP-4': rule({
    title: msg('Each limb on its own'),
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-limb.ts checkLimb',
    figures: NO_FIGURES,
    words: () => msg('A pressure is never copied from left to right.'),
  }),
  'LOP-5': rule({
    title: msg('Position counts'),
    level: 'hard',
    source: HOUSE,
    by: 'pressure/check-pressure.ts checkPosition',
    figures: { uprightAddsMmHg: { leg: 45, arm: 8 } },
    words: ({ uprightAddsMmHg: { leg, arm } }) =>
      msg(
        'Lying, sitting and standing differ and rise in that order. Exercising more upright than measured: real restriction is lower than planned, and the true range reaches down by up to {leg} mmHg for a thigh, {arm} for an arm. More reclined than measured is refused: measure in that position. There is no automatic conversion.',
        { leg, arm },
      ),
  }),
  'LOP-6': rule({
    title: msg('Shelf life of a pressure'),
    level: 'hard',
    source: HOUSE,
    by: 'occlusion-pressure/shelf-life.ts reasonDue',
    figures: {
      shelfLifeDays: { 'every-session': 0.5, '7-days': 7, '10-days': 10, '4-weeks': 28, '8-weeks': 56 },
      girthChangeShare: 0.05,
    },
    words: ({ shelfLifeDays: days, girthChangeShare }) =>
      msg(
        'A setting per person and limb: every session (within {everySession} of a day), {short} days, {middle} days, {weeks} weeks or {mostWeeks} weeks; {weeks} weeks by default, every session after an operation. A new cuff width, a position more reclined than measured, or a girth change over {girthChangeShare} % makes it due at once.',
        {
          everySession: days['every-session'],
          short: days['7-days'],
          middle: days['10-days'],
          weeks: days['4-weeks'] / 7,
          mostWeeks: days['8-weeks'] / 7,
          girthChangeShare: percent(girthChangeShare),
        },
      ),
  }),
  'LOP-7': rule({
    title: msg('Is it plausible?'),
    level: 'hard',
    source: only('Clin Orthop Relat Res 1993;286:257–261'),
    by: 'occlusion-pressure/plausibility.ts checkPlausibility',
    figures: {
      expected: { baseMmHg: 67, perRatioMmHg: 16.67, widthsPerGirth: 3 },
      plausibleShare: 0.4,
      slimCuff: { girthToWidth: 8, plausibleShare: 0.6 },
      occlusionPressureMmHg: { checkAbove: 250, refuseAbove: 300 },
      quickCheck: { confirmWithinMmHg: 10, mostStepMmHg: 10, mostRenewals: 2 },
    },
    words: ({ expected, plausibleShare, slimCuff, occlusionPressureMmHg: mmHg, quickCheck: quick }) =>
      msg(
        'Expected about DBP + (SBP − DBP) × girth ÷ ({widthsPerGirth} × bladder width), or {baseMmHg} + {perRatioMmHg} × girth ÷ width where no resting pressure is known; a check only, never a prescription. Over {plausibleShare} % away ({slimShare} % where girth ÷ width is above {girthToWidth}), or above {checkAbove}: check overlap, zero and probe. Above {refuseAbove} is refused. A quick check within ±{confirmWithinMmHg} of the stored LOP, in steps of {mostStepMmHg} or less, confirms it and renews its shelf life, at most {mostRenewals} times running: the middle of what it read is compared. Where the nearest end is further off, at any step, it contradicts, and the pressure is due until it is measured in full.',
        {
          widthsPerGirth: expected.widthsPerGirth,
          baseMmHg: expected.baseMmHg,
          perRatioMmHg: expected.perRatioMmHg,
          plausibleShare: percent(plausibleShare),
          slimShare: percent(slimCuff.plausibleShare),
          girthToWidth: slimCuff.girthToWidth,
          checkAbove: mmHg.checkAbove,
          refuseAbove: mmHg.refuseAbove,
          confirmWithinMmHg: quick.confirmWithinMmHg,
          mostStepMmHg: quick.mostStepMmHg,
          mostRenewals: quick.mostRenewals,
        },
      ),
  }),
} as const;
