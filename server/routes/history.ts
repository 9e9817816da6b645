import { type Context, Hono } from 'hono';
import { beforeSchema, oneRepMaxesOfSchema, pressuresOfSchema } from '#contract/history';
import type { Env } from '../context';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { readClearances } from '../record/clearance';
import { readPressures } from '../record/occlusion-pressure';
import { readScreenings } from '../record/screening';
import { readSessions } from '../record/session';
import { readOneRepMaxes } from '../record/strength-test';
import { query } from '../validate';

/** What came before what counts now, page by page, for the view that opens it. */
export const historyRoutes = new Hono<Env>()
  .get('/:id/history/screenings', query(beforeSchema), async (c) =>
    c.json(await rows(c, c.req.param('id'), readScreenings, c.req.valid('query'))),
  )
  .get('/:id/history/clearances', query(beforeSchema), async (c) => {
    // Those that are still in force are on the sheet.
    const beforeMs = Math.min(c.req.valid('query').beforeMs, c.var.nowMs);
    return c.json(await rows(c, c.req.param('id'), readClearances, { beforeMs }));
  })
  .get('/:id/history/sessions', query(beforeSchema), async (c) =>
    c.json(await rows(c, c.req.param('id'), readSessions, c.req.valid('query'))),
  )
  .get('/:id/history/pressures', query(pressuresOfSchema), async (c) =>
    c.json(await rows(c, c.req.param('id'), readPressures, c.req.valid('query'))),
  )
  .get('/:id/history/one-rep-maxes', query(oneRepMaxesOfSchema), async (c) =>
    c.json(await rows(c, c.req.param('id'), readOneRepMaxes, c.req.valid('query'))),
  );

const rows = <Asked, Rows>(
  c: Context<Env>,
  clientId: string,
  readRows: (prepare: Prepare, clientId: string, asked: Asked) => Rows,
  asked: Asked,
): Promise<Rows> => withStatements(c.var.em, (prepare) => readRows(prepare, clientId, asked));
