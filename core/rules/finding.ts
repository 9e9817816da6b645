import type { RuleId } from './catalogue';

/**
 * What a check found. `hard` cannot be passed by anyone; `guard` needs a clinician and a reason;
 * `note` informs. `subject` names the field or the place on the timeline the finding belongs to.
 */
export type Finding = {
  rule: RuleId;
  level: 'hard' | 'guard' | 'note';
  subject: string;
  message: string;
  remedy: string;
};

export const hardFindings = (findings: readonly Finding[]): Finding[] =>
  findings.filter((finding) => finding.level === 'hard');
export const guardFindings = (findings: readonly Finding[]): Finding[] =>
  findings.filter((finding) => finding.level === 'guard');
