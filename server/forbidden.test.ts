import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { type Api, measuredClient, prescriptionFor, startApi } from './api.fixture';
import { type Ready, ready, WAYS_TO_OPEN, WAYS_TO_SIGN } from './forbidden.fixture';

const REASON = { overrideReason: 'I insist' };

const open = (api: Api, { prescriptionId }: Ready, who: 'clara' | 'colin', more: object = {}) =>
  api.call('POST', '/sessions', { id: newId(), prescriptionId, ...more }, who);

describe('a session that must not open (START-1)', () => {
  it('opens as long as nothing is wrong', async () => {
    const api = await startApi();
    const { status } = await open(api, await ready(api), 'colin');
    expect(status).toBe(201);
  });

  it.each(WAYS_TO_OPEN)('stays shut: $way', async ({ happens, rule }) => {
    const api = await startApi();
    const person = await ready(api);
    api.clock.nowMs += 1_000;
    await happens(api, person);
    for (const [who, more] of [
      ['clara', {}],
      ['colin', REASON],
    ] as const) {
      const { status, body } = await open(api, person, who, more);
      const shut = status >= 400 && status < 500;
      expect([who, shut, body.title ?? 'opened']).toEqual([who, true, expect.any(String)]);
      if (rule) expect(JSON.stringify(body)).toContain(rule);
    }
  });
});

describe('a plan that nobody may sign', () => {
  it.each(WAYS_TO_SIGN)('is refused: $way', async ({ first, plan, rule }) => {
    const api = await startApi();
    const client = await measuredClient(api);
    await first?.(api, client);
    const json = { ...(plan(prescriptionFor(client), client) as object), ...REASON };
    const { status, problem } = await api.refused(`/clients/${client.id}/prescriptions`, json);
    expect([status >= 400 && status < 500, problem.title]).toEqual([true, expect.any(String)]);
    if (rule) expect(problem.errors).toContainEqual(expect.objectContaining({ rule, level: 'hard' }));
    expect((await api.get<typeof client>(`/clients/${client.id}`)).facts.prescriptions).toEqual([]);
  });
});
