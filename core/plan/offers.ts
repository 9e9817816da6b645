import type { Finding } from '../findings/finding';
import { applyFix } from './apply-fix';
import type { Basis } from './basis';
import type { SessionChoice } from './choices';
import { composeCourse } from './compose-course';

const HEIGHT: Record<Finding['level'], number> = { note: 0, guard: 1, hard: 2 };

/**
 * The findings whose remedy is offered as one key, since it leads somewhere better: applied, it takes the finding away and brings
 * none of a higher level. The usual rest that would keep the cuff up past its limit is said, and not offered.
 * @param findings of the session on this basis
 */
export const offers = (session: SessionChoice, findings: readonly Finding[], basis: Basis): Finding[] =>
  findings.filter((finding) => {
    if (!finding.fix) return false;
    const fixed = applyFix(session, finding, basis);
    // Nothing is left to judge where the only exercise was removed.
    if (fixed.exercises.length === 0) return true;
    const after = composeCourse(fixed, basis).findings;
    return alike(after, finding) < alike(findings, finding) && !bringsHigher(findings, after, finding.level);
  });

/** How many findings there are of the same kind: of one rule, about one thing, at one level. */
const alike = (findings: readonly Finding[], { rule, subject, level }: Finding): number =>
  findings.filter((one) => one.rule === rule && one.subject === subject && one.level === level).length;

/** Whether there are more findings above a level than before, of any one kind. */
const bringsHigher = (
  before: readonly Finding[],
  after: readonly Finding[],
  level: Finding['level'],
): boolean =>
  after.some(
    (finding) => HEIGHT[finding.level] > HEIGHT[level] && alike(after, finding) > alike(before, finding),
  );
