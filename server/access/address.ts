import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';
import type { Env } from '../context';

/** The address a request came from; that of the proxy's caller only where the proxy is trusted. */
export function addressOf(c: Context<Env>): string {
  const forwarded = c.var.trustsProxy
    ? c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim()
    : undefined;
  // Requests inside this process come over no line.
  return forwarded ?? (c.env ? getConnInfo(c).remote.address : undefined) ?? 'here';
}
