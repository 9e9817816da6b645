/** Runs something once the page has come; at once where it has: the app's modules may be read later than that. */
export function onceLoaded(run: () => void): void {
  if (document.readyState === 'complete') run();
  else window.addEventListener('load', run, { once: true });
}
