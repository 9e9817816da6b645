import type { InputHTMLAttributes, Ref } from 'react';

/** What a field that takes a number alone asks of a keyboard. */
const ASKS = { whole: 'numeric', decimal: 'decimal' } as const;
export type NumberKind = keyof typeof ASKS;

/**
 * Where a number is typed, with a comma or a point; never a stepper that an arrow or a wheel changes by itself. What is
 * in it is chosen as one comes, so that the next figure takes its place.
 */
export function NumberInput({
  kind,
  ref,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { kind: NumberKind; ref?: Ref<HTMLInputElement> | undefined }) {
  return (
    <input
      autoComplete="off"
      {...rest}
      ref={ref}
      type="text"
      inputMode={ASKS[kind]}
      onFocus={(event) => {
        event.target.select();
        rest.onFocus?.(event);
      }}
    />
  );
}
