import { t } from '@lingui/core/macro';
import { useEffect } from 'react';
import { Toaster, toast } from 'sonner';
import { Said } from '../parts/base/Why';
import { notices } from '../state/notices';
// The package would write the same into an inline style element, which the page's policy refuses (see vite.config.ts).
import 'sonner/dist/styles.css';

/** Long enough for who looks up from a limb first. */
const UNDO_WITHIN_MS = 10_000;

/** Shows what is said in passing; fetched when something first is. */
export function Notices() {
  const waiting = notices.use();
  useEffect(() => {
    if (waiting.length === 0) return;
    notices.set([]);
    for (const { words, undo } of waiting) {
      toast(
        <Said>{words}</Said>,
        undo ? { action: { label: t`Undo`, onClick: undo }, duration: UNDO_WITHIN_MS } : {},
      );
    }
  }, [waiting]);
  return (
    <Toaster
      position="top-center"
      toastOptions={{
        className: '!rounded-sm !border !border-ink !bg-paper !font-sans !text-[15px] !text-ink',
        classNames: {
          actionButton: '!min-h-9 !rounded-sm !bg-plum !px-4 !text-[15px] !font-semibold !text-on-plum',
        },
      }}
    />
  );
}
