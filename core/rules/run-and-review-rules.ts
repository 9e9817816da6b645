import { HOUSE, NO_FIGURES, percent, rule, seconds } from './rule';

export const runRules = {
  'RUN-1': rule({
    title: 'Occlusion clock',
    level: 'hard',
    source: HOUSE,
    by: 'session/clocks.ts limbClocks',
    figures: { alarmAtShare: 0.8, ignoredAfterMs: 15_000 },
    words: ({ alarmAtShare, ignoredAfterMs }) =>
      `Which cuffs are inflated, for how long and how long is left is always visible. Alarms at ${percent(alarmAtShare)} % of the limit and at the limit; there, deflate now until told it is done. Past it by ${seconds(ignoredAfterMs)} s is recorded.`,
  }),
  'RUN-2': rule({
    title: 'Counting and rest',
    level: 'method',
    source: HOUSE,
    by: 'protocol/pace.ts repsByPace',
    figures: { warningTicks: 5, takeBackMs: 10_000 },
    words: ({ warningTicks, takeBackMs }) =>
      `The pace tone counts repetitions; the operator corrects. Rest counts down with a warning in its last ${warningTicks} s. An end by accident is taken back within ${seconds(takeBackMs)} s. Repetitions, stop reason, effort, joint pain and pressure are recorded.`,
  }),
  'RUN-3': rule({
    title: 'Signs',
    level: 'hard',
    source: HOUSE,
    by: 'record/holds.ts holdsOfSign',
    figures: NO_FIGURES,
    words: () =>
      'Expected: tightness, burn, redness, bulging veins, swelling. Stop: numb or tingling, pale, blue, purple or cold skin, sharp pain, dizzy, nausea, chest pain, short of breath at rest, headache, sight. Stop means deflate at once, sit or lie, note; no restart that day for the red ones, and the limb is held until the next day for the others.',
  }),
  'RUN-4': rule({
    title: 'Changing pressure mid-session',
    level: 'hard',
    source: HOUSE,
    by: 'session/decide/pressure.ts loosen',
    figures: { stepMmHg: 10 },
    words: ({ stepMmHg }) =>
      `Loosen in steps of ${stepMmHg} mmHg or release. Pressure goes up only before a set, one step, never over the cap or the target signed.`,
  }),
  'RUN-5': rule({
    title: 'Ending and the dose',
    level: 'method',
    source: HOUSE,
    by: 'plan/dose.ts doseOf',
    figures: NO_FIGURES,
    words: () =>
      'Deflate slowly, see colour return, walk a minute. Logged: total occlusion per limb, longest continuous stretch, mmHg·min, %LOP·min and kg·reps.',
  }),
  'RUN-6': rule({
    title: 'The day after',
    level: 'hard',
    source: HOUSE,
    by: 'record/day-after.ts sessionToAskAbout',
    figures: { askFromMs: 43_200_000 },
    words: ({ askFromMs }) =>
      `Soreness, bruising, pinpoint bleeding and numbness are asked from ${seconds(askFromMs) / 3600} h on and before the next session opens. Numbness or wide bruising holds. Dark urine, marked weakness, a swollen or painful calf or arm, breathlessness, chest pain: refer urgently, and hold.`,
  }),
  'RUN-7': rule({
    title: 'In hand',
    level: 'hard',
    source: HOUSE,
    by: 'session/in-hand.ts inHand',
    figures: NO_FIGURES,
    words: () =>
      'At any moment one exercise, set, target, LOP, load, rest and pressure is in hand: what was planned, changed by every accepted correction, loosening, lightening and priming step. Everything shown, said, pumped, added up and reviewed uses it. Top up goes to the target in hand, never above it.',
  }),
  'RUN-8': rule({
    title: 'Blood pressure in work',
    level: 'hard',
    source: HOUSE,
    by: 'session/blood-pressure.ts bloodPressureDue',
    figures: {
      stopAbove: { systolicMmHg: 220, diastolicMmHg: 105 },
      neverAbove: { systolicMmHg: 250, diastolicMmHg: 115 },
      backWithinMmHg: 10,
      olderThanYears: 65,
      afterMs: { first: 60_000, second: 300_000, until: 1_800_000 },
    },
    words: ({ stopAbove, neverAbove, backWithinMmHg, olderThanYears, afterMs }) =>
      `For high blood pressure, treated or not, over ${olderThanYears}, and for whoever asks for it: before, in the last rest, and ${seconds(afterMs.first) / 60} and ${seconds(afterMs.second) / 60} min after. Above ${stopAbove.systolicMmHg} or ${stopAbove.diastolicMmHg}, or what the practice sets, at most ${neverAbove.systolicMmHg} or ${neverAbove.diastolicMmHg}, work stops at once. Not back within ${backWithinMmHg} of the reading before by then: noted, and lower next time. One limb first.`,
  }),
  'RUN-9': rule({
    title: 'Clocks',
    level: 'hard',
    source: HOUSE,
    by: 'session/clock-offset.ts clockOffsetMs',
    figures: { afterReceiptMs: 120_000 },
    words: ({ afterReceiptMs }) =>
      `Times come from the server’s clock; each device knows its offset. An event lies between the session’s opening and its receipt + ${seconds(afterReceiptMs)} s, else it is refused with words and kept aside. Only the device that runs a session writes what the clock owes; another takes over on request.`,
  }),
  'RUN-10': rule({
    title: 'Entered later',
    level: 'hard',
    source: HOUSE,
    by: 'session/entered.ts checkEntered',
    figures: NO_FIGURES,
    words: () =>
      'Every mode can be entered from paper with all that the paper asks. What is left empty is not known: never none, and never as planned. Figures carry their unit.',
  }),
} as const;

