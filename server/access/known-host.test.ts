import { Hono } from 'hono';
import { describe, expect, it } from 'vitest';
import type { Env } from '../context';
import { answerProblem, type Problem } from '../problem';
import { knownHost } from './known-host';

const app = new Hono<Env>().use('*', knownHost(['tide.lan'])).all('*', (c) => c.text('answered'));
app.onError((error, c) => answerProblem(c, error as Problem));
const status = async (headers: Record<string, string>, method = 'GET') =>
  (await app.request('/', { method, headers })).status;

describe('by which names a server answers', () => {
  it.each([
    'localhost:4310',
    'LOCALHOST',
    '127.0.0.1:4310',
    '[::1]:4310',
    '192.168.1.20:4310',
    'tide.lan',
    'tide.lan:80',
  ])('it does by %s', async (host) => {
    expect(await status({ host })).toBe(200);
  });
  it.each([
    'evil.example',
    'evil.example:4310',
    'localhost.evil.example',
    '127.0.0.1.evil.example',
    'xtide.lan',
    '',
  ])('it does not by %j', async (host) => {
    expect(await status({ host })).toBe(403);
  });
});

describe('for whose pages it writes', () => {
  it('for its own, and for programs that are no page', async () => {
    const host = 'localhost:4310';
    expect(await status({ host, origin: 'http://localhost:4310' }, 'POST')).toBe(200);
    expect(await status({ host }, 'POST')).toBe(200);
    for (const origin of [
      'http://evil.example',
      'http://localhost:9999',
      'null',
      'http://localhost:4310.evil.example',
    ])
      expect([origin, await status({ host, origin }, 'POST')]).toEqual([origin, 403]);
    // What only reads may come from anywhere: a browser keeps the answer from the page.
    expect(await status({ host, origin: 'http://evil.example' })).toBe(200);
  });
});
