import { isIP } from 'node:net';

/** Whether a name or an address is this very machine, which nothing sent to it leaves. @example isLoopback('127.0.0.1') //=> true */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));