const EFFORT = { easyMost: 6, firmMost: 8 } as const;
const POINTS_DOWN = 10;
const LONGER_REST = { stepMs: 15_000, mostMs: 60_000 } as const;
const ENOUGH_SHARE = 0.8;

export const reviewRules = {
  'REV-1': rule({
    title: 'After a stop sign',
    level: 'hard',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { pointsDown: POINTS_DOWN },
    words: ({ pointsDown }) =>
      `Hold; screen again; next time −${pointsDown} points or a cap, below the floor too.`,
  }),
  'REV-2': rule({
    title: 'Joint pain',
    level: 'guard',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { riseMost: 2, fine: 3, most: 5 },
    words: ({ riseMost, fine, most }) =>
      `Up by more than ${riseMost} and now above ${fine}, or above ${most} at any time: load one step down; nothing lighter: one rung down, a smaller range or less pressure. Up to ${fine} is fine.`,
  }),
  'REV-3': rule({
    title: 'Set one not finished',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { hardBeforeShare: 2 / 3, hardEffort: 8, pointsDown: POINTS_DOWN },
    words: ({ hardBeforeShare, hardEffort, pointsDown }) =>
      `Not all of set one, or hard (the key, or effort ${hardEffort} or more) before ${Math.round(percent(hardBeforeShare))} % of it: load down a step; already at the start of the usual load or less, or nothing lighter: pressure −${pointsDown} points, not below the floor.`,
  }),
  'REV-4': rule({
    title: 'Too few in all',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { enoughShare: ENOUGH_SHARE, rest: LONGER_REST },
    words: ({ enoughShare, rest }) =>
      `Fewer than ${percent(enoughShare)} % of all: rest +${seconds(rest.stepMs)} s, up to ${seconds(rest.mostMs)}; there already: load down.`,
  }),
  'REV-5': rule({
    title: 'Ended in a later set',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: NO_FIGURES,
    words: () => 'Set one whole, and not too few in all (REV-4): on target, hold.',
  }),
  'REV-6': rule({
    title: 'All done, not easy',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { effort: EFFORT, rest: LONGER_REST, lighterThanPlanned: { restShare: 1.5, heldShare: 0.85 } },
    words: ({ effort, rest, lighterThanPlanned }) =>
      `Effort above ${effort.easyMost} up to ${effort.firmMost}: hold; twice running: load one kit step up within the usual. Above ${effort.firmMost}: hold; twice running: rest +${seconds(rest.stepMs)} s, up to ${seconds(rest.mostMs)}. Effort not noted: hold, and ask. Rests over ${percent(lighterThanPlanned.restShare)} % of the planned, or a pressure under ${percent(lighterThanPlanned.heldShare)} % of the target: lighter than planned, hold.`,
  }),
  'REV-7': rule({
    title: 'All done, easy',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { effort: EFFORT, pointsUp: 5 },
    words: ({ effort, pointsUp }) =>
      `Effort ${effort.easyMost} or less: pressure +${pointsUp} points until usual, within the ramp and the cap; then one step of load within the usual.`,
  }),
  'REV-8': rule({
    title: 'Ready for heavy work',
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { heavyWork: { percentOneRepMax: 60, painMost: 3, withinDays: 7 } },
    words: ({ heavyWork }) =>
      `Pressure at usual or its cap, no step of load left within the usual, and easy twice; or heavy work of the same exercise within ${heavyWork.withinDays} days at ${heavyWork.percentOneRepMax} % of 1RM or more, joint pain ${heavyWork.painMost} or less: propose the heavy bridge and a retest.`,
  }),
  'REV-10': rule({
    title: 'Binding review',
    level: 'hard',
    source: HOUSE,
    by: 'record/binding-review.ts whatReviewAsks',
    figures: NO_FIGURES,
    words: () =>
      'The review is answered (accepted, edited with the rule checked again, declined with a reason) before the next session of that plan opens. One computation of it serves record, draft and server.',
  }),
} as const;
