import { Dialog } from 'radix-ui';
import type { KeyboardEvent, ReactNode } from 'react';

type Props = {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  /** How wide it is where there is room. */
  width: 'w-[720px]' | 'w-[960px]';
  onKeyDown?: (event: KeyboardEvent) => void;
  children: ReactNode;
};

/** A panel over the page, near its top, that Escape or a press beside it closes. */
export const Panel = ({ open, onOpenChange, title, width, onKeyDown, children }: Props) => (
  <Dialog.Root open={open} onOpenChange={onOpenChange}>
    <Dialog.Portal>
      <Dialog.Overlay className={BEHIND} />
      <Dialog.Content
        aria-describedby={undefined}
        onKeyDown={onKeyDown}
        className={`fixed top-[4dvh] left-1/2 z-50 max-h-[92dvh] max-w-[94vw] -translate-x-1/2 overflow-y-auto rounded-sm border border-ink bg-paper p-5 ${width}`}
      >
        <Dialog.Title className="mb-3 text-xl font-semibold">{title}</Dialog.Title>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);

/** What dims the page behind a panel or a dialog. */
export const BEHIND = 'fixed inset-0 z-40 bg-ink/40';
