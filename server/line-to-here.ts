import { readFileSync } from 'node:fs';
import { createServer } from 'node:https';
import { isLoopback } from './access/loopback';
import { Unusable } from './backup/database-file';

/** How this server is reached: where it listens, by which names it answers, and whether the line is safe. */
export type LineToHere = {
  hostname: string;
  hosts: string[];
  scheme: 'http' | 'https';
  /** What the server is made with where it speaks TLS itself. */
  tls: { createServer?: typeof createServer; serverOptions?: { cert: Buffer; key: Buffer } };
  trustsProxy: boolean;
};

const SAID_YES = 'yes';

/**
 * What the environment says of the line (README). Records go over no open line by accident.
 * @throws Unusable where it would listen to other machines without TLS, and that is not allowed by name
 */
export function lineToHere(environment: Readonly<Record<string, string | undefined>>): LineToHere {
  const hostname = environment.NERVATO_HOST || '127.0.0.1';
  const trustsProxy = environment.NERVATO_TRUST_PROXY === SAID_YES;
  const tls = readTls(environment);
  if (!isLoopback(hostname) && !tls && !trustsProxy && environment.NERVATO_PLAIN_HTTP !== SAID_YES) {
    throw new Unusable(
      `NERVATO_HOST is ${hostname}, which other machines reach, and without TLS everyone on the way reads what is sent. Give ` +
        'NERVATO_TLS_CERT and NERVATO_TLS_KEY; or put it behind a proxy that speaks TLS and set NERVATO_TRUST_PROXY=yes; or, on ' +
        'a line that is safe by itself, set NERVATO_PLAIN_HTTP=yes.',
    );
  }
  return {
    hostname,
    hosts: (environment.NERVATO_ALLOWED_HOSTS ?? '')
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean),
    scheme: tls ? 'https' : 'http',
    tls: tls ? { createServer, serverOptions: tls } : {},
    trustsProxy,
  };
}

function readTls(
  environment: Readonly<Record<string, string | undefined>>,
): { cert: Buffer; key: Buffer } | null {
  const { NERVATO_TLS_CERT: certFile, NERVATO_TLS_KEY: keyFile } = environment;
  if (!certFile && !keyFile) return null;
  if (!certFile || !keyFile)
    throw new Unusable('NERVATO_TLS_CERT and NERVATO_TLS_KEY go together: give both, as files.');
  return { cert: read('NERVATO_TLS_CERT', certFile), key: read('NERVATO_TLS_KEY', keyFile) };
}

function read(name: string, file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new Unusable(
      `${name}: ${file} cannot be read (${error instanceof Error ? error.message : error}).`,
    );
  }
}
