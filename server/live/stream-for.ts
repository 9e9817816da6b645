import type { Context } from 'hono';
import type { SSEStreamingApi } from 'hono/streaming';
import { msg } from '#core/message';
import type { Env } from '../context';
import { Problem } from '../problem';

/** A browser's tabs share one feed; a device has a stream for each cuff that is measured with. */
const MOST_STREAMS = 24;

/** Refuses one stream too many. @throws Problem 429 */
export function refuseTooManyStreams(c: Context<Env>): void {
  if (c.var.signIns.streamsOf(c.var.signedIn) < MOST_STREAMS) return;
  throw new Problem(
    429,
    msg('Too many streams'),
    msg('This device has too many streams open: close some of its tabs.'),
  );
}

/** Ends a stream when its sign-in ends or the device is locked, and leaves nothing behind when it closes itself. */
export function endWithSignIn(c: Context<Env>, stream: SSEStreamingApi, then: () => void = () => {}): void {
  const leave = c.var.signIns.whenLeft(c.var.signedIn, () => void stream.abort());
  stream.onAbort(() => {
    leave();
    then();
  });
}
