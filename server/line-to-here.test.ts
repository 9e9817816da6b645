import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { lineToHere } from './line-to-here';

const folder = mkdtempSync(join(tmpdir(), 'nervato-tls-'));
const pem = join(folder, 'some.pem');
writeFileSync(pem, 'a certificate');

it.each([{}, { NERVATO_HOST: '127.0.0.1' }, { NERVATO_HOST: 'localhost' }, { NERVATO_HOST: '::1' }])(
  'stays on this machine without being asked: %j',
  (environment) => {
    expect(lineToHere(environment)).toMatchObject({ scheme: 'http', trustsProxy: false });
  },
);

it.each(['0.0.0.0', '192.168.1.20', '::', 'tide.lan'])('does not start openly at %s', (hostname) => {
  const at = { NERVATO_HOST: hostname };
  expect(() => lineToHere(at)).toThrow(/NERVATO_TLS_CERT/);
  expect(lineToHere({ ...at, NERVATO_PLAIN_HTTP: 'yes' }).scheme).toBe('http');
  expect(lineToHere({ ...at, NERVATO_TRUST_PROXY: 'yes' }).trustsProxy).toBe(true);
  expect(lineToHere({ ...at, NERVATO_TLS_CERT: pem, NERVATO_TLS_KEY: pem }).scheme).toBe('https');
});

it('says which file is missing', () => {
  expect(() => lineToHere({ NERVATO_TLS_CERT: pem })).toThrow(/go together/);
  expect(() => lineToHere({ NERVATO_TLS_CERT: pem, NERVATO_TLS_KEY: join(folder, 'none') })).toThrow(
    /NERVATO_TLS_KEY: .*none/,
  );
});
