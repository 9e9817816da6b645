import { HOUSE, type Rule } from './rule';

export const occlusionPressureRules = {
  'LOP-1': {
    title: 'Limb occlusion pressure',
    text: 'The lowest cuff pressure that stops arterial flow to that limb, for that cuff, in that position. By handheld Doppler, palpated pulse, pulse oximeter trace (upper limb only, reacts late) or automatic pump.',
    level: 'method',
    source: HOUSE,
  },
  'LOP-2': {
    title: 'Bracketing a trial',
    text: 'Inflate in steps until the pulse goes, deflate in steps until it is back. Rising: LOP lies in (gone − up, gone]. Falling: LOP lies in [back, back + down). The estimate is the middle of what the two share; a is half its width. No shared range: the trial is inconsistent.',
    level: 'method',
    source: HOUSE,
  },
  'LOP-3': {
    title: 'How many trials',
    text: 'Up to three trials, cuff fully deflated at least 60 s between. Two within 10 mmHg suffice, otherwise a third. LOP is the mean; after three with a range over 10 it is the median, marked unsteady. U = 2·√(a²/(3n) + s²/n + d²/12), s² = (4·4² + Σ(x−x̄)²)/(4 + n − 1).',
    level: 'method',
    source: 'Uncertainty expanded with k = 2 in the manner of JCGM 100:2008 (GUM)',
  },
  'LOP-4': {
    title: 'Each limb on its own',
    text: 'A pressure is never copied from left to right.',
    level: 'hard',
    source: HOUSE,
  },
  'LOP-5': {
    title: 'Position counts',
    text: 'Lying, sitting and standing differ and rise in that order. Exercising more upright than measured: real restriction is lower than planned. More reclined than measured: higher than planned, so measure again. There is no automatic conversion.',
    level: 'guard',
    source: HOUSE,
  },
  'LOP-6': {
    title: 'Shelf life of a pressure',
    text: 'A setting per person: every session, 7 days, 10 days, 4 weeks or 8 weeks; 4 weeks by default, every session after an operation. A new cuff width, position or a girth change over 5 % makes it due at once.',
    level: 'hard',
    source: HOUSE,
  },
  'LOP-7': {
    title: 'Is it plausible?',
    text: 'Expected about 67 + 16.67 × girth ÷ bladder width, as a check only, never a prescription. Over 40 % away, or above 250: check overlap, zero and probe. Above 300 is refused. A quick check within ±10 of the stored LOP confirms it.',
    level: 'hard',
    source: 'Clin Orthop Relat Res 1993;286:257–261',
  },
} as const satisfies Record<string, Rule>;
