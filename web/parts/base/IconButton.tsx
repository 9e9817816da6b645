import type { ReactNode } from 'react';

/** A button that is a sign alone; its words are read aloud, and shown beneath a pointer. */
export const IconButton = ({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: ReactNode;
}) => (
  <button
    type="button"
    aria-label={label}
    title={label}
    onClick={onClick}
    className="rounded-sm p-2 hover:bg-tint"
  >
    {children}
  </button>
);
