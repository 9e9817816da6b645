import type { QueryClient } from '@tanstack/react-query';
import { api } from './api';
import { sendOutbox } from './outbox';
import { door, wasLocked, workingPractitioner } from './practitioner';
import { dropKeys } from './sealed';

/** Tells the other tabs of this browser that somebody has come or gone. */
const tabs = new BroadcastChannel('nervato-door');
type Said = { who: string; door: 'open' | 'shut' };

/** Tells them who is in here, and whether the door is open. */
export const tellDoor = (): void =>
  tabs.postMessage({ who: workingPractitioner.get(), door: door.get() } satisfies Said);

/** Follows who comes and goes in other tabs: a page is never one person's on a device that is another's. */
export function followDoor(queries: QueryClient): void {
  let here = workingPractitioner.get();
  tabs.addEventListener('message', ({ data }: MessageEvent<Said>) => {
    if (data.who !== here) return window.location.reload();
    here = data.who;
    if (data.door === 'shut') door.set('shut');
    else void openDoor(queries);
  });
}

/** Shows what is on record again, as it is now. */
export async function openDoor(queries: QueryClient): Promise<void> {
  wasLocked.set('no');
  door.set('open');
  void sendOutbox();
  await queries.invalidateQueries();
}

/** Locks this device: who is in comes back by PIN, and so does everybody who has been in today. */
export async function lock(): Promise<void> {
  wasLocked.set('yes');
  door.set('shut');
  tellDoor();
  // Without the server the screen is shut all the same, and it hears of it before anybody is asked who they are.
  await Promise.all([dropKeys(), api['sign-in'].lock.$post().catch(() => {})]);
  // A dialog holds the focus and all of the page: with one open the page is made anew.
  if (document.body.hasAttribute('data-scroll-locked')) window.location.reload();
}
