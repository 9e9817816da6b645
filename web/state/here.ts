import type { ActionId } from './actions';
import { store } from './store';

/** What can be done now on the page that is open, in the order in which its parts came. */
export type Here = { id: ActionId; run: () => void };

export const here = store<readonly Here[]>([]);

/** Adds what can be done; what it returns takes it away again. */
export function addHere(one: Here): () => void {
  here.set([...here.get(), one]);
  return () => here.set(here.get().filter((other) => other !== one));
}
