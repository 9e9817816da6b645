import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AuditCheck } from '#contract/audit';
import { startApi } from './api.fixture';
import { isStorable } from './storable';

describe('what can be stored', () => {
  it.each([
    ['"Ada"', true],
    ['"\\ud83d\\ude00 and 😀"', true],
    ['"a\\\\u0000"', true],
    ['"a\\\\ud800"', true],
    ['"\\u0001"', true],
    ['"\\u0000"', false],
    ['"\\\\\\u0000"', false],
    ['"\\ud83d"', false],
    ['"\\uDE00"', false],
    ['"\\ud83dx\\ude00"', false],
    ['"\\ud83d\\ud83d\\ude00"', false],
    ['\u0000', false],
  ])('%s: %s', (json, storable) => {
    expect(isStorable(json)).toBe(storable);
  });

  it('is every text that has neither, however it is escaped', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const escaped = JSON.stringify(text).replace(
          /[\u0080-\uffff]/g,
          (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
        );
        expect(isStorable(escaped)).toBe(!text.includes('\u0000') && !/\p{Cs}/u.test(text));
      }),
    );
  });

  it('is refused in an address too, before anything is written of it: the audit can be checked after', async () => {
    const api = await startApi();
    for (const [method, path] of [
      ['GET', '/clients/%00/home-links'],
      ['GET', '/clients/a%00b'],
      ['GET', '/clients?search=%00'],
      ['POST', '/clients/%00/consents'],
      ['GET', '/clients/%ED%A0%80'],
      ['GET', '/clients/%'],
    ] as const) {
      const answer = await api.raw(method, path, method === 'POST' ? '{}' : undefined);
      expect([path, answer.status]).toEqual([path, 400]);
    }
    expect(await api.get<AuditCheck>('/audit/check')).toMatchObject({ broken: null });
  });

  it('is refused at the edge, of every route and every file', async () => {
    const api = await startApi();
    for (const name of ['Ada\\u0000', 'Ada\\ud800']) {
      const answer = await api.raw('POST', '/clients', `{"name":"${name}"}`);
      expect([answer.status, await answer.json()]).toMatchObject([400, { title: 'Letters that are none' }]);
      const row = await api.raw('POST', '/tables/people?take=good', `{"person":"${name}","story":null}`);
      expect(await row.json()).toMatchObject({ taken: 0, refused: 1 });
    }
    expect(await api.sql('select count(*) as n from client')).toEqual([{ n: 0 }]);
  });
});
