import { randomUUID } from 'node:crypto';
import type { Context } from 'hono';
import { type CoursePlanChoice, nameOf } from '#core/course';
import type { Finding } from '#core/findings';
import { type Message, msg } from '#core/message';
import type { Plan } from '#core/plan';
import { guardsThatStand, type PrescriptionFact } from '#core/record';
import { inEnglish } from '#language/render';
import type { Env } from '../../context';
import type { NoteOnRecord } from '../../db/audit';
import { withAudit } from '../../db/with-audit';
import { coursePlanRecord } from '../course-plan';
import { prescriptionRecord } from '../prescription';
import { keepRow } from '../write';

/** A version to keep, signed by the practitioner of the request. */
export type VersionToKeep = {
  clientId: string;
  /** The plan it is a version of, or the one to begin with it. */
  coursePlan: { id: string } | CoursePlanChoice;
  plan: Plan;
  findings: readonly Finding[];
  overrideReason: string | null;
  retargets: string | null;
  /** Made by the answer to a review (rule REV-10). */
  isByReview?: boolean;
  changes: readonly Message[];
};

/** Keeps a signed version, and the plan it begins where it is the first. @param note its audit entry, but for the version's id */
export async function keepVersion(
  c: Context<Env>,
  note: NoteOnRecord,
  { coursePlan, ...version }: VersionToKeep,
): Promise<void> {
  const [exercise] = version.plan.exercises;
  const [target] = exercise?.limbs ?? [];
  if (!exercise || !target) throw new Error('A composed plan has no exercise.');
  const id = randomUUID();
  const coursePlanId = 'id' in coursePlan ? coursePlan.id : randomUUID();
  const detail = { id, coursePlanId, ...note.detail };
  await withAudit(c, { action: note.action, subject: version.clientId, detail }, (prepare) => {
    if (!('id' in coursePlan)) {
      const { name, occasion, untilMs } = coursePlan;
      keepRow(prepare, coursePlanRecord, {
        id: coursePlanId,
        clientId: version.clientId,
        name: name ?? inEnglish(nameOf(version.plan)),
        isNamed: name !== null,
        occasion,
        untilMs,
        state: 'in-force',
      });
    }
    keepRow(prepare, prescriptionRecord, {
      ...version,
      id,
      coursePlanId,
      findings: [...version.findings],
      changes: [...version.changes],
      atMs: c.var.nowMs,
      signedBy: c.var.practitioner.id,
      exerciseId: exercise.exerciseId,
      limb: target.limb,
    });
  });
}

/** Guards that stay passed as they were signed, as the findings they were. */
export const findingsOf = (prescription: PrescriptionFact): Finding[] =>
  guardsThatStand(prescription).map(({ rule, subject, exerciseIndex }) => ({
    rule,
    subject,
    level: 'guard',
    message: msg('Passed when it was first signed.'),
    remedy: msg('Nothing more is asked.'),
    ...(exerciseIndex === null ? {} : { exerciseIndex }),
  }));
