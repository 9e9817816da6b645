import type { ButtonHTMLAttributes } from 'react';
import { ACTIONS, type ActionId } from '../../state/actions';

type Kind = 'main' | 'plain' | 'stop';

const LOOKS: Record<Kind, string> = {
  main: 'bg-plum text-on-plum border-plum hover:opacity-90',
  plain: 'bg-paper text-ink border-ink/40 hover:bg-tint',
  stop: 'bg-vermilion text-on-vermilion border-vermilion hover:opacity-90',
};

/** A button that shows the key of what it does. */
export function Button({
  kind = 'plain',
  does,
  leaves = false,
  className = '',
  children,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & {
  kind?: Kind;
  does?: ActionId;
  /** Leaves the form it is in as it was: so does Escape from any field of it. */
  leaves?: boolean;
}) {
  return (
    <button
      type="button"
      data-leaves={leaves || undefined}
      {...rest}
      className={`inline-flex min-h-11 items-center justify-center gap-3 rounded-sm border px-4 font-semibold disabled:opacity-45 ${LOOKS[kind]} ${className}`}
    >
      <span>{children}</span>
      {does && <ItsKey of={does} />}
    </button>
  );
}

/** The key of an action, as the table of actions has it. */
export const ItsKey = ({ of }: { of: ActionId }) => <KeyHint>{ACTIONS[of].written}</KeyHint>;

/** A key as it is written; who holds a phone has none. */
export function KeyHint({ children }: { children: string }) {
  return (
    <span
      className="figures rounded-sm border border-current px-1.5 text-[13px] whitespace-nowrap max-sm:hidden leading-5 font-normal"
      aria-hidden="true"
    >
      {children}
    </span>
  );
}
