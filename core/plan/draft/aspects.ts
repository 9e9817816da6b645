import { type Message, msg } from '../../message/message';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { type Exercise, musclesOf } from '../../protocol/exercise';
import type { ExerciseChoice } from '../choices';
import { isMeasuredIn } from '../draft-limb';
import { GOALS, isMixed } from '../goals';
import type { AspectId } from './judged';
import { likeness } from './likeness';
import { isTested, namedOn } from './pool';
import {
  asksForTest,
  changesIn,
  clamp,
  exercisesAsked,
  type For,
  groupsOf,
  isCarried,
  isolates,
  limbPositions,
  mean,
  minutesOf,
  sum,
  type Tried,
} from './tried';
import type { DraftWish } from './wish';
import type { Work } from './work';

export type Aspect = {
  /** The most points there are for it; all of them make 100. */
  points: number;
  label: Message;
  /** From 0, not at all, to 1: of each exercise, whose mean counts, or of the whole. */
  value: { each: (work: Work, of: For) => number } | { whole: (tried: Tried, of: For) => number };
  /** What was found of this session. */
  words: (tried: Tried, of: For) => Message;
};

/** How large the muscles of an exercise are, the largest being 1: larger before smaller (chapter 6). */
const MUSCLE_SIZES: Readonly<Record<string, number>> = {
  quadriceps: 1,
  buttock: 0.95,
  hamstrings: 0.9,
  legs: 1,
  thigh: 1,
  calf: 0.7,
  'hip abductors': 0.55,
  'hip adductors': 0.55,
  'hip flexors': 0.3,
  shin: 0.2,
  biceps: 1,
  triceps: 1,
  chest: 0.95,
  'upper back': 0.95,
  arms: 1,
  'upper arm': 1,
  shoulder: 0.8,
  'rear shoulder': 0.6,
  'shoulder blade': 0.55,
  'rotator cuff': 0.5,
  forearm: 0.5,
};
/** A muscle that a practice has typed. */
const OTHER_MUSCLE = 0.5;

/** How much of a resistance without kilograms there is for work that asks for a share of a 1RM (rule LOAD-5). */
const WITHOUT_KILOGRAMS: { [Equipment in Exercise['equipment']]?: number } = {
  bands: 0.4,
  'body-weight': 0.3,
};
const BY_THE_LIMB_ALONE = 0.1;

/** What a session is judged by, and how much each counts (docs/decisions/drafts.md). */
export const ASPECTS: Record<AspectId, Aspect> = {
  goal: {
    points: 18,
    label: msg('Fits the goal'),
    value: { each: goalValue },
    words: (_, { wish }) =>
      wish.goal === 'warm-up' && wish.beforeLift !== undefined
        ? msg('as near to the lift as can be')
        : msg('kinds of exercise that serve it'),
  },
  load: {
    points: 12,
    label: msg('Makes the load asked for'),
    value: { each: (work, { wish }) => loadValue(work, wish) },
    words: (tried, { wish }) => loadWords(tried, wish),
  },
  dose: {
    points: 12,
    label: msg('Whole schemes'),
    value: { each: (work) => shareOfSets(work) },
    words: (tried) =>
      msg('{kept} of {all} sets of the schemes', {
        kept: sum(tried.map(({ choices }) => sum(choices.map(({ sets }) => sets.length)))),
        all: sum(
          tried.map(({ choices }) =>
            sum(choices.map((choice) => Math.max(choice.sets.length, setsOfScheme(choice)))),
          ),
        ),
      }),
  },
  shape: {
    points: 16,
    label: msg('Number and variety'),
    value: { whole: shapeValue },
    words: (tried) =>
      msg(
        '{exercises, plural, one {# exercise} other {# exercises}} for {muscles, plural, one {# muscle group} other {# muscle groups}}',
        { exercises: tried.length, muscles: groupsOf(tried).size },
      ),
  },
  known: {
    points: 8,
    label: msg('Goes on with what is known'),
    value: { each: knownValue },
    words: (tried, { wish, basis }) =>
      msg('{carried} as last time, {tested} tested', {
        carried: tried.filter(({ id }) => isCarried(id, wish)).length,
        tested: tried.filter(({ id }) => isTested(id, basis)).length,
      }),
  },
  muscle: {
    points: 12,
    label: msg('Large muscles first'),
    value: { each: ({ exercise }) => muscleSize(exercise) },
    words: () => msg('by the size of what they work'),
  },
  measured: {
    points: 8,
    label: msg('Positions that were measured'),
    value: { each: measuredValue },
    words: (tried, { basis }) => {
      const positions = limbPositions(tried);
      return msg('{measured} of {all}', {
        measured: positions.filter(({ limb, position }) => isMeasuredIn(position, limb, basis)).length,
        all: positions.length,
      });
    },
  },
  isolates: {
    points: 6,
    label: msg('Isolated where that is better'),
    value: { each: ({ exercise }, of) => (isolates(of) ? Number(exercise.kind === 'isolated') : 1) },
    words: (tried, of) =>
      isolates(of)
        ? msg('{isolated} of {all} work one muscle alone', {
            isolated: tried.filter(({ exercise }) => exercise.kind === 'isolated').length,
            all: tried.length,
          })
        : msg('not asked for'),
  },
  time: {
    points: 4,
    label: msg('Time'),
    value: {
      whole: (tried, { wish }) => {
        const { minutes } = GOALS[wish.goal];
        return clamp(1 - (minutesOf(tried) - minutes) / minutes);
      },
    },
    words: (tried, { wish }) =>
      msg('about {minutes} min, {usual} usual', {
        minutes: Math.round(minutesOf(tried)),
        usual: GOALS[wish.goal].minutes,
      }),
  },
  changes: {
    points: 4,
    label: msg('Few changes'),
    value: {
      whole: (tried) => (tried.length < 2 ? 1 : 1 - changesIn(tried) / (2 * (tried.length - 1))),
    },
    words: (tried) =>
      msg('{changes, plural, =0 {no change} one {# change} other {# changes}} of kit or position', {
        changes: changesIn(tried),
      }),
  },
};

