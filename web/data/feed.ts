import type { FeedMessage } from '#contract/feed';

/** What a page does with the feed: with what it says, and when it is connected again after a break. */
export type FeedListener = { onMessage: (message: FeedMessage) => void; onBack: () => void };

type Said = { said: 'message'; message: FeedMessage } | { said: 'back' };

const LOCK = 'nervato-feed';

/**
 * Follows the practice's feed. A browser opens only six connections to one address, so its tabs share one stream: the tab
 * that holds the lock reads it and forwards it to the others; when it goes, the next one takes over.
 */
export function followFeed(listener: FeedListener): void {
  const tabs = new BroadcastChannel(LOCK);
  const hear = (said: Said) => (said.said === 'back' ? listener.onBack() : listener.onMessage(said.message));
  tabs.addEventListener('message', ({ data }: MessageEvent<Said>) => hear(data));
  const tell = (said: Said) => {
    tabs.postMessage(said);
    hear(said);
  };
  if ('locks' in navigator) readWhileFirst(tell);
  else readWhileSeen(tell);
}

/** Holds the lock, and so the stream, until the page is left; a page taken back from the cache queues up again. */
function readWhileFirst(tell: (said: Said) => void): void {
  const hold = async (missed: boolean) => {
    const close = readStream(tell, missed);
    await new Promise((left) => window.addEventListener('pagehide', left, { once: true }));
    close();
  };
  const queueUp = async () => {
    const had = await navigator.locks.request(LOCK, { ifAvailable: true }, async (lock) => {
      if (lock) await hold(false);
      return lock !== null;
    });
    // Between the tab that went and this one something may have been sent that no tab read.
    if (!had) await navigator.locks.request(LOCK, () => hold(true));
  };
  void queueUp();
  window.addEventListener('pageshow', ({ persisted }) => persisted && void queueUp());
}

/** Without locks (an address without TLS) only tabs that are in view hold a stream. */
function readWhileSeen(tell: (said: Said) => void): void {
  let close: (() => void) | null = null;
  const look = (missed: boolean) => {
    if (document.visibilityState === 'visible') close ??= readStream(tell, missed);
    else {
      close?.();
      close = null;
    }
  };
  document.addEventListener('visibilitychange', () => look(true));
  window.addEventListener('pagehide', () => close?.());
  look(false);
}

/** After how long a stream that the server has refused is asked for again: there may be a sign-in by then. */
const AGAIN_MS = 5_000;

/** @param missed whether something may have been said before this stream stood @returns how to close it */
function readStream(tell: (said: Said) => void, missed: boolean): () => void {
  let broken = missed;
  let again: ReturnType<typeof setTimeout> | undefined;
  let stream: EventSource;
  const open = () => {
    stream = new EventSource('/api/feed');
    stream.onerror = () => {
      broken = true;
      // A browser comes back by itself to a line that broke, and not to an answer that was no stream.
      if (stream.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_MS);
    };
    stream.addEventListener('ready', () => {
      if (broken) tell({ said: 'back' });
      broken = false;
    });
    stream.onmessage = ({ data }) => {
      tell({ said: 'message', message: JSON.parse(data) as FeedMessage });
    };
  };
  open();
  return () => {
    clearTimeout(again);
    stream.close();
  };
}
