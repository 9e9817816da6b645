import { HOUSE, type Rule } from './rule';

export const runRules = {
  'RUN-1': {
    title: 'Occlusion clock',
    text: 'Which cuffs are inflated, for how long and how long is left is always visible. Alarms at 80 % and 100 % of the limit; at 100 %, deflate now until told it is done.',
    level: 'hard',
    source: HOUSE,
  },
  'RUN-2': {
    title: 'Counting and rest',
    text: 'The pace tone counts repetitions; the operator corrects. Rest counts down with a 5 s warning. Repetitions, stop reason, effort, joint pain and pressure are recorded.',
    level: 'method',
    source: HOUSE,
  },
  'RUN-3': {
    title: 'Signs',
    text: 'Expected: tightness, burn, redness, bulging veins, swelling. Stop: numb or tingling, pale, blue, purple or cold skin, sharp pain, dizzy, nausea, chest pain, short of breath at rest, headache, sight. Stop means deflate at once, sit or lie, note; no restart that day for the red ones, and the limb is held until the next day for the others.',
    level: 'hard',
    source: HOUSE,
  },
  'RUN-4': {
    title: 'Changing pressure mid-session',
    text: 'Loosen in steps of 10 mmHg or release. Pressure goes up only before a set, one step, never over the cap or the target signed.',
    level: 'hard',
    source: HOUSE,
  },
  'RUN-5': {
    title: 'Ending and the dose',
    text: 'Deflate slowly, see colour return, walk a minute. Logged: total occlusion per limb, longest continuous stretch, mmHg·min, %LOP·min and kg·reps.',
    level: 'method',
    source: HOUSE,
  },
  'RUN-7': {
    title: 'In hand',
    text: 'At any moment one exercise, set, target, LOP, load, rest and pressure is in hand: what was planned, changed by every accepted correction, loosening, lightening and priming step. Everything shown, said, pumped, added up and reviewed uses it. Top up goes to the target in hand, never above it.',
    level: 'hard',
    source: HOUSE,
  },
  'RUN-9': {
    title: 'Clocks',
    text: 'Times come from the server’s clock; each device knows its offset. An event lies between the session’s opening and its receipt + 2 min, else it is refused with words and kept aside. Only the device that runs a session writes what the clock owes; another takes over on request.',
    level: 'hard',
    source: HOUSE,
  },
  'RUN-6': {
    title: 'The day after',
    text: 'Soreness, bruising, pinpoint bleeding and numbness are asked next day and shown at the next start. Numbness or wide bruising holds.',
    level: 'hard',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;

export const reviewRules = {
  'REV-1': {
    title: 'After a stop sign',
    text: 'Hold; screen again; next time −10 points or a cap.',
    level: 'hard',
    source: HOUSE,
  },
  'REV-2': {
    title: 'Joint pain',
    text: 'Up by more than 2, or above 5 at any time: load one step down, or one rung down. Up to 3 is fine.',
    level: 'guard',
    source: HOUSE,
  },
  'REV-3': {
    title: 'Set one not finished',
    text: 'Fewer than 30, or effort 8 or more before repetition 20: load down a step; already at 20 % or less: pressure −10 points, not below the floor.',
    level: 'note',
    source: HOUSE,
  },
  'REV-4': {
    title: 'Total below 60 of 75',
    text: 'Rest +15 s up to 60; already 60: load down.',
    level: 'note',
    source: HOUSE,
  },
  'REV-5': {
    title: 'Ended in the last set',
    text: 'With 80 % or more done: on target, hold.',
    level: 'note',
    source: HOUSE,
  },
  'REV-6': {
    title: 'All done, effort 7–8',
    text: 'Hold; twice running: load +1 kit step, up to 40 %.',
    level: 'note',
    source: HOUSE,
  },
  'REV-7': {
    title: 'All done, effort 6 or less',
    text: 'Pressure +5 points until usual; then load +1 step.',
    level: 'note',
    source: HOUSE,
  },
  'REV-8': {
    title: 'Ready for heavy work',
    text: 'Load at 40 % and easy twice, or 60 % 1RM tolerated without pain: propose the heavy bridge and a retest.',
    level: 'note',
    source: HOUSE,
  },
  'REV-10': {
    title: 'Binding review',
    text: 'The review is answered (accepted, edited with the rule checked again, declined with a reason) before the next session of that plan opens. One computation of it serves record, draft and server.',
    level: 'hard',
    source: HOUSE,
  },
  'REV-9': {
    title: 'Change against measurement error',
    text: 'Girth ±1 cm, 1RM ±5 %, LOP ±10 mmHg, pain ±2 by default, so noise is not called progress.',
    level: 'method',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;
