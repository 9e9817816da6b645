import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import {
  type Api,
  CLEAR,
  DAY_MS,
  measuredClient,
  prescriptionFor,
  startAfter,
  startApi,
} from './api.fixture';
import { type Ready, ready, trainToday } from './forbidden.fixture';
import { ALL_WAYS } from './forbidden-conditions.fixture';
import { WAYS_TO_SIGN } from './forbidden-to-sign.fixture';

const REASON = { overrideReason: 'I insist' };

const open = (api: Api, { prescriptionId }: Ready, who: 'clara' | 'colin', more: object = {}) =>
  api.call('POST', '/sessions', { id: newId(), prescriptionId, ...more }, who);

describe('a session that must not open (START-1)', () => {
  it('opens as long as nothing is wrong', async () => {
    const api = await startApi();
    const { status } = await open(api, await ready(api), 'colin');
    expect(status).toBe(201);
  });

  it.each(ALL_WAYS)('stays shut: $way', async ({ happens, rule }) => {
    const { api, made: person } = await startAfter(ready);
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

describe('a plan that must never be signed', () => {
  it.each(WAYS_TO_SIGN)('is refused: $way', async ({ first, plan, rule }) => {
    const { api, made: client } = await startAfter(measuredClient);
    await first?.(api, client);
    const json = { ...(plan(prescriptionFor(client), client) as object), ...REASON };
    const { status, problem } = await api.refused(`/clients/${client.id}/prescriptions`, json);
    expect([status >= 400 && status < 500, problem.title]).toEqual([true, expect.any(String)]);
    if (rule)
      expect(englishOf(problem.errors)).toContainEqual(expect.objectContaining({ rule, level: 'hard' }));
    expect((await api.get<typeof client>(`/clients/${client.id}`)).facts.prescriptions).toEqual([]);
  });
});

describe('what only a clinician does, with a reason (SCR-4)', () => {
  it.each([
    ['a second session of a limb on one day', 'PRO-3'],
    ['a strength test of an operated limb', 'LOAD-2'],
    ['a load above the usual', 'LOAD-3'],
  ] as const)('is refused to a coach, and without a reason: %s', async (what, rule) => {
    const { api, made: person } = await startAfter(ready);
    const attempts = {
      'PRO-3': async () => {
        await trainToday(api, person);
        return ['/sessions', { id: newId(), prescriptionId: person.prescriptionId }] as const;
      },
      'LOAD-2': async () => {
        api.clock.nowMs += 1_000;
        const procedures = [{ limb: 'left-thigh', atMs: api.clock.nowMs - 20 * DAY_MS, what: 'Graft' }];
        await api.post(`/clients/${person.client.id}/screenings`, {
          ...CLEAR,
          yes: ['recent-surgery'],
          procedures,
        });
        const test = { exerciseId: 'knee-extension', side: 'left', loadKg: 20, reps: 8 };
        return [`/clients/${person.client.id}/strength-tests`, test] as const;
      },
      'LOAD-3': async () => {
        const plan = prescriptionFor(person.client, { percentOneRepMax: 45 });
        return [`/clients/${person.client.id}/prescriptions`, plan] as const;
      },
    };
    const [path, json] = await attempts[rule]();
    const coach = await api.refused(path, { ...json, ...REASON }, 'colin');
    expect([what, coach.status, coach.problem.errors[0]?.rule]).toEqual([what, 422, rule]);
    expect(englishOf((await api.refused(path, json)).problem.errors)).toMatchObject([
      { path: 'overrideReason' },
    ]);
    await api.post(path, { ...json, ...REASON });
    const [entry] = await api.sql('select practitioner_id, detail from audit order by rowid desc limit 1');
    expect(entry?.practitioner_id).toBe('clara');
    expect(entry?.detail).toContain('I insist');
  });
});