/** What is more upright than it was measured is a note: the true restriction is a little lower (rule LOP-5). */
function measuredValue(work: Work, { basis }: For): number {
  return mean(
    limbPositions([work]).map(({ limb, position }) =>
      isMeasuredIn(position, limb, basis) ? 1 : MORE_UPRIGHT,
    ),
  );
}
const MORE_UPRIGHT = 0.5;

function goalValue({ id, exercise }: Work, { wish, basis: { library } }: For): number {
  const kind = GOALS[wish.goal].kinds[exercise.kind] ?? 0;
  const named = namedOn(wish);
  if (named.length > 0) return named.includes(id) ? kind : kind * NOT_NAMED;
  if (wish.beforeLift !== undefined) return kind * likeness(wish.beforeLift, id, library) ** 2;
  // A pace that is known in watts or in speed can be followed.
  return exercise.kind === 'aerobic' && !exercise.ergometry ? kind * NOT_NAMED : kind;
}
const NOT_NAMED = 0.8;

function loadValue({ exercise, truePercent, choices }: Work, wish: DraftWish): number {
  if (!asksForTest(exercise, wish)) return 1;
  const [first] = choices;
  if (truePercent === null || first?.load.kind !== 'weighed')
    return WITHOUT_KILOGRAMS[exercise.equipment] ?? BY_THE_LIMB_ALONE;
  const wanted = first.load.percentOneRepMax;
  return clamp(1 - Math.abs(truePercent - wanted) / wanted);
}

function loadWords(tried: Tried, wish: DraftWish): Message {
  const asked = GOALS[wish.goal].percentOneRepMax;
  const made = tried.flatMap(({ truePercent }) => truePercent ?? []);
  if (asked === null || !tried.some(({ exercise }) => asksForTest(exercise, wish)))
    return msg('none is asked for');
  if (made.length === 0) return msg('{asked} % of 1RM asked for, no kilograms made', { asked });
  const [low, high] = [Math.min(...made), Math.max(...made)];
  return low === high
    ? msg('{asked} % of 1RM asked for, {low} % made', { asked, low })
    : msg('{asked} % of 1RM asked for, {low} to {high} % made', { asked, low, high });
}

const setsOfScheme = ({ protocolId }: ExerciseChoice): number => PROTOCOLS[protocolId].sets.length;

/** The share of its scheme that an exercise keeps. */
const shareOfSets = ({ choices }: Work): number =>
  mean(choices.map((choice) => Math.min(1, choice.sets.length / setsOfScheme(choice))));

function shapeValue(tried: Tried, of: For): number {
  const named = namedOn(of.wish);
  if (named.length > 0) return tried.filter(({ id }) => named.includes(id)).length / exercisesAsked(of);
  const { functional = 0, exercises } = GOALS[of.wish.goal];
  if (!isMixed(of.wish.goal)) return clamp(Math.min(groupsOf(tried).size, tried.length) / exercisesAsked(of));
  const everyday = tried.filter(({ exercise }) => exercise.kind === 'functional');
  const others = tried.filter(({ exercise }) => exercise.kind !== 'functional');
  return (
    (Math.min(groupsOf(others).size, exercises - functional) + Number(everyday.length === functional)) /
    (exercises - functional + 1)
  );
}

/** Whether a session has the number and variety that its goal is named for; of other goals any has. */
export const hasItsShape = (tried: Tried, of: For): boolean =>
  !isMixed(of.wish.goal) || shapeValue(tried, of) === 1;

function knownValue({ id, exercise }: Work, { wish, basis }: For): number {
  if (isCarried(id, wish)) return 1;
  if (wish.carried.length > 0) return isTested(id, basis) ? 0.4 : 0;
  return isTested(id, basis) || !asksForTest(exercise, wish) ? 1 : UNTESTED;
}

const UNTESTED = 0.25;

const muscleSize = ({ muscle }: Exercise): number =>
  Math.max(...musclesOf(muscle).map((name) => MUSCLE_SIZES[name] ?? OTHER_MUSCLE));
