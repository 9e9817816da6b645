import type { QueryClient } from '@tanstack/react-query';
import type { ClientRecord, ClientSummary } from '#contract/client';
import type { FeedMessage } from '#contract/feed';
import type { SessionEvent } from '#core/session';
import { emergencies } from '../state/emergencies';
import { learnClock, serverNow } from './clock';
import { followFeed } from './feed';
import { KEYS } from './keys';
import { dropFinished } from './open-sessions';
import { sendOutbox, unsentEvents } from './outbox';
import { putLine } from './people';
import { type SharedEvents, tabs } from './tabs';

let kept: Promise<void> = Promise.resolve();

/** Resolves once what this device kept before a reload has been taken up; where it cannot be read, too. */
export const keptTakenUp = (): Promise<void> => kept;

/** Takes up what this device kept before a reload, and follows what other tabs append. */
export function listenToOtherTabs(queries: QueryClient): void {
  kept = unsentEvents()
    .then((events) => (events.length > 0 ? take(queries, events) : undefined))
    .catch(() => {});
  tabs.addEventListener('message', (({ data }: SharedEvents) => void take(queries, data)) as EventListener);
}

/**
 * Follows what other devices do, over one stream for all of it and all tabs. Only who shows what has changed asks again; when
 * the stream is connected again after a break, everything in view is asked for again.
 */
export function followOtherDevices(queries: QueryClient): void {
  followFeed({
    onMessage: (message) => hear(queries, message),
    onBack: () => {
      void sendOutbox();
      for (const queryKey of [['sessions'], KEYS.roster, ['client']]) {
        void queries.invalidateQueries({ queryKey });
      }
    },
  });
}

function hear(queries: QueryClient, message: FeedMessage): void {
  switch (message.said) {
    case 'events':
      void take(queries, message.events);
      break;
    case 'opened':
      void queries.invalidateQueries({ queryKey: KEYS.openSessions });
      break;
    case 'client': {
      const { line, asOf, added } = message;
      hearEmergency(line);
      if (added) void queries.invalidateQueries({ queryKey: KEYS.roster });
      else putLine(queries, line);
      const known = queries.getQueryData<ClientRecord>(KEYS.client(line.id));
      if (known && known.asOf < asOf) void queries.invalidateQueries({ queryKey: KEYS.client(line.id) });
      break;
    }
    case 'handover':
      void queries.invalidateQueries({ queryKey: KEYS.handover });
      break;
    case 'practice':
      // A demonstration's clock may have been moved on.
      void learnClock();
      for (const queryKey of [KEYS.practice, KEYS.roster, ['client']]) {
        void queries.invalidateQueries({ queryKey });
      }
  }
}

/** An emergency is news for so long: a device that was away learns of an older one from the top of Today. */
const NEWS_MS = 10 * 60_000;

function hearEmergency({ id, name, emergency }: ClientSummary): void {
  const known = emergencies.get();
  const others = known.filter(({ clientId }) => clientId !== id);
  if (emergency === null) {
    // It was looked at elsewhere.
    if (others.length < known.length) emergencies.set(others);
    return;
  }
  const isNews = Math.abs(serverNow() - emergency.atMs) < NEWS_MS;
  const key = `${id} ${emergency.atMs}`;
  if (!isNews || heard.has(key)) return;
  heard.add(key);
  emergencies.set([{ clientId: id, name, ...emergency }, ...others]);
}

const heard = new Set<string>();

/** What folds sessions is fetched with the first that is open: a page without one can do without it. */
async function take(queries: QueryClient, events: readonly SessionEvent[]): Promise<void> {
  const { remember } = await import('./local-log');
  remember(events);
  dropFinished(queries, events);
}
