import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import { inEnglish } from '#language/render';
import { attackRuns } from '../tests/attack-runs';
import { type Api, startAfter, startApi } from './api.fixture';
import { type Ready, ready } from './forbidden.fixture';
import { ALL_WAYS } from './forbidden-conditions.fixture';

// START-3: what keeps a session shut comes along with the record, and is there after a clinician has looked through it.

/** So many of four ways: every fourth every day, all in `npm run attack`. */
const TRIED = attackRuns(1);
const WAYS = ALL_WAYS.filter((_, place) => place % 4 < TRIED);

const recordOf = (api: Api, { client }: Ready) => api.get<ClientRecord>(`/clients/${client.id}`);

async function takeAcross(from: Api, into: Api, { client }: Ready): Promise<void> {
  const file = await (await from.raw('GET', `/archive/of/${client.id}`)).text();
  const { status, body } = await into.call('POST', '/archive', file);
  expect([status, body]).toEqual([201, expect.anything()]);
}

describe('what keeps a session shut, brought to another practice by file', () => {
  it.each(WAYS)('keeps it shut there: $way', async ({ happens }) => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += 1_000;
    await happens(api, person);
    const there = await startApi();
    there.clock.nowMs = api.clock.nowMs;
    await takeAcross(api, there, person);
    const here = await recordOf(api, person);
    const { facts } = await recordOf(there, person);
    for (const { id, cause } of facts.holds)
      if (cause.startsWith('import'))
        await there.post(`/clients/${person.client.id}/holds/${id}/lift`, {
          reason: 'Looked through with them',
        });
    const now = await recordOf(there, person);
    const words = ({ facts: { holds } }: ClientRecord) => holds.map((hold) => hold.words).sort();
    expect(words(now)).toEqual(words(here));
    // The plan was signed elsewhere, and is to be signed again: all before it is as it was.
    const states = ({ chain }: ClientRecord) =>
      chain.slice(0, 4).map(({ id, state, figure }) => `${id} ${state} ${inEnglish(figure)}`);
    expect(states(now)).toEqual(states(here));
    const json = { id: newId(), prescriptionId: person.prescriptionId };
    const { status } = await there.call('POST', '/sessions', json);
    expect([409, 422]).toContain(status);
  });
});
