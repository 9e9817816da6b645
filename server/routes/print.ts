import { Hono } from 'hono';
import { msg } from '#core/message';
import type { Env } from '../context';
import { notFound } from '../problem';

/** What the server's own print reads, once, by a ticket that it was given a moment ago. */
export const printRoutes = new Hono<Env>().get('/:ticket', (c) => {
  const report = c.var.tickets.take(c.req.param('ticket'));
  if (!report) throw notFound(msg('This ticket'));
  return c.json(report);
});
