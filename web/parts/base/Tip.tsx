import { Tooltip } from 'radix-ui';
import type { ReactElement } from 'react';

const DELAY_MS = 500;

/** What a sign means, in words, beneath a pointer that rests on it or a key that comes to it; the page does not wait for it. */
export function Tip({ words, children }: { words: string | undefined; children: ReactElement }) {
  if (!words) return children;
  return (
    <Tooltip.Provider delayDuration={DELAY_MS}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={6}
            collisionPadding={12}
            className="z-60 max-w-80 rounded-sm border border-ink bg-ink px-2 py-1 text-[14px] text-paper print:hidden"
          >
            {words}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
