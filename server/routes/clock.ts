import { Hono } from 'hono';
import { z } from 'zod';
import { msg } from '#core/message';
import type { Env } from '../context';
import { notFound } from '../problem';
import { body } from '../validate';

/** Moves the practice's clock on by whole days. */
export type MoveClock = (days: number) => Promise<void>;

const moveOnSchema = z.object({
  days: z
    .number(msg('Say how many days.'))
    .int()
    .min(1, msg('Only forward.'))
    .max(28, msg('At most four weeks at once.')),
});

/**
 * The practice's clock: devices learn by it how far their own is off (rule RUN-9). In a demonstration it can be moved on, so
 * that one can live through a block; an ordinary practice has no such address.
 */
export const clockRoutes = (now: () => number | Promise<number>, moveClock: MoveClock | undefined) =>
  new Hono<Env>()
    .get('/', (c) => c.json({ nowMs: c.var.nowMs, canMove: moveClock !== undefined }))
    .post('/forward', body(moveOnSchema), async (c) => {
      if (!moveClock) throw notFound(msg('This address'));
      await moveClock(c.req.valid('json').days);
      c.var.feed.publish({ said: 'practice' });
      return c.json({ nowMs: await now(), canMove: true });
    });
