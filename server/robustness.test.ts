import fc from 'fast-check';
import { v4 as newId } from 'uuid';
import { expect, it } from 'vitest';
import { problemSchema } from '#contract/problem';
import { attackRuns } from '../tests/attack-runs';
import { measuredClient, openSession, SESSION_ID, startAfter } from './api.fixture';

const PATHS = (clientId: string) => [
  '/clients',
  `/clients/${clientId}/screenings`,
  `/clients/${clientId}/clearances`,
  `/clients/${clientId}/day-checks`,
  `/clients/${clientId}/shelf-life`,
  `/clients/${clientId}/fits`,
  `/clients/${clientId}/tightness`,
  `/clients/${clientId}/occlusion-pressures`,
  `/clients/${clientId}/quick-checks`,
  `/clients/${clientId}/strength-tests`,
  `/clients/${clientId}/prescriptions`,
  `/clients/${clientId}/course-plans/any`,
  `/clients/${clientId}/rung-checks`,
  `/clients/${clientId}/heavy-work`,
  `/clients/${clientId}/blocks`,
  '/sessions',
  '/sessions/entered',
  '/clock/forward',
  `/sessions/${SESSION_ID}/events`,
  '/practice/settings',
  '/practice/kit',
  '/practice/kit/retire',
  '/devices',
  '/practice-attempts',
  '/session-attempts',
  '/practice/exercises',
  '/practice/measures',
  '/practice/templates',
  `/clients/${clientId}`,
  `/clients/${clientId}/retractions`,
  `/clients/${clientId}/merge`,
  `/clients/${clientId}/erasure`,
  `/clients/${clientId}/outcomes`,
  `/clients/${clientId}/comparisons`,
  `/clients/${clientId}/reports`,
  `/clients/${clientId}/adverse-events`,
  '/accounts',
  '/accounts/any',
  '/sign-in',
  '/sign-in/pin',
  '/sign-in/first',
  '/sign-in/first/look',
  '/me/passphrase',
  '/me/pin',
  '/me/code',
  '/me/code/confirm',
  '/calendar',
];

it('answers anything at all with a problem that says what is wrong, and stores nothing of it', async () => {
  const {
    api,
    made: { clientId },
  } = await startAfter(openSession);
  const before = await api.get(`/clients/${clientId}`);
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...PATHS(clientId)),
      fc.oneof(fc.json(), fc.json({ maxDepth: 3 }), fc.string()),
      async (path, body) => {
        const answer = await api.refused(path, body);
        expect(answer.status).toBeGreaterThanOrEqual(400);
        expect(answer.status).toBeLessThan(500);
        const problem = problemSchema.parse(answer.problem);
        expect(problem.detail.length).toBeGreaterThan(5);
      },
    ),
    { numRuns: attackRuns(150) },
  );
  expect(await api.get(`/clients/${clientId}`)).toEqual({ ...(before as object), asOf: expect.anything() });
});

it('takes no word that every object answers to for one of a table', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  for (const name of ['constructor', '__proto__', 'toString', 'valueOf']) {
    const tested = { exerciseId: name, side: 'left', loadKg: 30, reps: 8 };
    const test = await api.call('POST', `/clients/${client.id}/strength-tests`, tested);
    const taken = { id: newId(), measureId: name, limb: null, values: [1], atMs: api.clock.nowMs };
    const measure = await api.call('POST', `/clients/${client.id}/outcomes`, taken);
    expect([
      name,
      test.status >= 400 && test.status < 500,
      measure.status >= 400 && measure.status < 500,
    ]).toEqual([name, true, true]);
  }
});
