import type { QueryClient } from '@tanstack/react-query';
import { askAhead } from './ask-ahead';
import { followServerClock } from './clock';
import { followOtherDevices } from './follow';
import { sendOutbox } from './outbox';

/** What goes on for as long as somebody is in: what every view shows is asked for, others are followed, what is kept is sent. */
export function startWorking(queries: QueryClient): void {
  askAhead(queries);
  followOtherDevices(queries);
  void sendOutbox();
  // The rest waits until the first view stands.
  if (document.readyState === 'complete') followServerClock();
  else window.addEventListener('load', () => followServerClock(), { once: true });
}
