import { type Doer, mayDo } from '#core/access';
import { type Finding, guardFindings, hardFindings } from '#core/findings';
import { msg } from '#core/message';
import { Problem, refusedByRules } from '../problem';

/**
 * Lets a write pass only within the rules: a hard finding never, a guard for a clinician with a reason (rule SCR-4).
 * @returns the guards that were passed, with the reason to keep beside them; the reason is null when there were none
 * @throws Problem 422 naming each finding at its place
 */
export function passGuards(
  findings: readonly Finding[],
  practitioner: Doer,
  overrideReason: string | undefined,
): { guards: Finding[]; reason: string | null } {
  if (hardFindings(findings).length > 0) throw refusedByRules(hardFindings(findings));
  const guards = guardFindings(findings);
  if (guards.length === 0) return { guards, reason: null };
  if (!mayDo(practitioner, 'pass-guard')) throw refusedByRules(guards);
  if (!overrideReason) {
    const message = msg('Give the reason for passing the guard.');
    throw new Problem(
      422,
      msg('A reason is needed'),
      msg('A guard is passed only with a clinician’s reason.'),
      [{ path: 'overrideReason', message, rule: 'SCR-4', level: 'guard' }],
    );
  }
  return { guards, reason: overrideReason };
}
