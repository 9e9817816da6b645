import { isIP } from 'node:net';
import { createMiddleware } from 'hono/factory';
import { msg } from '#core/message';
import type { Env } from '../context';
import { Problem } from '../problem';
import { READS } from './practitioner';

/** The name in a Host header or an origin, without its port. @example nameOf('[::1]:4310') //=> '::1' */
const nameOf = (host: string): string =>
  host
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase();

/**
 * Answers only to names this server is known by: a foreign page that had its own name pointed here would be of the same
 * origin to a browser. Figures of an address cannot be pointed anywhere. And nothing is written for a page of another origin.
 * @param names beside localhost
 */
export const knownHost = (names: readonly string[]) =>
  createMiddleware<Env>(async (c, next) => {
    const host = c.req.header('host');
    const name = nameOf(host ?? 'localhost');
    if (name !== 'localhost' && isIP(name) === 0 && !names.includes(name)) {
      throw new Problem(
        403,
        msg('Not by this name'),
        msg(
          'This server is not known as {name}. Add the name to NERVATO_ALLOWED_HOSTS, or use the address it says when it starts.',
          { name },
        ),
      );
    }
    const origin = c.req.header('origin');
    if (
      origin !== undefined &&
      !READS.has(c.req.method) &&
      origin.replace(/^https?:\/\//, '') !== (host ?? 'localhost')
    ) {
      throw new Problem(
        403,
        msg('From another page'),
        msg('Nothing is written for a page of another origin. Open Nervato itself.'),
      );
    }
    await next();
  });
