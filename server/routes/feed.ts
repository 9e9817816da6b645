import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { FeedMessage } from '#contract/feed';
import type { Env } from '../context';
import { endWithSignIn, refuseTooManyStreams } from '../live/stream-for';

/** A quiet stream is written to now and then, so that nothing on the way takes it for dead. */
const KEEP_ALIVE_MS = 15_000;
/** Messages kept for a device that does not read them. */
const MOST_WAITING = 1_000;

/** News of the practice as a stream of events, which says at once that it is connected. */
export const feedRoutes = new Hono<Env>().get('/', (c) => {
  refuseTooManyStreams(c);
  return streamSSE(c, async (stream) => {
    const waiting: FeedMessage[] = [];
    let wake = () => {};
    const stop = c.var.feed.subscribe((message) => {
      // Who reads this slowly asks for everything again when it comes back.
      if (waiting.push(message) > MOST_WAITING) void stream.abort();
      wake();
    });
    endWithSignIn(c, stream, () => {
      stop();
      wake();
    });
    // Sent at once, so that the client knows that the stream is connected.
    await stream.writeSSE({ event: 'ready', data: '' });
    while (!stream.aborted) {
      const message = waiting.shift();
      if (message) {
        await stream.writeSSE({ data: JSON.stringify(message) });
        continue;
      }
      const timer = setTimeout(() => wake(), KEEP_ALIVE_MS);
      await new Promise<void>((done) => {
        wake = done;
      });
      clearTimeout(timer);
      if (!c.var.signIns.isIn(c.var.signedIn)) break;
      if (waiting.length === 0 && !stream.aborted) await stream.writeSSE({ event: 'ready', data: '' });
    }
  });
});
