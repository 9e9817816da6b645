import type { QueryClient } from '@tanstack/react-query';
import { api } from './api';
import { sendOutbox } from './outbox';
import { lockState, wasLocked, workingPractitioner } from './practitioner';
import { dropKeys } from './sealed';

/** Sends the other tabs of this browser a sign-in or sign-out. */
const tabs = new BroadcastChannel('nervato-lock');
type Said = { who: string; lockState: 'unlocked' | 'locked' };

/** Sends them who is signed in here, and whether this device is locked. */
export const announceLockState = (): void =>
  tabs.postMessage({ who: workingPractitioner.get(), lockState: lockState.get() } satisfies Said);

/** Follows who comes and goes in other tabs: a page is never one person's on a device that is another's. */
export function followLockState(queries: QueryClient): void {
  let here = workingPractitioner.get();
  tabs.addEventListener('message', ({ data }: MessageEvent<Said>) => {
    if (data.who !== here) return window.location.reload();
    here = data.who;
    if (data.lockState === 'locked') lockState.set('locked');
    else void unlock(queries);
  });
}

/** Shows what is on record again, as it is now. */
export async function unlock(queries: QueryClient): Promise<void> {
  wasLocked.set('no');
  lockState.set('unlocked');
  void sendOutbox();
  await queries.invalidateQueries();
}

/** Locks this device: who is in comes back by PIN, and so does everyone who has signed in today. */
export async function lock(): Promise<void> {
  wasLocked.set('yes');
  lockState.set('locked');
  announceLockState();
  // Without the server the screen is locked all the same, and it hears of it before the sign-in page asks.
  await Promise.all([dropKeys(), api['sign-in'].lock.$post().catch(() => {})]);
  // A dialog holds the focus and all of the page: with one open the page is reloaded.
  if (document.body.hasAttribute('data-scroll-locked')) window.location.reload();
}
