import type { ReactNode } from 'react';

type Props = {
  /** Above the title, small: the practice. */
  over?: ReactNode;
  title?: string;
  /** Beneath the title. */
  children?: ReactNode;
  /** At the right: the date and the signer, or a code. */
  aside?: ReactNode;
};

/** The head of a printed page, over a line. */
export const PaperHead = ({ over, title, children, aside }: Props) => (
  <header className="flex items-start justify-between gap-4 border-b-2 border-ink pb-2">
    <div className="flex-1 space-y-1">
      {over}
      {title !== undefined && <h1 className="text-2xl font-semibold">{title}</h1>}
      {children}
    </div>
    {aside}
  </header>
);
