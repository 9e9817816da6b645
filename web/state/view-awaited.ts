import { store } from './store';

/** How many parts of the view that was asked for are still being read; 0 where it is shown. */
const awaited = store(0);
/** The path of the view that is shown: the one before, as long as the code of another is fetched. */
let standsAt: string | null = null;
/** Since when another view has been awaited, in ms of the page's own time. */
let sinceMs: number | null = null;

/** Whether the view that was asked for is still being read. */
export const useIsViewAwaited = (): boolean => awaited.use() > 0;

const isAwaited = (): boolean =>
  awaited.get() > 0 || (standsAt !== null && standsAt !== window.location.pathname);

/** How long the view has been awaited by now, in ms of the page's own time; `null` where it is shown. */
export function awaitedForMs(): number | null {
  sinceMs = isAwaited() ? (sinceMs ?? performance.now()) : null;
  return sinceMs === null ? null : performance.now() - sinceMs;
}

const thens: (() => void)[] = [];

/** @param then is called whenever a view that was awaited is shown */
export const whenViewStands = (then: () => void): void => void thens.push(then);

function tellWhetherItStands(): void {
  if (awaitedForMs() === null) for (const then of thens) then();
}

/** The view of a path is shown. The page says so, too: a test, or a reader of screens, need not guess. */
export function viewShownAt(path: string): void {
  standsAt = path;
  document.documentElement.dataset.standsAt = path;
  tellWhetherItStands();
}

/** A part of the view is awaited until what this returns is called. */
export function awaitView(): () => void {
  awaited.set(awaited.get() + 1);
  awaitedForMs();
  return () => {
    awaited.set(awaited.get() - 1);
    tellWhetherItStands();
  };
}
