import { onceLoaded } from './once-loaded';

/** How long after the page has come it is left to what was asked for first. */
const LEFT_ALONE_MS = 1_500;

/** Runs something once the page has come and the browser has nothing else to do. */
export function onceIdle(run: () => void): void {
  const whenIdle = () => ('requestIdleCallback' in window ? requestIdleCallback(() => run()) : run());
  onceLoaded(() => setTimeout(whenIdle, LEFT_ALONE_MS));
}
