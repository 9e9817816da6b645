import { z } from 'zod';
import type { PlannedBeside } from '../protocol/beside';
import type { LadderRung, Rung } from '../protocol/exercise';
import type { ProtocolId } from '../protocol/protocols';
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
]);
export type GoalId = z.infer<typeof goalIdSchema>;

/** What a session is for, and what a first draft of it looks like (chapter 6, rules PRO-4, PRO-5). */
export type Goal = {
  label: string;
  /** Null takes the school's usual scheme. */
  protocolId: ProtocolId | null;
  /** Share of 1RM to start from, in %; null for work without weights. */
  percentOneRepMax: number | null;
  /** Most exercises a draft takes for each limb. */
  exercises: number;
  /** Which exercises of the library it is made from. */
  from: 'tested' | 'rung' | 'body-weight' | 'aerobic' | 'passive';
  /** What to know about it, and by which rule. */
  word: string;
  rule: RuleId;
  /** What usually belongs to the sitting besides. */
  sitting?: readonly PlannedBeside[];
};

export const GOALS: Record<GoalId, Goal> = {
  size: {
    label: 'Size',
    protocolId: null,
    percentOneRepMax: 25,
    exercises: 3,
    from: 'tested',
    word: 'Growth is seen from about the third week, with two to three sessions a week.',
    rule: 'PRO-3',
  },
  'strength-bridge': {
    label: 'Strength bridge',
    protocolId: 'near-failure',
    percentOneRepMax: 30,
    exercises: 2,
    from: 'tested',
    word: 'A bridge while heavy work is not possible. Maximal strength needs heavy work.',
    rule: 'PRO-4',
  },
  keep: {
    label: 'Keep, in a deload',
    protocolId: 'standard-75',
    percentOneRepMax: 20,
    exercises: 2,
    from: 'tested',
    word: 'Stands in for up to 60 % of the heavy volume in a deload week.',
    rule: 'PRO-4',
  },
  rehab: {
    label: 'Rehabilitation rung',
    protocolId: null,
    percentOneRepMax: 20,
    exercises: 2,
    from: 'rung',
    word: 'The rung is entered by pain, swelling, range, days since surgery and the clinician’s word.',
    rule: 'PRO-5',
  },
  'warm-up': {
    label: 'Warm-up',
    protocolId: 'warm-up',
    percentOneRepMax: null,
    exercises: 1,
    from: 'body-weight',
    word: 'Before the main work: body weight, 60 % of LOP, three to five sets of 15.',
    rule: 'PRO',
    sitting: [{ when: 'after', what: 'heavy-lift', words: '' }],
  },
  recovery: {
    label: 'Light recovery',
    protocolId: 'recovery-light',
    percentOneRepMax: null,
    exercises: 3,
    from: 'body-weight',
    word: 'Three light exercises; stop at mild fatigue.',
    rule: 'PRO',
  },
  aerobic: {
    label: 'Aerobic',
    protocolId: 'aerobic',
    percentOneRepMax: null,
    exercises: 1,
    from: 'aerobic',
    word: 'Talking pace. Heart rate is noted at minute 5 and at the end.',
    rule: 'PRO',
  },
  passive: {
    label: 'Passive',
    protocolId: 'passive-recovery',
    percentOneRepMax: null,
    exercises: 1,
    from: 'passive',
    word: 'Lying or sitting, no exercise. Prescribed by a clinician.',
    rule: 'PRS-3',
  },
  cycles: {
    label: 'Cuff cycles',
    protocolId: 'cycles',
    percentOneRepMax: null,
    exercises: 1,
    from: 'passive',
    word: 'The cuff up and down, a little tighter each time, at rest or with gentle movement: before training, or alone and several times a day.',
    rule: 'PRS-9',
  },
};

/** The scheme each rung of the ladder is drafted with (rule PRO-5). */
export const RUNG_PROTOCOLS: Record<Rung, ProtocolId> = {
  passive: 'passive-rehab',
  isometric: 'falling-reps',
  unloaded: 'standard-75',
  loaded: 'standard-75',
  functional: 'falling-reps',
};

export const RUNG_LABELS: Record<LadderRung, string> = {
  passive: 'Passive',
  isometric: 'Isometric',
  unloaded: 'Unloaded',
  loaded: 'Loaded, isolated',
  functional: 'Functional',
  done: 'Done with the cuff',
};
