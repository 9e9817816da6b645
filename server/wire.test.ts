import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, gunzipSync } from 'node:zlib';
import { pino } from 'pino';
import { expect, it, onTestFinished } from 'vitest';
import { signInNew } from './access/sign-in.fixture';
import { createApp } from './app';
import { openDatabase } from './db/database';

const SCRIPT = 'export const answer = 42;\n'.repeat(100);

async function built() {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-wire-'));
  mkdirSync(join(folder, 'web/assets'), { recursive: true });
  writeFileSync(join(folder, 'web/index.html'), '<!doctype html><title>Nervato</title>');
  writeFileSync(join(folder, 'web/assets/main-1a2b.js'), SCRIPT);
  writeFileSync(join(folder, 'web/assets/main-1a2b.js.br'), brotliCompressSync(SCRIPT));
  const orm = await openDatabase(join(folder, 'wire.sqlite'));
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  await orm.em.getConnection().execute(
    `insert into practice (id, name, phone, mass_unit, length_unit, school_id, stricter)
     values ('practice', '${'Tidewater '.repeat(300)}', '', 'kg', 'cm', 'research-consensus', '[]')`,
  );
  const app = createApp({
    orm,
    now: () => 0,
    log: pino({ level: 'silent' }),
    webRoot: join(folder, 'web'),
  });
  const signedIn = await signInNew(orm);
  return (path: string, accepts?: string) =>
    app.request(path, { headers: { ...signedIn, ...(accepts ? { 'accept-encoding': accepts } : {}) } });
}

it('sends JSON compressed to who can read it, and plain to who cannot', async () => {
  const get = await built();
  const plain = await get('/api/practice');
  expect(plain.headers.get('content-encoding')).toBeNull();
  const text = await plain.text();
  const packed = await get('/api/practice', 'gzip');
  expect(packed.headers.get('content-encoding')).toBe('gzip');
  const bytes = Buffer.from(await packed.arrayBuffer());
  expect(bytes.length).toBeLessThan(text.length / 2);
  expect(gunzipSync(bytes).toString()).toBe(text);
});

it('sends built files as they were compressed at build, to be kept for ever', async () => {
  const get = await built();
  const script = await get('/assets/main-1a2b.js', 'br, gzip');
  expect(script.headers.get('content-encoding')).toBe('br');
  expect(script.headers.get('content-type')).toMatch(/javascript/);
  expect(script.headers.get('cache-control')).toContain('immutable');
  expect(brotliDecompressSync(Buffer.from(await script.arrayBuffer())).toString()).toBe(SCRIPT);
  // A file of an older build is gone, not the page under its name.
  const gone = await get('/assets/main-0000.js');
  expect([gone.status, gone.headers.get('cache-control')]).toEqual([404, null]);
  const page = await get('/people/someone');
  expect(await page.text()).toContain('Nervato');
  expect(page.headers.get('cache-control') ?? '').not.toContain('immutable');
});

it('leaves a stream as it is', async () => {
  const get = await built();
  const stream = await get('/api/feed', 'gzip');
  expect(stream.headers.get('content-type')).toContain('event-stream');
  expect(stream.headers.get('content-encoding')).toBeNull();
  await stream.body?.cancel();
});
