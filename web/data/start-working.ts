import type { QueryClient } from '@tanstack/react-query';
import { askAhead } from './ask-ahead';
import { followServerClock } from './clock';
import { followOtherDevices } from './follow';
import { clearOldCache } from './kept-records';
import { onceLoaded } from './once-loaded';
import { sendOutbox } from './outbox';
import { tellOfPrints } from './prints';

let isWorking = false;

/** What starts with the first sign-in: what every view shows is asked for, others are followed, what is kept is sent. */
export function startWorking(queries: QueryClient): void {
  if (isWorking) return;
  isWorking = true;
  askAhead(queries);
  followOtherDevices(queries);
  tellOfPrints();
  void sendOutbox();
  void clearOldCache();
  // The rest waits until the first view is shown.
  onceLoaded(() => followServerClock());
}
