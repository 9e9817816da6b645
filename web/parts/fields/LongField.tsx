import { type Ref, type TextareaHTMLAttributes, useId } from 'react';
import { FieldError } from './Field';

/** A labelled field of several lines, and what is wrong with it right beneath. */
export function LongField({
  label,
  error,
  ref,
  className = '',
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & {
  label: string;
  error?: string | undefined;
  ref?: Ref<HTMLTextAreaElement>;
}) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="text-[15px] font-semibold">
        {label}
      </label>
      <textarea
        rows={3}
        {...rest}
        id={id}
        ref={ref}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        className={`mt-1 block w-full rounded-sm border bg-paper px-3 py-2 ${error ? 'border-ochre' : 'border-ink/40'}`}
      />
      {error && <FieldError id={`${id}-error`}>{error}</FieldError>}
    </div>
  );
}
