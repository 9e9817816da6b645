import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { Plan } from '#core/plan';
import { type PrescriptionFact, recheck } from '#core/record';

/** What a plan asks for today (rule CRS-2); as it was signed where it cannot be composed any more. */
export const planToday = (
  prescription: PrescriptionFact,
  { facts, judgedAtMs }: Pick<ClientRecord, 'facts' | 'judgedAtMs'>,
  practice: PracticeView,
): Plan => recheck(prescription, facts, practice, judgedAtMs).plan ?? prescription.plan;
