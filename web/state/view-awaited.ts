import { store } from './store';

/** How many parts of the view that was asked for are still being read; 0 where it stands. */
const awaited = store(0);
let sinceMs = 0;

/** Whether the view that was asked for is still being read. */
export const useIsViewAwaited = (): boolean => awaited.use() > 0;

/** How long the view has been awaited by now, in ms of the page's own time; `null` where it stands. */
export const awaitedForMs = (): number | null => (awaited.get() > 0 ? performance.now() - sinceMs : null);

const thens: (() => void)[] = [];

/** @param then is called whenever a view that was awaited stands */
export const whenViewStands = (then: () => void): void => void thens.push(then);

/** A part of the view is awaited until what this returns is called. */
export function awaitView(): () => void {
  if (awaited.get() === 0) sinceMs = performance.now();
  awaited.set(awaited.get() + 1);
  return () => {
    awaited.set(awaited.get() - 1);
    if (awaited.get() === 0) for (const then of thens) then();
  };
}
