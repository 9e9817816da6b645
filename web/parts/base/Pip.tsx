import { t } from '@lingui/core/macro';
import type { LinkState } from '#core/record';

const WORDS: Record<LinkState, string> = { good: t`good`, due: t`due`, held: t`held`, missing: t`missing` };

/** A link's state by shape: filled good, half due, ring missing, notch held. Never by colour alone. */
export function Pip({ state, size = 14 }: { state: LinkState; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 14 14"
      role="img"
      aria-label={WORDS[state]}
      className="shrink-0"
    >
      {SHAPES[state]}
    </svg>
  );
}

const ring = <circle cx="7" cy="7" r="5.5" fill="none" stroke="currentColor" strokeWidth="1.5" />;
const SHAPES: Record<LinkState, React.ReactNode> = {
  good: <circle cx="7" cy="7" r="6" fill="currentColor" />,
  due: (
    <>
      {ring}
      <path d="M7 1.5a5.5 5.5 0 0 0 0 11z" fill="currentColor" />
    </>
  ),
  missing: ring,
  held: <path d="M1 1h12v12H1zM7 7 13 3.5v7z" fill="var(--color-ochre)" fillRule="evenodd" />,
};
