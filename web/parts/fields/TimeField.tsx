import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { readTypedTime } from '#core/table';
import { Field } from './Field';

/** A time of day, typed as one says it: 17:30, 1730 or 5.30 pm. @param value hours and minutes, or empty */
export function TimeField({
  label,
  value,
  onChange,
  error,
  className = '',
}: {
  label: string;
  value: string;
  onChange: (time: string) => void;
  error?: string | undefined;
  className?: string;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && typed.trim() !== '' && readTypedTime(typed) === null;
  return (
    <Field
      className={className}
      label={label}
      inputMode="text"
      autoComplete="off"
      value={typed ?? value}
      onChange={({ target }) => {
        setTyped(target.value);
        const time = readTypedTime(target.value);
        if (time !== null || target.value.trim() === '') onChange(time ?? '');
      }}
      onBlur={() => {
        if (!isWrong) setTyped(null);
      }}
      error={isWrong ? t`Write it like 17:30.` : error}
    />
  );
}
