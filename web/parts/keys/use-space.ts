import { useEffect, useRef } from 'react';
import { useHere } from './use-action';

const TYPING = [
  'textarea',
  'input:not([inputmode=decimal]):not([inputmode=numeric])',
  '[role=dialog] *',
  // A list that is open takes the key to choose; Enter and the arrows open it.
  '[role=listbox] *',
  '[role=menu] *',
].join();

/**
 * Space does the next expected thing, wherever the focus rests, unless words are being typed or answering a dialog.
 * Number fields take no spaces, so it works from them too.
 */
export function useSpace(action: () => void): void {
  const latest = useRef(action);
  latest.current = action;
  useHere('next', action);
  useEffect(() => {
    const isOurs = (event: KeyboardEvent) =>
      event.code === 'Space' && !(event.target instanceof Element && event.target.closest(TYPING));
    const onDown = (event: KeyboardEvent) => {
      if (!isOurs(event)) return;
      event.preventDefault();
      event.stopPropagation();
      if (!event.repeat) latest.current();
    };
    // A focused button would otherwise click itself when the key comes up.
    const onUp = (event: KeyboardEvent) => {
      if (isOurs(event)) event.preventDefault();
    };
    window.addEventListener('keydown', onDown, true);
    window.addEventListener('keyup', onUp, true);
    return () => {
      window.removeEventListener('keydown', onDown, true);
      window.removeEventListener('keyup', onUp, true);
    };
  }, []);
}
