import Database from 'libsql';
import { pino } from 'pino';
import { describe, expect, it, vi } from 'vitest';
import { RELEASE } from '#contract/release';
import { signInNew } from './access/sign-in.fixture';
import { type Api, CLEAR, startApi } from './api.fixture';
import { createApp } from './app';
import { openDatabase } from './db/database';
import { forTheLog } from './trouble';

const screen = async (api: Api, id: string) => {
  const answer = await api.ask(`/clients/${id}/screenings`, {
    method: 'POST',
    headers: { cookie: '__Host-nervato=clara' },
    body: JSON.stringify({ ...CLEAR, note: 'x'.repeat(300) }),
  });
  const body = (await answer.json()) as { title: string };
  return { status: answer.status, title: body.title, again: answer.headers.get('retry-after') };
};

describe('a machine in trouble', () => {
  const TROUBLES: {
    what: string;
    begin: (api: Api) => Promise<unknown>;
    end: (api: Api) => Promise<unknown>;
  }[] = [
    {
      what: 'The disk is full',
      begin: async (api) => {
        const [pages] = await api.sql('pragma page_count');
        await api.sql(`pragma max_page_count = ${pages?.page_count}`);
      },
      end: (api) => api.sql('pragma max_page_count = 1000000'),
    },
    {
      what: 'The record cannot be written',
      begin: (api) => api.sql('pragma query_only = on'),
      end: (api) => api.sql('pragma query_only = off'),
    },
  ];

  it.each(TROUBLES)('says so, stores nothing, and recovers: $what', async ({ what, begin, end }) => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Test Person' });
    await begin(api);
    let answer = await screen(api, id);
    // A page or two may still be free.
    for (let i = 0; i < 200 && answer.status === 201; i += 1) answer = await screen(api, id);
    expect(answer).toEqual({ status: 503, title: what, again: expect.stringMatching(/^\d+$/) });
    const before = await api.sql('select count(*) as n from screening');
    // An audit that cannot be written does not block reading; the look is written with the next.
    expect((await api.call('GET', `/clients/${id}`, undefined, 'colin')).status).toBe(200);
    await end(api);
    expect(await api.sql('select count(*) as n from screening')).toEqual(before);
    await api.call('GET', `/clients/${id}`, undefined, 'colin');
    const looks = await api.sql(
      `select subject from audit where action = 'looked-at' and practitioner_id = 'colin'`,
    );
    expect(looks).toEqual([{ subject: id }]);
    expect((await screen(api, id)).status).toBe(201);
  });

  it('waits for another program, and says so where it does not let go', async () => {
    const api = await startApi();
    const said = [vi.spyOn(console, 'log'), vi.spyOn(console, 'warn'), vi.spyOn(console, 'error')];
    const { id } = await api.post('/clients', { name: 'Test Person' });
    await api.sql('pragma busy_timeout = 20');
    const other = new Database(api.file);
    other.exec('begin immediate');
    for (let i = 0; i < 3; i += 1) {
      expect(await screen(api, id)).toMatchObject({ status: 503, title: 'The record is busy' });
      // A new connection waits as long as any does.
      await api.sql('pragma busy_timeout = 20');
    }
    expect((await api.call('GET', `/clients/${id}`)).status).toBe(200);
    other.exec('rollback');
    other.close();
    expect(await screen(api, id)).toMatchObject({ status: 201 });
    const words = said.flatMap(({ mock }) => mock.calls.flat()).join('\n');
    expect(words).toContain('a statement failed half-way');
    expect(words).not.toMatch(/insert into|update `/);
    for (const spy of said) spy.mockRestore();
  });
});

describe('the log', () => {
  it('has one line a request by its route, and nothing of a person', async () => {
    const lines: string[] = [];
    const orm = await openDatabase(':memory:');
    const signedIn = await signInNew(orm);
    const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(line) });
    const app = createApp({ orm, now: () => Date.now(), log });
    const ask = (path: string, body?: object) =>
      app.request(`/api${path}`, {
        headers: { 'content-type': 'application/json', ...signedIn },
        ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
      });
    const added = await ask('/clients', { name: 'Wilmot Saltash', story: 'Achilles' });
    await ask('/clients?search=saltash');
    await ask('/nowhere/wilmot');
    const { id } = (await added.json()) as { id: string };
    // The table is gone from under the server: the driver says so with everything it was asked.
    await orm.em.getConnection().execute('drop table screening');
    expect((await ask(`/clients/${id}/screenings`, CLEAR)).status).toBe(500);
    await orm.close();
    const said = lines.map(
      (line) => JSON.parse(line) as { route?: string; request?: string; status?: number },
    );
    expect(said.map(({ route }) => route)).toContain('/clients');
    expect(said.filter(({ status }) => status === 500)).toHaveLength(1);
    expect(new Set(said.map(({ request }) => request)).size).toBe(4);
    expect(lines.join('')).not.toMatch(/saltash|achilles|insert into|select/i);
    expect(added.headers.get('x-request-id')).toBe(said[0]?.request);
  });

  it('keeps the kind and the place of a failure, and not its words', () => {
    const error = Object.assign(new Error("insert into client values ('Wilmot Saltash')"), {
      code: 'SQLITE_ERROR',
    });
    const kept = JSON.stringify(forTheLog(error));
    expect(kept).toContain('SQLITE_ERROR');
    expect(kept).not.toMatch(/Saltash|insert/);
  });
});

describe('what programs that watch a server ask', () => {
  it('is answered shortly, deeply and in numbers', async () => {
    const api = await startApi();
    expect(await (await api.ask('/health')).json()).toEqual({ ok: true, release: RELEASE });
    expect(await (await api.ask('/health/deep')).json()).toEqual({
      ok: true,
      database: true,
      writes: true,
      audit: true,
    });
    const text = await (await api.ask('/health/metrics')).text();
    expect(text).toMatch(/^nervato_requests_total\{status="2xx"\} \d+$/m);
    expect(text).toMatch(/^nervato_request_ms_bucket\{le="\+Inf"\} 2$/m);
  });

  it('says that something is wrong with the audit', async () => {
    const api = await startApi();
    await api.post('/clients', { name: 'Test Person' });
    await api.sql('drop trigger audit_no_update');
    await api.sql("update audit set subject = 'another'");
    const answer = await api.ask('/health/deep');
    expect([answer.status, ((await answer.json()) as { audit: boolean }).audit]).toEqual([503, false]);
  });
});
