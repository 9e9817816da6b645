import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { englishOf } from '#language/english-of.fixture';
import { startAfter } from '../api.fixture';
import { measureAgain, ready } from '../forbidden.fixture';

const targetOf = (record: ClientRecord): [number | undefined, number | undefined] => {
  const limb = record.facts.prescriptions.find(({ atMs }) =>
    record.facts.prescriptions.every((other) => other.atMs <= atMs),
  )?.plan.exercises[0]?.limbs[0];
  return limb?.kind === 'measured' ? [limb.percentLop, limb.pressure.value] : [undefined, undefined];
};

describe('a plan on a pressure that was measured again (PRS-8)', () => {
  it('is confirmed by one that agrees and rounds alike: it opens, and there is nothing to re-target', async () => {
    const { api, made: person } = await startAfter(ready);
    await measureAgain(api, person.client, 178);
    const path = `/clients/${person.client.id}/prescriptions/${person.prescriptionId}/retarget`;
    expect((await api.refused(path, {})).problem.title).toBe('Nothing to re-target');
    const { prescriptionId } = person;
    const view = await api.post<SessionView>('/sessions', { id: newId(), prescriptionId }, 'colin');
    expect(englishOf(view.plan.exercises[0]?.limbs[0])).toMatchObject({ pressure: { value: 68 } });
  });

  it('follows a lower one without a key, and says so', async () => {
    const { api, made: person } = await startAfter(ready);
    await measureAgain(api, person.client, 140);
    const { prescriptionId } = person;
    const view = await api.post<SessionView>('/sessions', { id: newId(), prescriptionId }, 'colin');
    // 140 gone, 132 back: 134 mmHg; 134 × 40 % = 53.6, down to the division of 2.
    expect(englishOf(view.plan.exercises[0]?.limbs[0])).toMatchObject({ pressure: { value: 52 } });
  });

  it('keeps its share and takes a much higher one by one key, for a coach too, with what changed in the audit', async () => {
    const { api, made: person } = await startAfter(ready);
    await measureAgain(api, person.client, 220);
    const { prescriptionId, client } = person;
    const shut = await api.refused('/sessions', { id: newId(), prescriptionId });
    expect(englishOf(shut.problem.errors[0])).toMatchObject({ rule: 'PRS-8', level: 'hard' });
    const path = `/clients/${client.id}/prescriptions/${prescriptionId}/retarget`;
    api.clock.nowMs += 1_000;
    const record = await api.post(path, {}, 'colin');
    // 220 gone, 212 back: 214 mmHg; 214 × 40 % = 85.6, down to the division of 2.
    expect(targetOf(record)).toEqual([40, 84]);
    const [entry] = await api.sql("select detail from audit where action = 're-targeted'");
    expect(JSON.parse(entry?.detail ?? '{}')).toMatchObject({ from: prescriptionId });
    const next = record.facts.prescriptions.find(({ id }) => id !== prescriptionId)?.id;
    expect((await api.refused(path, {})).problem.title).toBe('Superseded');
    const view = await api.post<SessionView>('/sessions', { id: newId(), prescriptionId: next }, 'colin');
    expect(englishOf(view.plan.exercises[0]?.limbs[0])).toMatchObject({ pressure: { value: 84 } });
  });
});
