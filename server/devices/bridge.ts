import { Hono } from 'hono';
import { deviceCommandSchema } from '#contract/device';
import { answerProblem, Problem } from '../problem';
import { body } from '../validate';
import { ReplayDevice, type TracePoint } from './replay-device';
import { streamFrames } from './stream-frames';

/** A bridge as docs/device-protocol.md asks for, over a trace: one device, at the root. */
export function replayBridge(trace: readonly TracePoint[], now: () => number, frameMs: number): Hono {
  const device = new ReplayDevice(trace, now());
  const app = new Hono()
    .get('/stream', (c) => streamFrames(c, () => device.frame(now()), frameMs))
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
