import { type Message, msg, sentences } from '../message/message';
import { lighterWords } from '../plan/lighter';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import { SIGNS } from '../session/signs';
import type { Change } from './change';
import { type Bounds, type Done, doneOf } from './done';
import { type Reading, readingOf } from './reading';
import type { Reviewed } from './reviewed';

/** What a session suggests for the next one, why, and by which rule. It informs; the signer decides. */
export type Recommendation = { rule: RuleId; change: Change; reason: Message };

/** Pain before the session, 0–10, null when not asked; what bounds the next. */
export type ReviewContext = Bounds & { painBefore: number | null };

const POINTS = { down: RULES['REV-1'].figures.pointsDown, up: RULES['REV-7'].figures.pointsUp };
const { rest: REST, enoughShare: ENOUGH_SHARE } = RULES['REV-4'].figures;
const PAIN = RULES['REV-2'].figures;
const EASY_MOST = RULES['REV-7'].figures.effort.easyMost;
const FIRM_MOST = RULES['REV-6'].figures.effort.firmMost;

type Look = { now: Done; last: Done | null; context: ReviewContext };
type Reps = NonNullable<Done['reps']>;

/** In the order of the practice, the first that answers decides, else REV-6 (rules REV-1, 2, RUN-8, SCR-3, 3, 4, 5, 6, 8, 7, 6). */
const RULES_IN_ORDER: readonly ((look: Look) => Recommendation | null)[] = [
  afterStop,
  afterPain,
  bloodPressureHigh,
  lighterThatDay,
  byOtherWork,
  firstSetShort,
  tooFew,
  onTarget,
  lighterAllThrough,
  afterHeavyWork,
  readyForHeavy,
  easy,
];

/**
 * The change of one exercise for the next session, judged from what was really done: the load lifted, the pressure held,
 * the rests taken (rules REV-1 to REV-8).
 * @returns null when no set of the exercise was begun
 */
export function recommend(
  session: Reviewed,
  exerciseIndex: number,
  { before, ...context }: ReviewContext & { before: Reviewed | null },
): Recommendation | null {
  const reading = readingOf(session, exerciseIndex);
  if (!reading) return null;
  const last = before ? readingsOf(before).find((other) => other && isSameWork(other, reading)) : undefined;
  return recommendFrom(reading, last ?? null, context);
}

/** The same from readings: of the session, and of the one before where that did the same. */
export function recommendFrom(
  reading: Reading,
  before: Reading | null,
  context: ReviewContext,
): Recommendation {
  const look = {
    now: doneOf(reading, context),
    last: before && !before.lighter ? doneOf(before, context) : null,
    context,
  };
  for (const rule of RULES_IN_ORDER) {
    const answer = rule(look);
    if (answer) return answer;
  }
  return firm(look);
}

/** What was really done of each exercise, by its place in the plan; null where no set of it was begun. */
export const readingsOf = (session: Reviewed): (Reading | null)[] =>
  session.plan.exercises.map((_, place) => readingOf(session, place));

/** The same exercise on the same limbs. */
export const isSameWork = (one: Reading, other: Reading): boolean =>
  one.exerciseId === other.exerciseId && [...one.limbs].sort().join() === [...other.limbs].sort().join();

function afterStop({ now, context }: Look): Recommendation | null {
  if (!now.stopSign) return null;
  const label = SIGNS[now.stopSign].label;
  if (!now.pressure) {
    const reason = msg('{label}: hold, screen again, then find a looser one.', { label });
    return { rule: 'REV-1', change: {}, reason };
  }
  const reason = msg('{label}: hold, screen again, then start lower.', { label });
  const { heldPercent } = now.pressure;
  const to = Math.max(0, Math.min(heldPercent - POINTS.down, context.capPercentLop ?? heldPercent));
  return { rule: 'REV-1', change: toPercent(now, to), reason };
}

function afterPain({ now, context }: Look): Recommendation | null {
  const rise = now.mostPain - (context.painBefore ?? 0);
  const roseTooFar = rise > PAIN.riseMost && now.mostPain > PAIN.fine;
  if (now.mostPain <= PAIN.most && !roseTooFar) return null;
  const { mostPain } = now;
  const reason =
    rise > 0
      ? msg('Joint pain reached {mostPain} of 10, up {rise}.', { mostPain, rise })
      : msg('Joint pain reached {mostPain} of 10.', { mostPain });
  return { rule: 'REV-2', change: lighter(now, context), reason };
}

