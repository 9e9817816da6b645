import { msg } from '../message/message';
import { HOUSE, NO_FIGURES, percent, rule, seconds } from './rule';

export const runRules = {
  'RUN-1': rule({
    title: msg('Occlusion clock'),
    level: 'hard',
    source: HOUSE,
    by: 'session/clocks.ts limbClocks',
    figures: { alarmAtShare: 0.8, ignoredAfterMs: 15_000 },
    words: ({ alarmAtShare, ignoredAfterMs }) =>
      msg(
        'Which cuffs are inflated, for how long and how long is left is always visible. Alarms at {alarmAtShare} % of the limit and at the limit; there, deflate now until it is confirmed as done. Past it by {ignoredAfter} s is recorded.',
        { alarmAtShare: percent(alarmAtShare), ignoredAfter: seconds(ignoredAfterMs) },
      ),
  }),
  'RUN-2': rule({
    title: msg('Counting and rest'),
    level: 'method',
    source: HOUSE,
    by: 'protocol/pace.ts repsByPace',
    figures: { warningTicks: 5, takeBackMs: 10_000 },
    words: ({ warningTicks, takeBackMs }) =>
      msg(
        'The pace tone counts repetitions; the operator corrects. Rest counts down with a warning in its last {warningTicks} s. An end by accident is taken back within {takeBack} s. Repetitions, stop reason, effort, joint pain and pressure are recorded.',
        { warningTicks, takeBack: seconds(takeBackMs) },
      ),
  }),
  'RUN-3': rule({
    title: msg('Symptoms'),
    level: 'hard',
    source: HOUSE,
    by: 'record/holds.ts holdsOfSign',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Expected: tightness, burn, redness, bulging veins, swelling. Stop: numb or tingling, pale, blue, purple or cold skin, sharp pain, dizzy, nausea, chest pain, short of breath at rest, headache, sight. Stop means deflate at once, sit or lie, note; no restart that day for the red ones, and the limb is held until the next day for the others.',
      ),
  }),
  'RUN-4': rule({
    title: msg('Changing pressure mid-session'),
    level: 'hard',
    source: HOUSE,
    by: 'session/decide/pressure.ts loosen',
    figures: { stepMmHg: 10 },
    words: ({ stepMmHg }) =>
      msg(
        'Loosen in steps of {stepMmHg} mmHg or release. Pressure goes up only before a set, one step, never over the cap or the target signed.',
        { stepMmHg },
      ),
  }),
  'RUN-5': rule({
    title: msg('Ending and the dose'),
    level: 'method',
    source: HOUSE,
    by: 'plan/dose.ts doseOf',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Deflate slowly, see colour return, walk a minute. Logged: total occlusion per limb, longest continuous stretch, mmHg·min, %LOP·min and kg·reps.',
      ),
  }),
  'RUN-6': rule({
    title: msg('The day after'),
    level: 'hard',
    source: HOUSE,
    by: 'record/day-after.ts sessionToAskAbout',
    figures: { askFromMs: 43_200_000 },
    words: ({ askFromMs }) =>
      msg(
        'Soreness, bruising, pinpoint bleeding and numbness are asked from {askFrom} h on and before the next session opens. Numbness or wide bruising holds. Dark urine, marked weakness, a swollen or painful calf or arm, breathlessness, chest pain: refer urgently, and hold.',
        { askFrom: seconds(askFromMs) / 3600 },
      ),
  }),
  'RUN-7': rule({
    title: msg('In hand'),
    level: 'hard',
    source: HOUSE,
    by: 'session/in-hand.ts inHand',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'At any moment one exercise, set, target, LOP, load, rest and pressure is in hand: what was planned, changed by every accepted correction, loosening, lightening and priming step. Everything shown, said, pumped, added up and reviewed uses it. Top up goes to the target in hand, never above it.',
      ),
  }),
  'RUN-8': rule({
    title: msg('Blood pressure in work'),
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
      msg(
        'For high blood pressure, treated or not, over {olderThanYears}, and for anyone who asks for it: before, in the last rest, and {first} and {second} min after. Above {systolicMmHg} or {diastolicMmHg}, or what the practice sets, at most {mostSystolicMmHg} or {mostDiastolicMmHg}, work stops at once. Not back within {backWithinMmHg} of the reading before by then: noted, and lower next time. One limb first.',
        {
          olderThanYears,
          first: seconds(afterMs.first) / 60,
          second: seconds(afterMs.second) / 60,
          systolicMmHg: stopAbove.systolicMmHg,
          diastolicMmHg: stopAbove.diastolicMmHg,
          mostSystolicMmHg: neverAbove.systolicMmHg,
          mostDiastolicMmHg: neverAbove.diastolicMmHg,
          backWithinMmHg,
        },
      ),
  }),
  'RUN-9': rule({
    title: msg('Clocks'),
    level: 'hard',
    source: HOUSE,
    by: 'session/clock-offset.ts clockOffsetMs',
    figures: { afterReceiptMs: 120_000 },
    words: ({ afterReceiptMs }) =>
      msg(
        'Times come from the server’s clock; each device knows its offset. An event lies between the session’s opening and its receipt + {afterReceipt} s, else it is refused with words and kept aside. Only the device that runs a session writes what the clock owes; another takes over on request.',
        { afterReceipt: seconds(afterReceiptMs) },
      ),
  }),
  'RUN-10': rule({
    title: msg('Entered later'),
    level: 'hard',
    source: HOUSE,
    by: 'session/entered.ts checkEntered',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Every mode can be entered from paper with all that the paper asks. What is left empty is not known: never none, and never as planned. Figures carry their unit.',
      ),
  }),
} as const;

