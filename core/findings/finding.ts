import type { Message } from '../message/message';
import type { Rung } from '../protocol/exercise';
import type { TempoId } from '../protocol/tempo';
import type { Limb, Position } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';

/** A change of one choice: of the exercise a finding belongs to, or of every exercise when it belongs to none. */
export type Fix =
  /** The most or the least that each limb, or one alone, may have: one that keeps to it already stays as it is. */
  | { set: 'percentLop'; to: number; as: 'most' | 'least'; limb?: Limb }
  | { set: 'pressureMmHg' | 'percentOneRepMax' | 'restMs'; to: number }
  | { set: 'tempoId'; to: TempoId }
  | { set: 'position'; to: Position }
  | { set: 'weightKitId'; to: string }
  | { set: 'release'; to: 'each-rest' | 'after-exercise' }
  | { set: 'order'; to: 'compound-first' }
  | { set: 'exercise'; to: 'remove' }
  | { set: 'limbs'; to: 'one' }
  | { set: 'inForce'; to: 'pressure' | 'test' }
  /** Up to where a figure moves (rule CRS-1). */
  | { set: 'bound'; figure: string; to: number }
  /** Work of a rung that is signed ahead (rule PRO-5). */
  | { set: 'rung'; to: 'leave-out'; rung: Rung };

/**
 * What a check found. `hard` cannot be passed by anyone; `guard` needs a clinician and a reason;
 * `note` informs. `subject` names the field or the place on the timeline the finding belongs to.
 */
export type Finding = {
  rule: RuleId;
  level: 'hard' | 'guard' | 'note';
  subject: string;
  message: Message;
  remedy: Message;
  /** Place in the session of the exercise it belongs to, where it belongs to one. */
  exerciseIndex?: number;
  /** May be signed as it is, but a session does not open on it (rule START-1). */
  hardWhenRun?: true;
  /** The remedy as a change that can be applied at once, where there is one. */
  fix?: Fix;
};

export const hardFindings = (findings: readonly Finding[]): Finding[] =>
  findings.filter((finding) => finding.level === 'hard');
export const guardFindings = (findings: readonly Finding[]): Finding[] =>
  findings.filter((finding) => finding.level === 'guard');
