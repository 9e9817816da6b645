import { type KeptKey, MEANT_FOR_MS, stillMeant, withKey } from '../../state/kept-keys';
import { awaitedForMs, whenViewStands } from '../../state/view-awaited';

let kept: readonly KeptKey[] = [];

/** What is typed into a field or answers a dialog is there already, and takes its keys itself. */
const TAKES_KEYS = 'input, textarea, [contenteditable], [role=dialog] *, [role=listbox] *, [role=menu] *';

/**
 * Keeps the keys that are pressed while a view is still being read, and presses them again once it is shown: who knows the keys
 * does not wait for a slow machine.
 */
export function keepKeys(): void {
  window.addEventListener('keydown', keepIfAwaited, true);
  whenViewStands(() => setTimeout(pressKept, 0));
}

function keepIfAwaited(event: KeyboardEvent): void {
  const { key, code, shiftKey, ctrlKey, metaKey, altKey, isTrusted, target } = event;
  const waitedMs = awaitedForMs();
  // A view that does not come must not block going elsewhere.
  if (!isTrusted || waitedMs === null || waitedMs > MEANT_FOR_MS) return;
  if (ctrlKey || metaKey || altKey || key.length > 1) return;
  if (target instanceof Element && target.matches(TAKES_KEYS)) return;
  event.stopImmediatePropagation();
  event.preventDefault();
  if (!event.repeat) kept = withKey(kept, { key, code, shiftKey, atMs: performance.now() });
}

/** Where a key leads to another view, the keys after it are meant for that one. */
function pressKept(): void {
  const meant = [...stillMeant(kept, performance.now())];
  kept = [];
  while (awaitedForMs() === null) {
    const next = meant.shift();
    if (!next) return;
    const { key, code, shiftKey } = next;
    const onto = document.activeElement ?? document.body;
    for (const type of ['keydown', 'keyup'])
      onto.dispatchEvent(
        new KeyboardEvent(type, { key, code, shiftKey, bubbles: true, cancelable: true, composed: true }),
      );
  }
  kept = meant;
}
