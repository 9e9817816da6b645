import { describe, expect, it } from 'vitest';
import { type Doer, mayDo } from '#core/access';
import { type Api, startApi, type Who } from '../api.fixture';
import { ROUTE_ASKS } from './route-permissions';
import { IDLE_MS, LONGEST_MS } from './sign-ins';

const DOERS: Record<Exclude<Who, 'signed-out'>, Doer> = {
  clara: { role: 'clinician', isOwner: true },
  lena: { role: 'clinician', isOwner: false },
  colin: { role: 'coach', isOwner: false },
  aske: { role: 'assistant', isOwner: false },
  olga: { role: 'assistant', isOwner: true },
};
const ROUTES = Object.entries(ROUTE_ASKS).map(([route, asks]) => ({ route, asks }));

/** Asks a route of things that are not there, with nothing to say: what comes back after sign-in does not matter. */
async function knock(api: Api, route: string, headers: Record<string, string>) {
  const [method = '', path = ''] = route.split(' ');
  const answer = await api.ask(path.replace(/:\w+/g, 'none'), {
    method,
    headers,
    ...(method === 'POST' ? { body: '{}' } : {}),
  });
  const isProblem = answer.headers.get('content-type')?.includes('problem') ?? false;
  const title = isProblem ? ((await answer.json()) as { title: string }).title : '';
  if (!isProblem) await answer.body?.cancel();
  return { status: answer.status, title };
}
const as = (who: Who) => ({ cookie: `__Host-nervato=${who}` });

describe('every route', () => {
  it('says who may ask, and nothing else says so', async () => {
    const api = await startApi();
    const there = api
      .routes()
      .filter(({ method, path }) => method !== 'ALL' && path.startsWith('/api/'))
      .map(({ method, path }) => `${method} ${path.slice(4)}`);
    expect([...new Set(there)].sort()).toEqual(Object.keys(ROUTE_ASKS).sort());
  });

  describe('lets in those it is for, and no one else', () => {
    const starting = startApi('file');

    it.each(ROUTES)('$route', async ({ route, asks }) => {
      const api = await starting;
      const shut = await knock(api, route, {});
      if (asks === 'anyone') return expect(shut.title).not.toBe('Sign in first');
      expect(shut).toEqual({ status: 401, title: 'Sign in first' });
      expect(await knock(api, route, { cookie: '__Host-nervato=made-up' })).toEqual(shut);
      // Another device's token under a name this line does not use.
      expect(await knock(api, route, { cookie: 'nervato=clara' })).toEqual(shut);
      // The old way of saying who works says nothing.
      expect(await knock(api, route, { 'x-nervato-practitioner': 'clara' })).toEqual(shut);
      // A page that another person had opened.
      expect((await knock(api, route, { ...as('clara'), 'x-nervato-practitioner': 'colin' })).title).toBe(
        'Another person is signed in',
      );
      if (asks === 'signed-in') return;
      for (const [who, doer] of Object.entries(DOERS)) {
        const { title } = await knock(api, route, as(who as Who));
        expect([who, title === 'Not for this account']).toEqual([who, !mayDo(doer, asks)]);
        expect([who, title]).not.toEqual([who, 'Sign in first']);
      }
      // Locked, whatever the role.
      // But a cuff may be deflated.
      if (route === 'POST /sessions/:id/events') return;
      expect(await knock(api, route, { cookie: '__Host-nervato=locked' })).toEqual({
        status: 401,
        title: 'Locked',
      });
    });
  });
});

describe('a sign-in', () => {
  it('ends when it is not used, and after a long day however it is used', async () => {
    const api = await startApi();
    const status = async () => (await api.ask('/practice', { headers: as('clara') })).status;
    api.clock.realMs += IDLE_MS - 1;
    expect(await status()).toBe(200);
    api.clock.realMs += IDLE_MS - 1;
    expect(await status()).toBe(200);
    api.clock.realMs += IDLE_MS + 1;
    expect(await status()).toBe(401);
    // It is over for good, and not only late.
    api.clock.realMs -= IDLE_MS;
    expect(await status()).toBe(401);
  });

  it('that is used all the time ends too', async () => {
    const api = await startApi();
    const end = api.clock.realMs + LONGEST_MS;
    for (; api.clock.realMs <= end; api.clock.realMs += IDLE_MS / 2)
      expect((await api.ask('/practice', { headers: as('clara') })).status).toBe(200);
    expect((await api.ask('/practice', { headers: as('clara') })).status).toBe(401);
  });
});
