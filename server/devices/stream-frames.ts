import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { DeviceFrame } from '#contract/device';

/** A device's frames as docs/device-protocol.md has them: one JSON object an event, until nobody listens. */
export const streamFrames = (c: Context, next: () => DeviceFrame, everyMs: number): Response =>
  streamSSE(c, async (stream) => {
    while (!stream.aborted) {
      await stream.writeSSE({ data: JSON.stringify(next()) });
      await stream.sleep(everyMs);
    }
  });
