import { z } from 'zod';
import { capital, type Message, msg } from '../message/message';
import type { PlannedAdjunct } from '../protocol/adjunct';
import { SCHOOLS } from '../protocol/data/schools';
import type { Exercise, LadderRung, Rung } from '../protocol/exercise';
import type { ExerciseId } from '../protocol/exercises';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import type { RuleId } from '../rules/catalogue';

export const goalIdSchema = z.enum([
  'size',
  'strength-bridge',
  'keep',
  'rehab',
  'warm-up',
  'recovery',
  'aerobic',
  'passive',
  'cycles',
  'three-and-one',
  'pain-relief',
  'functional',
  'finisher',
]);
export type GoalId = z.infer<typeof goalIdSchema>;

/** What a session is for, and what a first draft of it looks like (chapter 6, rules PRO-4, PRO-5). */
export type Goal = {
  label: Message;
  /** Null takes the school's usual scheme. */
  protocolId: ProtocolId | null;
  /** Share of 1RM to start from, in %; null for work without weights. */
  percentOneRepMax: number | null;
  /** Most exercises a draft takes for each limb. */
  exercises: number;
  /** How many of them are functional; not there where that is left to the search. */
  functional?: number;
  /** Which exercises of the library it is made from. */
  from: 'tested' | 'rung' | 'body-weight' | 'functional' | 'aerobic' | 'passive';
  /** How well each kind of exercise serves it, 1 being best; what is not named does not. */
  kinds: { [Kind in Exercise['kind']]?: number };
  /** Exercises that work one muscle alone are better. */
  isolates?: true;
  /** Where both limbs of a pair can be trained, both at once. */
  both?: true;
  /** How long it usually takes, for one limb or a pair. */
  minutes: number;
  /** What to know about it, and by which rule. */
  word: Message;
  rule: RuleId;
  /** Usual adjuncts. */
  sitting?: readonly PlannedAdjunct[];
};

export const GOALS: Record<GoalId, Goal> = {
  size: {
    label: msg('Size'),
    protocolId: null,
    percentOneRepMax: 25,
    exercises: 3,
    from: 'tested',
    kinds: { compound: 1, isolated: 0.9, functional: 0.7 },
    minutes: 25,
    word: msg('Growth is seen from about the third week, with two to three sessions a week.'),
    rule: 'PRO-3',
  },
  'strength-bridge': {
    label: msg('Strength bridge'),
    protocolId: 'near-failure',
    percentOneRepMax: 30,
    exercises: 2,
    from: 'tested',
    kinds: { compound: 1, isolated: 0.7, functional: 0.6 },
    minutes: 25,
    word: msg('A bridge while heavy work is not possible. Maximal strength needs heavy work.'),
    rule: 'PRO-4',
  },
  keep: {
    label: msg('Keep, in a deload'),
    protocolId: 'standard-75',
    percentOneRepMax: 20,
    exercises: 2,
    from: 'tested',
    kinds: { compound: 1, isolated: 0.8, functional: 0.7 },
    minutes: 20,
    word: msg('Stands in for up to 60 % of the heavy volume in a deload week.'),
    rule: 'PRO-4',
  },
  rehab: {
    label: msg('Rehabilitation rung'),
    protocolId: null,
    percentOneRepMax: 20,
    exercises: 2,
    from: 'rung',
    kinds: { isolated: 1, functional: 1, compound: 0.8, passive: 1, aerobic: 0.9 },
    minutes: 25,
    word: msg('The rung is entered by pain, swelling, range, days since surgery and the clinician’s word.'),
    rule: 'PRO-5',
  },
  'warm-up': {
    label: msg('Warm-up'),
    protocolId: 'warm-up',
    percentOneRepMax: null,
    exercises: 1,
    from: 'body-weight',
    kinds: { functional: 1, compound: 0.9, isolated: 0.5 },
    both: true,
    minutes: 8,
    word: msg('Before the main work: body weight, 60 % of LOP, three to five sets of 15.'),
    rule: 'PRO',
    sitting: [{ when: 'after', what: 'heavy-lift', words: '' }],
  },
  recovery: {
    label: msg('Light recovery'),
    protocolId: 'recovery-light',
    percentOneRepMax: null,
    exercises: 3,
    from: 'body-weight',
    kinds: { isolated: 1, functional: 0.9, compound: 0.7 },
    both: true,
    minutes: 15,
    word: msg('Three light exercises; stop at mild fatigue.'),
    rule: 'PRO',
  },
  aerobic: {
    label: msg('Aerobic'),
    protocolId: 'aerobic',
    percentOneRepMax: null,
    exercises: 1,
    from: 'aerobic',
    kinds: { aerobic: 1 },
    both: true,
    minutes: 15,
    word: msg('Talking pace. Heart rate is noted at minute 5 and at the end.'),
    rule: 'PRO',
  },
  passive: {
    label: msg('Passive'),
    protocolId: 'passive-recovery',
    percentOneRepMax: null,
    exercises: 1,
    from: 'passive',
    kinds: { passive: 1 },
    minutes: 30,
    word: msg('Lying or sitting, no exercise. Prescribed by a clinician.'),
    rule: 'PRS-3',
  },
  cycles: {
    label: msg('Cuff cycles'),
    protocolId: 'cycles',
    percentOneRepMax: null,
    exercises: 1,
    from: 'passive',
    kinds: { passive: 1 },
    minutes: 10,
    word: msg(
      'The cuff up and down, a little tighter each time, at rest or with gentle movement: before training, or alone and several times a day.',
    ),
    rule: 'PRS-9',
  },
  'three-and-one': {
    label: msg('Three muscles and one functional'),
    protocolId: null,
    percentOneRepMax: 25,
    exercises: 4,
    functional: 1,
    from: 'tested',
    kinds: { isolated: 1, compound: 0.8, functional: 1 },
    minutes: 40,
    word: msg('One exercise for each of three muscles, and one that uses them together.'),
    rule: 'PRO',
  },
  'pain-relief': {
    label: msg('Pain relief'),
    protocolId: 'standard-75',
    percentOneRepMax: 20,
    exercises: 1,
    from: 'tested',
    kinds: { isolated: 1, compound: 0.7 },
    isolates: true,
    minutes: 12,
    word: msg('The movement that provokes the pain is rated before the cuff and after it, 0 to 10.'),
    rule: 'REV-2',
    sitting: [
      { when: 'before', what: 'provoking-test', words: '' },
      { when: 'after', what: 'provoking-test', words: '' },
    ],
  },
  functional: {
    label: msg('Functional'),
    protocolId: 'falling-reps',
    percentOneRepMax: null,
    exercises: 2,
    functional: 2,
    from: 'functional',
    kinds: { functional: 1 },
    both: true,
    minutes: 15,
    word: msg('Everyday movements: standing up, steps, stairs.'),
    rule: 'PRO',
  },
  finisher: {
    label: msg('Finisher'),
    protocolId: 'quick-pair',
    percentOneRepMax: 25,
    exercises: 1,
    from: 'tested',
    kinds: { isolated: 1, compound: 0.8 },
    isolates: true,
    both: true,
    minutes: 6,
    word: msg('After the main lifts, in the same sitting: one exercise, and the cuff comes off.'),
    rule: 'PRO-4',
    sitting: [{ when: 'before', what: 'heavy-lift', words: '' }],
  },
};

