import { useHotkeys } from 'react-hotkeys-hook';

const WITHIN_MS = 1_000;

/** When G was pressed by itself just before; and the key that came next, which goes somewhere and does nothing else. */
let pressedGMs = Number.NEGATIVE_INFINITY;
let second: KeyboardEvent | null = null;

// Before anybody who is bound hears of it.
document.addEventListener(
  'keydown',
  (event) => {
    if (['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return;
    second = event.timeStamp - pressedGMs < WITHIN_MS ? event : null;
    const isG = event.key.toLowerCase() === 'g' && !event.ctrlKey && !event.metaKey && !event.altKey;
    pressedGMs = isG ? event.timeStamp : Number.NEGATIVE_INFINITY;
  },
  { capture: true },
);

/** Whether a key came right after G, and so is the second of two that go somewhere. */
export const isAfterG = (event: KeyboardEvent): boolean => event === second;

/** G and then one of some letters, by the characters they make. */
export function useAfterG(letters: readonly string[], go: (letter: string) => void): void {
  useHotkeys(
    letters.map((letter) => `g>${letter}`),
    (_, { keys }) => go(keys?.at(-1) ?? ''),
    { useKey: true, sequenceTimeoutMs: WITHIN_MS, enableOnFormTags: ['radio'] },
  );
}
