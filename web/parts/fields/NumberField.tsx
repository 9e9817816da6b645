import { t } from '@lingui/core/macro';
import { Field } from './Field';
import { useTypedNumber } from './use-typed-number';

/** A labelled field for a number. */
export function NumberField({
  value,
  onValue,
  ...rest
}: Omit<React.ComponentProps<typeof Field>, 'value' | 'onChange' | 'ref'> & {
  value: number;
  onValue: (value: number) => void;
}) {
  const { typed, type, untyped } = useTypedNumber(value, onValue);
  return (
    <Field
      number="decimal"
      {...rest}
      value={typed}
      error={rest.error ?? (untyped ? t`Enter a number.` : undefined)}
      onChange={(event) => type(event.target.value)}
    />
  );
}
