import { msg } from '../message/message';
import { HOUSE, NO_FIGURES, percent, rule, seconds } from './rule';

export const pressureRules = {
  'PRS-1': rule({
    title: msg('Target pressure'),
    level: 'method',
    source: HOUSE,
    by: 'pressure/target-pressure.ts targetPressure',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'LOP × %, rounded down to the gauge division. The true range is (target ± half a division) ÷ (LOP ∓ U), as %LOP.',
      ),
  }),
  'PRS-2': rule({
    title: msg('Schools'),
    level: 'note',
    source: HOUSE,
    by: 'plan/compare-schools.ts compareSchools',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Practitioners disagree on how much pressure. The practice picks a school; a plan may pick another.',
      ),
  }),
  'PRS-3': rule({
    title: msg('Pressure limits'),
    level: 'hard',
    source: HOUSE,
    by: 'pressure/check-pressure.ts checkExercisePercent',
    figures: {
      exercisePercentLop: { noteBelow: 40, most: 80, gradedStartArm: 30 },
      passivePercentLop: { noteBelow: 70, most: 100 },
    },
    words: ({ exercisePercentLop: exercise, passivePercentLop: passive }) =>
      msg(
        'Exercise: never above {most} % of LOP; over the school’s top or the ramp is a guard; below {noteBelow} % ({gradedStartArm} for arms in graded start) is noted. Passive work: {passiveBelow}–{passiveMost} %, lying or sitting, no load and no repetitions. Every target stops at LOP − U − half a division, so that the true range never passes {passiveMost} %.',
        {
          most: exercise.most,
          noteBelow: exercise.noteBelow,
          gradedStartArm: exercise.gradedStartArm,
          passiveBelow: passive.noteBelow,
          passiveMost: passive.most,
        },
      ),
  }),
  'PRS-4': rule({
    title: msg('Newcomer ramp'),
    level: 'method',
    source: HOUSE,
    by: 'pressure/ramp.ts rampLevel',
    figures: {
      pointsPerWeek: 5,
      layOff: { shortDays: 21, pointsDown: 10, longDays: 42 },
      reEntryMmHg: { below: 40, aDay: 10 },
      withoutLopMmHg: { aWeek: 10, down: 20 },
    },
    words: ({ pointsPerWeek, layOff, reEntryMmHg, withoutLopMmHg }) =>
      msg(
        'First week at the school’s start, then +{pointsPerWeek} points a week to usual, if the last session was tolerated; counted per limb kind from the first session really done, none for weeks missed. After {shortDays} days off it begins again {pointsDown} points lower, after {longDays} at the start. While it runs it is the ceiling. Post-operative passive re-entry, per procedure and limb: training pressure − {below} mmHg, +{aDay} a day until reached. Without a LOP it counts in mmHg: +{aWeek} a week up to the practice’s most, {down} lower after {shortDays} days off.',
        {
          pointsPerWeek,
          shortDays: layOff.shortDays,
          pointsDown: layOff.pointsDown,
          longDays: layOff.longDays,
          below: reEntryMmHg.below,
          aDay: reEntryMmHg.aDay,
          aWeek: withoutLopMmHg.aWeek,
          down: withoutLopMmHg.down,
        },
      ),
  }),
  'PRS-5': rule({
    title: msg('Settling'),
    level: 'method',
    source: HOUSE,
    by: 'session/settling.ts settlingWords',
    figures: { mostRounds: 3, contractions: 2, contractionMs: 2000, plannedMs: 20_000 },
    words: ({ mostRounds, contractions, contractionMs, plannedMs }) =>
      msg(
        'Inflate to target, {contractions} contractions of {contraction} s, read, top up. Repeat until within one division, {mostRounds} times at most. A plan allows {planned} s for it. The settled pressure is recorded.',
        { contractions, contraction: seconds(contractionMs), mostRounds, planned: seconds(plannedMs) },
      ),
  }),
  'PRS-6': rule({
    title: msg('Priming cycles'),
    level: 'method',
    source: HOUSE,
    by: 'pressure/priming.ts primingPressures',
    figures: { onMs: 30_000, offMs: 10_000, startShare: 0.6, stepMmHg: 20, mostCycles: 12 },
    words: ({ onMs, offMs, startShare, stepMmHg, mostCycles }) =>
      msg(
        'Optional, for newcomers and large limbs: {on} s on, {off} s off, from {startShare} % of target, +{stepMmHg} mmHg a cycle until target. All four can be changed, and it may begin at a pressure in mmHg; the start is rounded down to the division, the last cycle is at the target, {mostCycles} cycles at most. A strap begins at the same share of its mark, in whole steps.',
        { on: seconds(onMs), off: seconds(offMs), startShare: percent(startShare), stepMmHg, mostCycles },
      ),
  }),
  'PRS-7': rule({
    title: msg('Pressure without a LOP'),
    level: 'hard',
    source: HOUSE,
    by: 'pressure/arbitrary.ts checkArbitrary',
    figures: {
      fromMmHg: 130,
      mostEffort: 8,
      gaugeMmHg: 2,
      ceilingMost: 250,
      /** Of the LOP that is expected (LOP-7), and of any on record for that limb and width. */
      percentLop: { usualMost: 60, most: 80 },
    },
    words: ({ fromMmHg, mostEffort, gaugeMmHg, ceilingMost, percentLop }) =>
      msg(
        'For coaching at a distance and cuffs that cannot stop the flow; off until a clinician switches it on with a most in mmHg, {ceilingMost} at the highest. Lower limbs only, aerobic work or cycles, from {fromMmHg} mmHg, or from {usualMost} % of the LOP to expect where that is lower, in steps of the {gaugeMmHg} mmHg a gauge shows, effort {mostEffort} at most. Never over {most} % of the LOP to expect from girth, width and blood pressure (LOP-7), nor of any on record for that limb and width, due or not; over {usualMost} % of either is a guard. It is called an arbitrary pressure wherever it is shown. Never on an operated limb, under a clearance’s cap, or where a LOP is in force.',
        {
          ceilingMost,
          fromMmHg,
          usualMost: percentLop.usualMost,
          gaugeMmHg,
          mostEffort,
          most: percentLop.most,
        },
      ),
  }),
  'PRS-8': rule({
    title: msg('Re-target'),
    level: 'hard',
    source: HOUSE,
    by: 'record/recheck.ts measuredAgain',
    figures: { asksFromPercent: 15 },
    words: ({ asksFromPercent }) =>
      msg(
        'A new LOP changes the mmHg of a signed plan, not its %. No further away than both uncertainties together, with the same rounded targets, it confirms the plan. Otherwise the session says what changed, and nothing rises that day; higher by more than both uncertainties or {asksFromPercent} %, it asks first: measure again, or take it by one key.',
        { asksFromPercent },
      ),
  }),
  'PRS-9': rule({
    title: msg('Intermittent cycles'),
    level: 'guard',
    source: HOUSE,
    by: 'pressure/cycles.ts checkDailyExposure',
    figures: {
      cycles: 8,
      onMs: 30_000,
      offMs: { shortest: 5_000, usual: 10_000 },
      startShare: 0.6,
      guardOnMsADay: 3_600_000,
    },
    words: ({ cycles, onMs, offMs, startShare, guardOnMsADay }) =>
      msg(
        'The cuff goes up and down, before training or alone, several times a day: usually {cycles} times {on} s on and {shortest} to {usual} s off, rising from {startShare} % of the training target to it, or steady. No exercise or gentle movement, and never above what exercise may be done at (PRS-3). Guard over {guardOnMsADay} minutes on a limb in a day.',
        {
          cycles,
          on: seconds(onMs),
          shortest: seconds(offMs.shortest),
          usual: seconds(offMs.usual),
          startShare: percent(startShare),
          guardOnMsADay: guardOnMsADay / 60_000,
        },
      ),
  }),
  TIGHT: rule({
    title: msg('Perceived tightness'),
    level: 'guard',
    source: HOUSE,
    by: 'cuff/tightness.ts checkTightness',
    figures: { aim: { arm: { low: 6, high: 7 }, leg: { low: 7, high: 7 } }, snug: 7, pain: 10 },
    words: ({ aim, snug, pain }) =>
      msg(
        'For kit that cannot be measured, by how it feels: none at all, {snug} snug without pain, {pain} pain; arm {low}–{high}, leg {legAim}. Start low. People misjudge it, so colour and tingling are checked every set. Kept as the mark, the turns with their tension in words, or the squeezes. Never in water with a pump, a gauge or a tube. Never shown as %LOP.',
        { snug, pain, low: aim.arm.low, high: aim.arm.high, legAim: aim.leg.high },
      ),
  }),
} as const;

