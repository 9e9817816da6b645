import { t } from '@lingui/core/macro';
import { type ReactNode, useState } from 'react';
import { type Finding, guardFindings, hardFindings } from '#core/findings';
import { fieldProblem } from '../../data/api';
import { useMay } from '../../data/queries';
import { Why } from '../base/Why';
import { Field, FieldError } from '../fields/Field';

/**
 * What is between findings and a write: a hard one never passes, a guard needs a clinician and a reason (rule SCR-4).
 * @param error of the write, whose word on the reason is shown beside it
 * @returns whether it may be written, what to send along, and the field to ask with
 */
export function useGuards(
  findings: readonly Finding[],
  error: unknown,
): { mayPass: boolean; reason: { overrideReason?: string }; asked: ReactNode } {
  const [overrideReason, setReason] = useState('');
  const guards = guardFindings(findings).length;
  const mayOverride = useMay('pass-guard');
  const passes = guards === 0 || (mayOverride && overrideReason.trim() !== '');
  const field = (
    <Field
      className="min-w-72 flex-1"
      label={t`Reason for passing ${guards === 1 ? t`the guard` : t`${guards} guards`}`}
      value={overrideReason}
      onChange={(event) => setReason(event.target.value)}
      error={fieldProblem(error, 'overrideReason')}
    />
  );
  const refusal = (
    <FieldError>
      {t`A guard is passed only by a clinician with a reason.`} <Why rule="SCR-4" />
    </FieldError>
  );
  return {
    mayPass: passes && hardFindings(findings).length === 0,
    reason: guards > 0 ? { overrideReason } : {},
    asked: guards === 0 ? null : mayOverride ? field : refusal,
  };
}
