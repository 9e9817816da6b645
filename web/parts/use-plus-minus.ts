import { type Options, useHotkeys } from 'react-hotkeys-hook';

/**
 * `+` and `-` move by one step up or down. `=` counts as `+`, its key without Shift on many keyboards.
 * @param options such as whether the keys also work from a field
 */
export function usePlusMinus(move: (direction: 1 | -1) => void, options: Options = {}): void {
  // The package splits combinations at "+", so that key needs another separator.
  const asWritten = { ...options, useKey: true, splitKey: '&' };
  useHotkeys('+', () => move(1), asWritten);
  useHotkeys('=', () => move(1), asWritten);
  useHotkeys('-', () => move(-1), asWritten);
}