const EFFORT = { easyMost: 6, firmMost: 8 } as const;
const POINTS_DOWN = 10;
const LONGER_REST = { stepMs: 15_000, mostMs: 60_000 } as const;
const ENOUGH_SHARE = 0.8;

export const reviewRules = {
  'REV-1': rule({
    title: msg('After a stop symptom'),
    level: 'hard',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { pointsDown: POINTS_DOWN },
    words: ({ pointsDown }) =>
      msg('Hold; screen again; next time −{pointsDown} points or a cap, below the floor too.', {
        pointsDown,
      }),
  }),
  'REV-2': rule({
    title: msg('Joint pain'),
    level: 'guard',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { riseMost: 2, fine: 3, most: 5 },
    words: ({ riseMost, fine, most }) =>
      msg(
        'Up by more than {riseMost} and now above {fine}, or above {most} at any time: load one step down; nothing lighter: one rung down, a smaller range or less pressure. Up to {fine} is fine.',
        { riseMost, fine, most },
      ),
  }),
  'REV-3': rule({
    title: msg('Set one not finished'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { hardBeforeShare: 2 / 3, hardEffort: 8, pointsDown: POINTS_DOWN },
    words: ({ hardBeforeShare, hardEffort, pointsDown }) =>
      msg(
        'Not all of set one, or hard (the key, or effort {hardEffort} or more) before {hardBeforeShare} % of it: load down a step; already at the start of the usual load or less, or nothing lighter: pressure −{pointsDown} points, not below the floor.',
        { hardEffort, hardBeforeShare: Math.round(percent(hardBeforeShare)), pointsDown },
      ),
  }),
  'REV-4': rule({
    title: msg('Too few in all'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { enoughShare: ENOUGH_SHARE, rest: LONGER_REST },
    words: ({ enoughShare, rest }) =>
      msg('Fewer than {enoughShare} % of all: rest +{step} s, up to {most}; there already: load down.', {
        enoughShare: percent(enoughShare),
        step: seconds(rest.stepMs),
        most: seconds(rest.mostMs),
      }),
  }),
  'REV-5': rule({
    title: msg('Ended in a later set'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: NO_FIGURES,
    words: () => msg('Set one whole, and not too few in all (REV-4): on target, hold.'),
  }),
  'REV-6': rule({
    title: msg('All done, not easy'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { effort: EFFORT, rest: LONGER_REST, lighterThanPlanned: { restShare: 1.5, heldShare: 0.85 } },
    words: ({ effort, rest, lighterThanPlanned }) =>
      msg(
        'Effort above {easyMost} up to {firmMost}: hold; twice running: load one kit step up within the usual. Above {firmMost}: hold; twice running: rest +{step} s, up to {most}. Effort not noted: hold, and ask. Rests over {restShare} % of the planned, or a pressure under {heldShare} % of the target: lighter than planned, hold.',
        {
          easyMost: effort.easyMost,
          firmMost: effort.firmMost,
          step: seconds(rest.stepMs),
          most: seconds(rest.mostMs),
          restShare: percent(lighterThanPlanned.restShare),
          heldShare: percent(lighterThanPlanned.heldShare),
        },
      ),
  }),
  'REV-7': rule({
    title: msg('All done, easy'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { effort: EFFORT, pointsUp: 5 },
    words: ({ effort, pointsUp }) =>
      msg(
        'Effort {easyMost} or less: pressure +{pointsUp} points until usual, within the ramp and the cap; then one step of load within the usual.',
        { easyMost: effort.easyMost, pointsUp },
      ),
  }),
  'REV-8': rule({
    title: msg('Ready for heavy work'),
    level: 'note',
    source: HOUSE,
    by: 'review/review.ts recommend',
    figures: { heavyWork: { percentOneRepMax: 60, painMost: 3, withinDays: 7 } },
    words: ({ heavyWork }) =>
      msg(
        'Pressure at usual or its cap, no step of load left within the usual, and easy twice; or heavy work of the same exercise within {withinDays} days at {percentOneRepMax} % of 1RM or more, joint pain {painMost} or less: propose the heavy bridge and a retest.',
        {
          withinDays: heavyWork.withinDays,
          percentOneRepMax: heavyWork.percentOneRepMax,
          painMost: heavyWork.painMost,
        },
      ),
  }),
  'REV-10': rule({
    title: msg('Binding review'),
    level: 'hard',
    source: HOUSE,
    by: 'record/binding-review.ts whatReviewAsks',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'The review is answered (accepted, edited with the rule checked again, declined with a reason) before the next session of that plan opens. One computation of it serves record, draft and server.',
      ),
  }),
} as const;