export const loadRules = {
  'LOAD-1': rule({
    title: msg('One-repetition maximum'),
    level: 'hard',
    source: HOUSE,
    by: 'strength/one-rep-max.ts oneRepMax',
    figures: { repsToFailure: { trustedLow: 3, trustedHigh: 10, refuseAbove: 15 } },
    words: ({ repsToFailure: { trustedLow, trustedHigh, refuseAbove } }) =>
      msg(
        'Per exercise, side and date. Direct, or the median of seven estimates from one set to failure (Epley, Brzycki, Lombardi, O’Conner, Mayhew, Wathen, Lander). Best between {trustedLow} and {trustedHigh} repetitions; outside it warns; more than {refuseAbove} is refused, and so is a single repetition where small joints or a loose position would bear it.',
        { trustedLow, trustedHigh, refuseAbove },
      ),
  }),
  'LOAD-2': rule({
    title: msg('Shelf life of a strength test'),
    level: 'hard',
    source: HOUSE,
    by: 'strength/shelf-life.ts strengthTestIsDue',
    figures: { shelfLifeDays: 42 },
    words: ({ shelfLifeDays }) =>
      msg(
        '{shelfLifeDays} weeks. A side that was operated on in the time that counts is not tested unless a clinician says so: use the other side’s with a mark, or a pain-limited best.',
        { shelfLifeDays: shelfLifeDays / 7 },
      ),
  }),
  'LOAD-3': rule({
    title: msg('Target load'),
    level: 'hard',
    source: HOUSE,
    by: 'load/target-load.ts checkLoad',
    figures: { percentOneRepMax: { startLow: 20, startHigh: 30, usualHigh: 40, most: 50 } },
    words: ({ percentOneRepMax: { startLow, startHigh, usualHigh, most } }) =>
      msg(
        '1RM × %. Start at {startLow}–{startHigh}, usual up to {usualHigh}, guard above it, never above {most}, on the true % that the kit makes as well. Under {startLow} is allowed in early rehabilitation. The sides match: a test of both limbs never loads one, nor one side’s two.',
        { startLow, startHigh, usualHigh, most },
      ),
  }),
  'LOAD-4': rule({
    title: msg('What the kit can make'),
    level: 'guard',
    source: HOUSE,
    by: 'load/weight-kit.ts makeableLoads',
    figures: { mostLoads: 2000 },
    words: ({ mostLoads }) =>
      msg(
        'The load is rounded down to what the kit can make and the true % is shown; the kit must suit the exercise. A load above target only where nothing lighter exists, and then it is said: longer rest, fewer repetitions or another exercise. No piece of kit makes more than {mostLoads} loads.',
        { mostLoads },
      ),
  }),
  'LOAD-5': rule({
    title: msg('Sanity of the load'),
    level: 'note',
    source: HOUSE,
    by: 'plan/check-exercise.ts checkExercise',
    figures: { cleanReps: 30 },
    words: ({ cleanReps }) =>
      msg('{cleanReps} clean repetitions must be possible without the cuff.', { cleanReps }),
  }),
} as const;