/** A blood pressure that did not come back in time: a looser cuff (rule RUN-8). */
function bloodPressureHigh({ now, context }: Look): Recommendation | null {
  const reason = now.pressureNotBack;
  return reason ? { rule: 'RUN-8', change: looser(now, context), reason } : null;
}

/** A lighter version was for that day alone: nothing of the plan changes by it (rule SCR-3). */
function lighterThatDay({ now }: Look): Recommendation | null {
  return now.lighter
    ? {
        rule: 'SCR-3',
        change: {},
        reason: sentences(lighterWords(now.lighter), msg('The plan stays.')),
      }
    : null;
}

/** Sets to failure, passive and aerobic work know REV-1 and REV-2 only. */
function byOtherWork({ now }: Look): Recommendation | null {
  return now.reps
    ? null
    : { rule: 'REV-5', change: keep(now), reason: msg('Work without a count to reach: hold.') };
}

function firstSetShort({ now, context }: Look): Recommendation | null {
  const { firstShort, hardEarly } = repsIn(now);
  if (!firstShort && !hardEarly) return null;
  const low =
    now.load.percent === null || now.load.percent <= RULES['LOAD-3'].figures.percentOneRepMax.startLow;
  return low
    ? {
        rule: 'REV-3',
        change: looser(now, context),
        reason: firstShort
          ? msg('Set one was not finished, and the load is already low.')
          : msg('Set one became hard early, and the load is already low.'),
      }
    : {
        rule: 'REV-3',
        change: lighter(now, context),
        reason: firstShort ? msg('Set one was not finished.') : msg('Set one became hard early.'),
      };
}

function tooFew({ now, context }: Look): Recommendation | null {
  const { done, planned } = repsIn(now);
  if (done >= ENOUGH_SHARE * planned) return null;
  const reason = msg('{done} of {planned} repetitions.', { done, planned });
  return now.restMs < REST.mostMs
    ? { rule: 'REV-4', change: { ...keep(now), restMs: longerRest(now) }, reason }
    : { rule: 'REV-4', change: lighter(now, context), reason };
}

function onTarget({ now }: Look): Recommendation | null {
  const { done, planned } = repsIn(now);
  if (done >= planned) return null;
  return {
    rule: 'REV-5',
    change: keep(now),
    reason: msg('{done} of {planned}, in sets two and later: on target.', { done, planned }),
  };
}

/** Rests or a pressure that made it easier than it was planned say nothing about what could rise. */
function lighterAllThrough({ now }: Look): Recommendation | null {
  return now.easedBy ? { rule: 'REV-6', change: keep(now), reason: now.easedBy } : null;
}

/** Who lifts heavy without pain needs the cuff no more (rule REV-8). */
function afterHeavyWork({ now }: Look): Recommendation | null {
  const { percentOneRepMax, painMost } = RULES['REV-8'].figures.heavyWork;
  const { heavy } = now;
  if (!heavy || heavy.percent < percentOneRepMax || heavy.pain > painMost) return null;
  const reason = msg('Heavy work at {percent} % of 1RM, joint pain {pain} of 10.', {
    percent: Math.floor(heavy.percent),
    pain: heavy.pain,
  });
  return { rule: 'REV-8', change: { ...keep(now), heavyBridge: true }, reason };
}

function readyForHeavy({ now, last, context }: Look): Recommendation | null {
  const { pressure } = now;
  const atTop =
    !pressure || pressure.heldPercent >= Math.min(pressure.usual, context.capPercentLop ?? pressure.usual);
  if (!isEasy(now) || !atTop || now.load.heavier || now.load.percent === null) return null;
  const values = { effort: effortOf(now), usualHigh: RULES['LOAD-3'].figures.percentOneRepMax.usualHigh };
  return last && isEasy(last)
    ? {
        rule: 'REV-8',
        change: { ...keep(now), heavyBridge: true },
        reason: msg(
          'All done, effort {effort}, and no step of load is left under {usualHigh} %, twice running.',
          values,
        ),
      }
    : {
        rule: 'REV-8',
        change: keep(now),
        reason: msg(
          'All done, effort {effort}, and no step of load is left under {usualHigh} %: once more before the heavy bridge.',
          values,
        ),
      };
}

