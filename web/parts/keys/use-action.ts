import { useEffect, useRef } from 'react';
import { type Options, useHotkeys } from 'react-hotkeys-hook';
import { ACTIONS, type Action, type ActionId } from '../../state/actions';
import { addHere } from '../../state/here';
import { isAfterG } from './use-after-g';

type How = {
  enabled?: boolean;
  /** Whether the key works from a field too, where it makes no character of what is typed. */
  fromFields?: boolean;
};

/**
 * Binds a key of the table of actions as long as it is enabled; the search then finds it, too.
 * @param act the figure of the key that was pressed, for actions of figures; NaN for others
 */
export function useAction(
  id: ActionId,
  act: (figure: number, event: KeyboardEvent) => void,
  { enabled = true, fromFields = false }: How = {},
): void {
  const action = ACTIONS[id];
  const onKey = (event: KeyboardEvent, figure: number) => {
    if (action.keys.startsWith('g>') || !isAfterG(event)) act(figure, event);
  };
  useHotkeys(action.keys, (event, { keys }) => onKey(event, Number(keys?.at(-1))), {
    ...waysOf(action),
    enabled,
    preventDefault: fromFields || action.keys.startsWith('arrow') || action.keys.includes('mod+'),
    // A choice by radios takes arrows alone; whatever else is pressed there is meant for the page.
    enableOnFormTags: fromFields ? ['INPUT', 'TEXTAREA', 'radio'] : ['radio'],
  });
  useHere(id, act, enabled && !isOfFigures(action));
}

/** Lets the search find an action that is bound in a way of its own. */
export function useHere(id: ActionId, act: (figure: number, event: KeyboardEvent) => void, enabled = true) {
  const latest = useRef(act);
  latest.current = act;
  useEffect(() => {
    if (!enabled) return;
    return addHere({ id, run: () => latest.current(Number.NaN, new KeyboardEvent('keydown')) });
  }, [id, enabled]);
}

const isOfFigures = ({ keys }: Action): boolean => keys.includes(',');

/** A sign may need Shift on one keyboard and none on the next; held with Ctrl or Alt it is the browser's. */
function waysOf({ keys, is }: Action): Options {
  if (is === 'place') return {};
  if (/[a-z]/.test(keys)) return { useKey: true };
  return {
    useKey: true,
    ignoreModifiers: true,
    splitKey: '&',
    delimiter: ' ',
    ignoreEventWhen: ({ ctrlKey, metaKey }) => ctrlKey || metaKey,
  };
}
