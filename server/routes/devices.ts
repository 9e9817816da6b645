import { Hono } from 'hono';
import { deviceCommandSchema, newDeviceSchema } from '#contract/device';
import { msg } from '#core/message';
import { limbKind, newest } from '#core/quantity';
import { meanBloodPressure } from '#core/screening';
import { makeLimb, seedOf } from '#core/simulation';
import type { Env } from '../context';
import { readClient, requireFittedCuff } from '../db/client-facts';
import type { DeviceHub } from '../devices/device-hub';
import { streamFrames } from '../devices/stream-frames';
import { endWithSignIn, refuseTooManyStreams } from '../live/stream-for';
import { notFound } from '../problem';
import { body } from '../validate';

export const FRAME_MS = 50;
const USUAL_SYSTOLIC_MMHG = 122;

/** Simulated devices: a stream of frames at 20 Hz and a place for commands (docs/device-protocol.md). */
export const deviceRoutes = (hub: DeviceHub, now: () => number | Promise<number>) =>
  new Hono<Env>()
    .post('/', body(newDeviceSchema), async (c) => {
      const { clientId, limb, position, kind } = c.req.valid('json');
      const client = await readClient(c.var.em, clientId, c.var.nowMs);
      const fit = requireFittedCuff(client, limb);
      const readings = newest(client.facts.screenings)?.bloodPressures ?? [];
      const systolicMmHg =
        readings.length > 0 ? meanBloodPressure(readings).systolicMmHg : USUAL_SYSTOLIC_MMHG;
      // The two thighs of one person are alike, but not the same.
      const seed = seedOf(`${client.name} ${limb}`);
      const simulated = makeLimb({
        limb,
        position,
        girthCm: fit.girthCm,
        widthCm: fit.widthCm,
        systolicMmHg,
        seed,
      });
      const device = hub.add(simulated, kind, seed, c.var.nowMs);
      return c.json({ id: device.id, limbKind: limbKind(limb) }, 201);
    })

    .get('/:id/stream', (c) => {
      const device = hub.find(c.req.param('id'));
      if (!device) throw notFound(msg('This device'));
      refuseTooManyStreams(c);
      return streamFrames(
        c,
        async () => device.frame(await now()),
        FRAME_MS,
        (stream) => endWithSignIn(c, stream),
      );
    })

    .post('/:id/commands', body(deviceCommandSchema), (c) => {
      const device = hub.find(c.req.param('id'));
      if (!device) throw notFound(msg('This device'));
      device.command(c.req.valid('json'), c.var.nowMs);
      return c.json(device.frame(c.var.nowMs));
    });
