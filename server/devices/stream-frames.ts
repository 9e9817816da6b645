import type { Context } from 'hono';
import { type SSEStreamingApi, streamSSE } from 'hono/streaming';
import type { DeviceFrame } from '#contract/device';

/** A device's frames as docs/device-protocol.md has them: one JSON object an event, until the reader leaves. */
export const streamFrames = (
  c: Context,
  next: () => DeviceFrame | Promise<DeviceFrame>,
  everyMs: number,
  begun: (stream: SSEStreamingApi) => void = () => {},
): Response =>
  streamSSE(c, async (stream) => {
    begun(stream);
    while (!stream.aborted) {
      await stream.writeSSE({ data: JSON.stringify(await next()) });
      await stream.sleep(everyMs);
    }
  });
