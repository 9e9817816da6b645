import type { Context } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import type { Env } from '../context';
import { isLoopback } from './loopback';

const YEAR_S = 365 * 86_400;

/** What this server keeps on a device: who is signed in, and which device it is. */
type Kept = 'nervato' | 'nervato-device';

/**
 * Whether a browser takes what it is sent as over a safe line: by TLS, or without leaving the machine.
 * @param c `x-forwarded-proto` counts only where a proxy is trusted
 */
export function isSafeLine(c: Context<Env>): boolean {
  const { protocol, hostname } = new URL(c.req.url);
  if (protocol === 'https:' || (c.var.trustsProxy && c.req.header('x-forwarded-proto') === 'https'))
    return true;
  return isLoopback(hostname.replace(/^\[(.*)\]$/, '$1'));
}

/**
 * The name a cookie has: `__Host-` ties it to this host alone, where the line is safe; the port keeps two servers of one machine
 * apart.
 */
function nameOf(c: Context<Env>, kept: Kept): string {
  const { port } = new URL(c.req.url);
  return `${isSafeLine(c) ? '__Host-' : ''}${kept}${port ? `-${port}` : ''}`;
}

export const readKept = (c: Context<Env>, kept: Kept): string | undefined => getCookie(c, nameOf(c, kept));

/** @param lasts until the browser is closed, or for a year */
export const keep = (c: Context<Env>, kept: Kept, value: string, lasts: 'session' | 'year'): void =>
  setCookie(c, nameOf(c, kept), value, {
    path: '/',
    httpOnly: true,
    sameSite: 'Strict',
    secure: isSafeLine(c),
    ...(lasts === 'year' ? { maxAge: YEAR_S } : {}),
  });

export const letGo = (c: Context<Env>, kept: Kept): void => {
  deleteCookie(c, nameOf(c, kept), { path: '/', secure: isSafeLine(c) });
};