function easy({ now, context }: Look): Recommendation | null {
  if (!isEasy(now)) return null;
  const { pressure } = now;
  if (pressure) {
    const { heldPercent, usual } = pressure;
    const top = Math.min(usual, context.capPercentLop ?? usual, context.rampPercentLop ?? usual);
    if (heldPercent < top) {
      return {
        rule: 'REV-7',
        change: { ...keep(now), ...toPercent(now, Math.min(top, heldPercent + POINTS.up)) },
        reason: msg('All done, effort {effort}: pressure towards {top} %.', { effort: effortOf(now), top }),
      };
    }
    if (context.rampPercentLop !== null && context.rampPercentLop <= top && top < usual) {
      return {
        rule: 'REV-7',
        change: keep(now),
        reason: msg('All done, effort {effort}: the ramp is at {top} % (PRS-4).', {
          effort: effortOf(now),
          top,
        }),
      };
    }
  }
  return {
    rule: 'REV-7',
    change: heavier(now),
    reason: msg('All done, effort {effort} at the usual pressure.', { effort: effortOf(now) }),
  };
}

function firm({ now, last }: Look): Recommendation {
  const { lastEffort } = now;
  if (lastEffort === null) {
    return {
      rule: 'REV-6',
      change: keep(now),
      reason: msg('All done, and effort was not noted: ask, and hold.'),
    };
  }
  const twice = last !== null && allDone(last) && bandOf(last) === bandOf(now);
  const reason = twice
    ? msg('All done, effort {effort}, twice running.', { effort: lastEffort })
    : msg('All done, effort {effort}: hold.', { effort: lastEffort });
  if (!twice) return { rule: 'REV-6', change: keep(now), reason };
  if (bandOf(now) === 'firm') return { rule: 'REV-6', change: heavier(now), reason };
  const longer = now.restMs < REST.mostMs ? { restMs: longerRest(now) } : {};
  return { rule: 'REV-6', change: { ...keep(now), ...longer }, reason };
}

const repsIn = ({ reps }: Done): Reps => {
  if (!reps) throw new RangeError('Work without a count is answered before its repetitions are looked at.');
  return reps;
};

const allDone = ({ reps, easedBy }: Done): boolean =>
  reps !== null && reps.done >= reps.planned && easedBy === null;

const bandOf = ({ lastEffort }: Done): 'easy' | 'firm' | 'hard' | 'unknown' => {
  if (lastEffort === null) return 'unknown';
  if (lastEffort <= EASY_MOST) return 'easy';
  return lastEffort <= FIRM_MOST ? 'firm' : 'hard';
};

const isEasy = (done: Done): boolean => allDone(done) && bandOf(done) === 'easy';

/** The effort of work that was judged by it. */
const effortOf = ({ lastEffort }: Done): number => lastEffort ?? 0;

const longerRest = ({ restMs }: Done): number => Math.min(REST.mostMs, restMs + REST.stepMs);

/** A change of the signed pressure that brings it to a share of LOP. */
function toPercent({ pressure }: Done, percentLop: number): Change {
  if (!pressure) return {};
  const pressurePoints = percentLop - (pressure.heldPercent - pressure.points);
  return pressurePoints === 0 ? {} : { pressurePoints };
}

const stepsTo = (loadSteps: number): Change => (loadSteps === 0 ? {} : { loadSteps });

/** What was really done, again: what was loosened or lightened in the session stays so. */
const keep = ({ pressure, load }: Done): Change => ({
  ...(pressure && pressure.points < 0 ? { pressurePoints: pressure.points } : {}),
  ...stepsTo(load.steps),
});

/** One step of the kit up from what was lifted. */
function heavier(now: Done): Change {
  const { loadSteps: _, ...kept } = keep(now);
  return { ...kept, ...stepsTo(now.load.heavier ? now.load.steps + 1 : now.load.steps) };
}

/** One step down; where nothing is lighter, a looser cuff (rules REV-2, REV-3, REV-4). */
const lighter = (now: Done, context: ReviewContext): Change =>
  now.load.lighter ? { ...keep(now), loadSteps: now.load.steps - 1 } : looser(now, context);

/** Ten points down from what was held, never under the floor; at the floor, easier work. */
function looser(now: Done, { capPercentLop }: ReviewContext): Change {
  const { pressure } = now;
  if (!pressure) return { easier: true };
  const { heldPercent, leastPercent, floor } = pressure;
  const lowest = Math.min(floor, capPercentLop ?? floor);
  // Who already trains under the floor by a clinician's word stays.
  if (leastPercent <= lowest) return { ...keep(now), easier: true };
  const down = Math.min(RULES['REV-3'].figures.pointsDown, leastPercent - lowest);
  return { ...keep(now), ...toPercent(now, heldPercent - down) };
}
