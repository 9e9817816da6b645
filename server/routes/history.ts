import { Hono } from 'hono';
import { beforeSchema, oneRepMaxesOfSchema, pressuresOfSchema } from '#contract/history';
import type { Env } from '../context';
import { readClearances, readOneRepMaxes, readPressures, readScreenings, readSessions } from '../db/history';
import { withStatements } from '../db/sqlite';
import { query } from '../validate';

/** What came before what counts now, page by page, for whoever opens it. */
export const historyRoutes = new Hono<Env>()
  .get('/:id/history/screenings', query(beforeSchema), async (c) =>
    c.json(
      await withStatements(c.var.em, (prepare) =>
        readScreenings(prepare, c.req.param('id'), c.req.valid('query')),
      ),
    ),
  )
  .get('/:id/history/clearances', query(beforeSchema), async (c) =>
    c.json(
      await withStatements(c.var.em, (prepare) =>
        readClearances(prepare, c.req.param('id'), {
          // Those that are still in force are on the sheet.
          beforeMs: Math.min(c.req.valid('query').beforeMs, c.var.nowMs),
        }),
      ),
    ),
  )
  .get('/:id/history/sessions', query(beforeSchema), async (c) =>
    c.json(
      await withStatements(c.var.em, (prepare) =>
        readSessions(prepare, c.req.param('id'), c.req.valid('query')),
      ),
    ),
  )
  .get('/:id/history/pressures', query(pressuresOfSchema), async (c) =>
    c.json(
      await withStatements(c.var.em, (prepare) =>
        readPressures(prepare, c.req.param('id'), c.req.valid('query')),
      ),
    ),
  )
  .get('/:id/history/one-rep-maxes', query(oneRepMaxesOfSchema), async (c) =>
    c.json(
      await withStatements(c.var.em, (prepare) =>
        readOneRepMaxes(prepare, c.req.param('id'), c.req.valid('query')),
      ),
    ),
  );
