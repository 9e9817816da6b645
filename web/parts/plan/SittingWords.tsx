import { t } from '@lingui/core/macro';
import type { Plan } from '#core/plan';
import { adjunctText, type PlannedAdjunct, sittingPart } from '#core/protocol';
import { translate } from '../../language/translate';

const HEADS: Record<PlannedAdjunct['when'], string> = { before: t`First`, after: t`Afterwards` };

/** What of the sitting comes before or after the cuff, on one line; nothing where that is nothing. */
export function SittingWords({ plan, when }: { plan: Pick<Plan, 'sitting'>; when: PlannedAdjunct['when'] }) {
  const part = sittingPart(plan.sitting, when);
  if (part.length === 0) return null;
  return (
    <p className="break-inside-avoid">
      <strong>{HEADS[when]}:</strong> {part.map((one) => translate(adjunctText(one))).join(t`, then `)}.
    </p>
  );
}