/** The scheme each rung of the ladder is drafted with (rule PRO-5). */
const RUNG_PROTOCOLS: Record<Rung, ProtocolId> = {
  passive: 'passive-rehab',
  isometric: 'falling-reps',
  unloaded: 'standard-75',
  loaded: 'standard-75',
  functional: 'falling-reps',
};

/** Whether a goal is for functional exercises and others, each in their number. */
export const isMixed = (goal: GoalId): boolean => {
  const { functional, exercises } = GOALS[goal];
  return functional !== undefined && functional < exercises;
};

/** The scheme that work for a goal is drafted with. */
export function protocolFor(goal: GoalId, rung: Rung, schoolId: SchoolId): ProtocolId {
  if (goal === 'rehab') return RUNG_PROTOCOLS[rung];
  return GOALS[goal].protocolId ?? SCHOOLS[schoolId].usualProtocol;
}

/** What a rung is drafted with where it fits: low steps, stairs and walking before anything else (rule PRO-5). */
export const RUNG_EXERCISES: { [On in Rung]?: readonly ExerciseId[] } = {
  functional: ['step-up-10', 'stairs-up', 'stairs-down', 'walking'],
};

/** A rung as it is within a sentence. */
export const RUNG_NAMES: Record<LadderRung, Message> = {
  passive: msg('passive'),
  isometric: msg('isometric'),
  unloaded: msg('unloaded'),
  loaded: msg('loaded, isolated'),
  functional: msg('functional'),
  done: msg('done with the cuff'),
};

/** A rung as a heading. */
export const RUNG_LABELS: Record<LadderRung, Message> = {
  passive: capital(RUNG_NAMES.passive),
  isometric: capital(RUNG_NAMES.isometric),
  unloaded: capital(RUNG_NAMES.unloaded),
  loaded: capital(RUNG_NAMES.loaded),
  functional: capital(RUNG_NAMES.functional),
  done: capital(RUNG_NAMES.done),
};
