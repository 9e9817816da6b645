import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import { deviceCommandSchema } from '#contract/device';
import { answerProblem, Problem } from '../problem';
import { body } from '../validate';
import { ReplayDevice, type TracePoint } from './replay-device';

/** A bridge as docs/device-protocol.md asks for, over a trace: one device, at the root. */
export function replayBridge(trace: readonly TracePoint[], now: () => number, frameMs: number): Hono {
  const device = new ReplayDevice(trace, now());
  const app = new Hono()
    .get('/stream', (c) =>
      streamSSE(c, async (stream) => {
        while (!stream.aborted) {
          await stream.writeSSE({ data: JSON.stringify(device.frame(now())) });
          await stream.sleep(frameMs);
        }
      }),
    )
    .post('/commands', body(deviceCommandSchema), (c) => {
      device.command(c.req.valid('json'), now());
      return c.json(device.frame(now()));
    });
  app.onError((error, c) => {
    if (error instanceof Problem) return answerProblem(c, error);
    throw error;
  });
  return app;
}
