import type { Context } from 'hono';
import { rateLimiter } from 'hono-rate-limiter';
import { msg } from '#core/message';
import { addressOf } from './access/address';
import type { Env } from './context';
import { answerProblem, Problem } from './problem';

const MINUTE_MS = 60_000;

const tooMany = new Problem(
  429,
  msg('Too many requests'),
  msg('Too many requests came from this address: wait a minute. Nothing that is on the device is lost.'),
  [],
  { 'retry-after': '60' },
);

const atMost = (limit: number, counts: (c: { req: { method: string } }) => boolean = () => true) =>
  rateLimiter<Env>({
    windowMs: MINUTE_MS,
    limit,
    standardHeaders: 'draft-7',
    keyGenerator: (c) => addressOf(c as Context<Env>),
    // What plays a practice inside this process comes over no line.
    skip: (c) => c.env === undefined || !counts(c),
    handler: (c) => answerProblem(c, tooMany),
  });

/** As many as a floor of tablets behind one address makes at its busiest, several times over. */
export const limitRequests = atMost(30_000);
/** A passphrase takes the server some work to check: beside the waits of each name, so many a minute from one address. */
export const limitSignIns = atMost(120, ({ req }) => req.method === 'POST');
