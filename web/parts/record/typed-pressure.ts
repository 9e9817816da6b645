import { t } from '@lingui/core/macro';
import { toNumber } from '#core/quantity';
import { type BloodPressure, bloodPressureSchema } from '#core/screening';

/** A blood pressure as typed, so that nothing typed is lost. */
export type TypedPressure = { upper: string; lower: string };
export const NO_PRESSURE: TypedPressure = { upper: '', lower: '' };

/** What was typed as a reading, or the words beside the field that is wrong; null while it is not complete. */
export function readPressure({ upper, lower }: TypedPressure): {
  reading: BloodPressure | null;
  wrong: { upper?: string; lower?: string };
} {
  if (upper.trim() === '' || lower.trim() === '') return { reading: null, wrong: {} };
  const parsed = bloodPressureSchema.safeParse({
    systolicMmHg: toNumber(upper),
    diastolicMmHg: toNumber(lower),
  });
  if (parsed.success) return { reading: parsed.data, wrong: {} };
  const [issue] = parsed.error.issues;
  const field = issue?.path[0] === 'systolicMmHg' ? 'upper' : 'lower';
  return { reading: null, wrong: { [field]: issue?.message ?? t`Read again.` } };
}
