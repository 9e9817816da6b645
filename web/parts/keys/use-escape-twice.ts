import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { serverNow } from '../../data/clock';
import { ACTIONS } from '../../state/actions';
import { useHere } from './use-action';

const TWICE_WITHIN_MS = 800;

/** Escape twice in a moment: what must not be done by a slip. */
export function useEscapeTwice(action: () => void): void {
  const escapedAtMs = useRef(0);
  useHere('stop', action);
  const onEscape = () => {
    const pressedMs = serverNow();
    if (pressedMs - escapedAtMs.current < TWICE_WITHIN_MS) action();
    escapedAtMs.current = pressedMs;
  };
  // From a field, too: stopping is as fast while a reading is typed.
  useHotkeys(ACTIONS.stop.keys, onEscape, { enableOnFormTags: true });
}
