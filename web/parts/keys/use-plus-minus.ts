import { useAction } from './use-action';

/** `+` and `-` move by one step up or down. @param fromFields whether the keys also work from a field */
export function usePlusMinus(move: (direction: 1 | -1) => void, fromFields = false): void {
  useAction('more', () => move(1), { fromFields });
  useAction('fewer', () => move(-1), { fromFields });
}
