import { type InputHTMLAttributes, type ReactNode, type Ref, useId } from 'react';
import { NumberInput, type NumberKind } from './NumberInput';

/** A labelled input with its unit, and what is wrong with it right beneath. */
export function Field({
  label,
  unit,
  error,
  hint,
  number,
  ref,
  className = '',
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  unit?: string;
  error?: string | undefined;
  hint?: ReactNode;
  /** Where only a number is typed: a whole one, or one with decimals. */
  number?: NumberKind;
  ref?: Ref<HTMLInputElement>;
}) {
  const id = useId();
  const input = {
    ...rest,
    id,
    'aria-invalid': error ? true : undefined,
    'aria-describedby': error ? `${id}-error` : undefined,
    className: `min-h-11 w-full rounded-sm border bg-paper px-3 ${unit ? 'figures text-xl' : ''} ${error ? 'border-ochre' : 'border-ink/40'}`,
  };
  return (
    <div className={className}>
      <label htmlFor={id} className="text-[15px] font-semibold">
        {label}
      </label>
      <div className="mt-1 flex items-baseline gap-2">
        {number ? <NumberInput {...input} kind={number} ref={ref} /> : <input {...input} ref={ref} />}
        {unit && <span className="whitespace-nowrap text-quiet">{unit}</span>}
      </div>
      {hint && <p className="mt-1 text-[14px] text-quiet">{hint}</p>}
      {error && <FieldError id={`${id}-error`}>{error}</FieldError>}
    </div>
  );
}

/** What is wrong, read aloud as it comes. */
export function FieldError({ id, children }: { id?: string; children: ReactNode }) {
  return (
    <p id={id} role="alert" className="notched mt-1 py-1 text-[15px] text-ochre">
      {children}
    </p>
  );
}
