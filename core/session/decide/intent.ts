import type { Output } from '../../aerobic/output';
import type { WeightKit } from '../../load/weight-kit';
import type { Message } from '../../message/message';
import type { Plan } from '../../plan/plan';
import type { Adjunct } from '../../protocol/adjunct';
import type { Limb } from '../../quantity/limb';
import type { BloodPressure } from '../../screening/blood-pressure';
import type { BloodPressureMoment, EventBody, FollowUp, StopReason } from '../events';
import type { ReviewAnswer } from '../events/values';
import type { HeartRateMoment } from '../heart-rate-moment';
import type { HeartRateTrace } from '../heart-rate-trace';
import type { SetPlace } from '../places';
import type { SignId } from '../signs';
import type { SessionState } from '../state';

/** What an operator or a device means to do. Where no limb is named, all of the exercise in hand are meant. */
export type Intent =
  /** The one thing expected next: what Space does. */
  | { do: 'next' }
  | { do: 'top-up'; limb?: Limb }
  /** 10 mmHg looser, or one mark under a strap; with the cuff down, for the next inflation. */
  | { do: 'loosen'; limb?: Limb; byMmHg?: number }
  /** 10 mmHg or one mark up, once before a set, never over what was signed (rule RUN-4). */
  | { do: 'raise'; limb?: Limb }
  | { do: 'read'; limb: Limb; pressureMmHg: number }
  /** A pump reports what it reads. */
  | { do: 'pump-reports'; limb: Limb; pressureMmHg: number }
  /** Without limbs: every cuff that is up. */
  | { do: 'release'; limbs?: readonly Limb[] }
  /** The cuff pinches: down, up the limb, and the set again (rule FIT-4). */
  | { do: 're-fit' }
  | { do: 'take-back-end' }
  | { do: 'stop'; why: Message }
  /** The stop was a touch in error: it goes on, with the cuff down. */
  | { do: 'take-back-stop' }
  | { do: 'note-sign'; sign: SignId; limbs?: readonly Limb[]; note?: string }
  | { do: 'check-colour'; good: boolean; place?: SetPlace }
  | { do: 'note-set'; place?: SetPlace; effort?: number; jointPain?: number; reason?: StopReason }
  | { do: 'became-hard'; place?: SetPlace; rep?: number }
  | { do: 'correct-reps'; byReps: number; place?: SetPlace }
  | { do: 'confirm-reps'; place?: SetPlace }
  | { do: 'correct-start'; byMs: number; place?: SetPlace }
  | { do: 'correct-load'; loadKg: number; place?: SetPlace }
  | { do: 'lay-heart-rate'; trace: HeartRateTrace }
  | { do: 'note-heart-rate'; moment: HeartRateMoment; beatsPerMinute: number; place?: SetPlace }
  | { do: 'note-output'; output: Output; place?: SetPlace }
  | { do: 'note-blood-pressure'; moment: BloodPressureMoment; reading: BloodPressure }
  | {
      do: 'note-adjunct';
      what: Adjunct;
      words: string;
      girthCm?: number | undefined;
      painOfTen?: number | undefined;
    }
  | { do: 'rate-session'; effort: number }
  | { do: 'answer-offer'; accepted: boolean }
  | { do: 'undo'; eventId: string }
  | { do: 'take-over'; runner: string; practitionerId: string | null }
  | { do: 'hand-over'; to: string }
  | ({ do: 'answer-review' } & ReviewAnswer)
  | ({ do: 'follow-up' } & FollowUp);

/** What a device is to do about it: bring a cuff to a pressure, or let it down. */
export type Effect = { do: 'bring'; limb: Limb; pressureMmHg: number } | { do: 'deflate'; limb: Limb };

/** What comes of an intention: events for the log and effects for the pumps; or why nothing does, in words. */
export type Decision = { events: EventBody[]; effects: Effect[]; refused: Message | null };

/** Cuffs whose regulated pump is connected: it takes commands, and reports by itself when the cuff is up. */
export type Hands = { pumped: readonly Limb[] };

/** What is the practice's and no caller's: above what blood pressure work ends (rule RUN-8), and its weights. */
export type House = { stopAbove: BloodPressure; weightKits: readonly WeightKit[] };

/** What every intention is decided from. */
export type Situation = { plan: Plan; state: SessionState; nowMs: number; hands: Hands; house: House };

export const decided = (events: EventBody[], effects: Effect[] = []): Decision => ({
  events,
  effects,
  refused: null,
});
export const refuse = (words: Message): Decision => ({ events: [], effects: [], refused: words });
