import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ACTIONS } from '../../state/actions';

const WITHIN_MS = 1_000;

/** When G was pressed by itself just before; and the key that came next, which goes somewhere and does nothing else. */
let pressedGMs = Number.NEGATIVE_INFINITY;
let second: KeyboardEvent | null = null;

// Before any bound key gets it.
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

/** Letters that go somewhere after G on the page that is open, each as often as something is bound to it. */
const bound: string[] = Object.values(ACTIONS).flatMap(({ keys }) =>
  keys.startsWith('g>') ? keys.slice('g>'.length) : [],
);

/** Whether a key came right after G and goes somewhere there; a release is never lost to a G that was pressed by a slip. */
export const isAfterG = (event: KeyboardEvent): boolean =>
  event === second && bound.includes(event.key.toLowerCase());

/** G and then one of some letters, by the characters they make. */
export function useAfterG(letters: readonly string[], go: (letter: string) => void): void {
  useEffect(() => {
    bound.push(...letters);
    return () => {
      for (const letter of letters) bound.splice(bound.indexOf(letter), 1);
    };
  }, [letters]);
  useHotkeys(
    letters.map((letter) => `g>${letter}`),
    (_, { keys }) => go(keys?.at(-1) ?? ''),
    { useKey: true, sequenceTimeoutMs: WITHIN_MS, enableOnFormTags: ['radio'] },
  );
}
