import { HOUSE, type Rule } from './rule';

export const pressureRules = {
  'PRS-1': {
    title: 'Target pressure',
    text: 'LOP × %, rounded down to the gauge division. The true range is (target ± half a division) ÷ (LOP ∓ U), as %LOP.',
    level: 'method',
    source: HOUSE,
  },
  'PRS-2': {
    title: 'Schools',
    text: 'Practitioners disagree on how much pressure. The practice picks a school; a plan may pick another.',
    level: 'note',
    source: HOUSE,
  },
  'PRS-3': {
    title: 'Pressure limits',
    text: 'Exercise: never above 80 % of LOP; over the school’s top or the ramp is a guard; below 40 % (30 for arms in graded start) is noted. Passive work: 70–100 %, lying or sitting, no load and no repetitions. Every target stops at LOP − U − half a division, so that the true range never passes 100 %.',
    level: 'hard',
    source: HOUSE,
  },
  'PRS-4': {
    title: 'Newcomer ramp',
    text: 'First week at the school’s start, then +5 points a week to usual, if the last session was tolerated; counted per limb kind from the first session really done, none for weeks missed. After 21 days off it begins again 10 points lower, after 42 at the start. While it runs it is the ceiling. Post-operative passive re-entry, per procedure and limb: training pressure − 40 mmHg, +10 a day until reached.',
    level: 'method',
    source: HOUSE,
  },
  'PRS-5': {
    title: 'Settling',
    text: 'Inflate to target, two contractions of 2 s, read, top up. Repeat until within one division, three times at most. The settled pressure is recorded.',
    level: 'method',
    source: HOUSE,
  },
  'PRS-6': {
    title: 'Priming cycles',
    text: 'Optional, for newcomers and large limbs: 30 s on, 10 s off, from 60 % of target, +20 mmHg a cycle until target.',
    level: 'method',
    source: HOUSE,
  },
  'PRS-8': {
    title: 'Re-target',
    text: 'A new LOP changes the mmHg of a signed plan, not its %. No further away than both uncertainties together, with the same rounded targets, it confirms the plan. Otherwise one key re-targets it at the same %, checked again, as a new version.',
    level: 'hard',
    source: HOUSE,
  },
  'PRS-7': {
    title: 'Arbitrary pressure',
    text: 'Low-intensity lower-limb aerobic work without LOP starts at 130 mmHg, effort at most 8/10, marked as an arbitrary pressure. Off unless the practice turns it on.',
    level: 'guard',
    source: HOUSE,
  },
  TIGHT: {
    title: 'Perceived tightness',
    text: 'For kit that cannot be measured: 0 none, 7 snug without pain, 10 pain; arm 6–7, leg 7. Start low. People misjudge it, so colour and tingling are checked every set. Never shown as %LOP.',
    level: 'guard',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;

export const loadRules = {
  'LOAD-1': {
    title: 'One-repetition maximum',
    text: 'Per exercise, side and date. Direct, or the median of seven estimates from one set to failure (Epley, Brzycki, Lombardi, O’Conner, Mayhew, Wathen, Lander). Best between 3 and 10 repetitions; 11–15 warns; more is refused.',
    level: 'hard',
    source: HOUSE,
  },
  'LOAD-2': {
    title: 'Shelf life of a strength test',
    text: 'Six weeks. An injured or post-operative side is not tested: use the other side’s with a mark, or a pain-limited best.',
    level: 'hard',
    source: HOUSE,
  },
  'LOAD-3': {
    title: 'Target load',
    text: '1RM × %. Start at 20–30, usual 20–40, guard above 40, never above 50. Under 20 is allowed in early rehabilitation.',
    level: 'hard',
    source: HOUSE,
  },
  'LOAD-4': {
    title: 'What the kit can make',
    text: 'The load is rounded down to what the kit can make and the true % is shown. If the lightest item is above the guard: longer rest, fewer repetitions or another exercise.',
    level: 'guard',
    source: HOUSE,
  },
  'LOAD-5': {
    title: 'Sanity of the load',
    text: 'Thirty clean repetitions must be possible without the cuff.',
    level: 'note',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;
