import { t } from '@lingui/core/macro';
import { Field } from '../fields/Field';
import { readPressure, type TypedPressure } from './typed-pressure';

/** Upper and lower reading side by side. */
export function BloodPressureFields({
  label,
  typed,
  onChange,
}: {
  label: string;
  typed: TypedPressure;
  onChange: (typed: TypedPressure) => void;
}) {
  const { wrong } = readPressure(typed);
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      <Field
        label={t`${label}, upper`}
        unit="mmHg"
        number="whole"
        value={typed.upper}
        onChange={(event) => onChange({ ...typed, upper: event.target.value })}
        error={wrong.upper}
      />
      <Field
        label={t`lower`}
        aria-label={t`${label}, lower`}
        unit="mmHg"
        number="whole"
        value={typed.lower}
        onChange={(event) => onChange({ ...typed, lower: event.target.value })}
        error={wrong.lower}
      />
    </div>
  );
}
