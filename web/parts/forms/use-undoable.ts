import { t } from '@lingui/core/macro';
import { useRef } from 'react';
import { notify, notifyDone } from '../../state/notices';

/**
 * A change that is said, and taken back by the notice as long as nothing else was changed since.
 * @param now the value now, the very object that `change` was given last
 */
export function useUndoable<T>(now: T, change: (next: T) => void): (words: string, next: T) => void {
  const latest = useRef({ now, change });
  latest.current = { now, change };
  return (words, next) => {
    change(next);
    notifyDone(words, () => {
      if (latest.current.now === next) latest.current.change(now);
      else notify(t`It was changed since, so nothing was taken back.`);
    });
  };
}
