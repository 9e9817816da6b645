import type { ButtonHTMLAttributes } from 'react';

type Kind = 'main' | 'plain' | 'stop';

const LOOKS: Record<Kind, string> = {
  main: 'bg-plum text-on-plum border-plum hover:opacity-90',
  plain: 'bg-paper text-ink border-ink/40 hover:bg-tint',
  stop: 'bg-vermilion text-on-vermilion border-vermilion hover:opacity-90',
};

/** A button that shows its key. */
export function Button({
  kind = 'plain',
  keyHint,
  className = '',
  children,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { kind?: Kind; keyHint?: string }) {
  return (
    <button
      type="button"
      {...rest}
      className={`inline-flex min-h-11 items-center justify-center gap-3 rounded-sm border px-4 font-semibold disabled:opacity-45 ${LOOKS[kind]} ${className}`}
    >
      <span>{children}</span>
      {keyHint && (
        // Who holds a phone has no keys.
        <span className="max-sm:hidden">
          <KeyHint>{keyHint}</KeyHint>
        </span>
      )}
    </button>
  );
}

export function KeyHint({ children }: { children: string }) {
  return (
    <span
      className="figures rounded-sm border border-current px-1.5 text-[13px] leading-5 font-normal"
      aria-hidden="true"
    >
      {children}
    </span>
  );
}
