import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import { englishOf } from '#language/english-of.fixture';
import {
  DAY_MS,
  exerciseFor,
  measuredClient,
  OCCLUSION,
  prescriptionFor,
  startAfter,
  startApi,
} from '../api.fixture';

const measureLink = (client: Pick<ClientRecord, 'chain'>) =>
  englishOf(client.chain.find(({ id }) => id === 'measure'));

describe('measuring', () => {
  it('refuses an oximeter on a leg, and says why', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const { status, problem } = await api.refused(`/clients/${client.id}/occlusion-pressures`, {
      ...OCCLUSION,
      method: 'oximeter',
      site: 'finger',
    });
    expect(status).toBe(422);
    expect(englishOf(problem.errors[0])).toMatchObject({ path: 'method', rule: 'LOP-1' });
    expect(problem.detail).toContain('upper limb only');
  });

  it('takes the division of the gauge into the uncertainty', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const coarse = { id: 'coarse', label: 'Coarse', kind: 'by-hand', divisionMmHg: 20, keepsPressure: true };
    await api.post('/practice/kit', { list: 'pumps', item: coarse });
    const again = await api.post(`/clients/${client.id}/occlusion-pressures`, {
      ...OCCLUSION,
      pumpId: 'coarse',
    });
    const of = (divisionMmHg: number) =>
      again.facts.occlusions.find((fact) => fact.divisionMmHg === divisionMmHg)?.uncertaintyMmHg ?? 0;
    expect(of(20)).toBeGreaterThan(of(2));
  });

  it('takes the error that a check of the gauge found into it as well, and keeps it', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const item = { id: 'pump', label: 'Hand pump', kind: 'by-hand', divisionMmHg: 2, keepsPressure: true };
    const checked = { ...item, checkedOn: '2026-04-01', errorMmHg: 8 };
    await api.post('/practice/kit', { list: 'pumps', item: checked });
    api.clock.nowMs += 1_000;
    const { facts } = await api.post(`/clients/${client.id}/occlusion-pressures`, OCCLUSION);
    const before = client.facts.occlusions[0];
    expect(before?.gaugeErrorMmHg).toBeNull();
    expect(facts.occlusions[0]?.gaugeErrorMmHg).toBe(8);
    expect(facts.occlusions[0]?.uncertaintyMmHg).toBeGreaterThan(before?.uncertaintyMmHg ?? 99);
    const half = { ...item, checkedOn: '2026-04-01' };
    const { problem } = await api.refused('/practice/kit', { list: 'pumps', item: half });
    expect(problem.errors[0]?.path).toBe('item.errorMmHg');
  });
});

describe('quick checks (LOP-7)', () => {
  it('renew the shelf life within 10 mmHg', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const [stored] = client.facts.occlusions;
    api.clock.nowMs += 20 * DAY_MS;
    await api.post(`/clients/${client.id}/quick-checks`, { occlusionId: stored?.id, goneMmHg: 182 });
    api.clock.nowMs += 20 * DAY_MS;
    const later = await api.get<typeof client>(`/clients/${client.id}`);
    expect(measureLink(later)).toMatchObject({ state: 'good' });
  });

  it('make the pressure due when further off', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const [stored] = client.facts.occlusions;
    api.clock.nowMs += DAY_MS;
    const body = { occlusionId: stored?.id, goneMmHg: 196 };
    expect(measureLink(await api.post(`/clients/${client.id}/quick-checks`, body))).toMatchObject({
      state: 'due',
    });
    const unknown = await api.refused(`/clients/${client.id}/quick-checks`, { ...body, occlusionId: 'none' });
    expect(unknown.status).toBe(404);
  });
});

describe('straps (TIGHT)', () => {
  const felt = { limb: 'left-thigh', strapId: 'strap', mark: 6, felt: 7, colourGood: true, noTingling: true };

  it('are kept with their mark, and never count as measured', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/fits`, {
      kind: 'strap',
      limb: 'left-thigh',
      girthCm: 55,
      strapId: 'strap',
    });
    const client = await api.post(`/clients/${id}/tightness`, felt);
    expect(client.facts.tightness[0]).toMatchObject({ mark: 6, felt: 7, strapLabel: 'Marked strap' });
    expect(measureLink(client)).toMatchObject({ state: 'due', figure: 'felt 7 of 10' });
    const { problem } = await api.refused(`/clients/${id}/occlusion-pressures`, OCCLUSION);
    expect(problem.errors[0]?.path).toBe('limb');
  });

  it('without marks are kept in turns and a tension, and none without it', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/fits`, { kind: 'strap', limb: 'left-arm', girthCm: 30, strapId: 'wrap' });
    const wound = { ...felt, limb: 'left-arm', strapId: 'wrap', mark: 4, felt: 6 };
    const { problem } = await api.refused(`/clients/${id}/tightness`, wound);
    expect(englishOf(problem.errors[0])).toMatchObject({ path: 'tension', rule: 'TIGHT' });
    const client = await api.post(`/clients/${id}/tightness`, { ...wound, tension: 'stretched by half' });
    expect(client.facts.tightness[0]).toMatchObject({
      mark: 4,
      counts: 'turns',
      tension: 'stretched by half',
    });
    expect(measureLink(client)?.reason).toMatch(/at 4 turns, stretched by half/);
  });

  it('are refused too tight, with tingling, off their marks and on the wrong limb', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    for (const [change, path] of [
      [{ felt: 9 }, 'felt'],
      [{ noTingling: false }, 'noTingling'],
      [{ mark: 40 }, 'mark'],
    ] as const) {
      const { problem } = await api.refused(`/clients/${id}/tightness`, { ...felt, ...change });
      expect(englishOf(problem.errors[0])).toMatchObject({ path, rule: 'TIGHT' });
    }
    const arm = { kind: 'strap', limb: 'left-arm', girthCm: 30, strapId: 'strap' };
    expect((await api.refused(`/clients/${id}/fits`, arm)).problem.errors[0]?.path).toBe('strapId');
  });
});

describe('kit', () => {
  it('is added, changed and retired, and what was measured with it stays', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const before = await api.get<{ cuffs: { id: string }[] }>('/practice');
    await api.post('/practice/kit/retire', { list: 'cuffs', id: 'thigh-large' });
    const practice = await api.get<{ cuffs: { id: string }[] }>('/practice');
    expect(practice.cuffs.map(({ id }) => id)).not.toContain('thigh-large');
    const kept = await api.get<typeof client>(`/clients/${client.id}`);
    expect(kept.facts.occlusions[0]?.cuffLabel).toBe('thigh-large');
    const { status } = await api.refused('/practice/kit/retire', { list: 'straps', id: 'thigh-large' });
    expect(status).toBe(404);
    const back = { list: 'cuffs', id: 'thigh-large', isRetired: false };
    const again = await api.post<{ cuffs: { id: string }[] }>('/practice/kit/retire', back);
    expect(again.cuffs.find(({ id }) => id === 'thigh-large')).toEqual(
      before.cuffs.find(({ id }) => id === 'thigh-large'),
    );
    const asCoach = await api.refused('/practice/kit/retire', back, 'colin');
    expect(asCoach.status).toBe(403);
  });

  it('is refused with the field that is wrong', async () => {
    const api = await startApi();
    const strap = { id: 's', label: '', limbKind: 'leg', widthCm: 5, firstMark: 9, lastMark: 3 };
    const { problem } = await api.refused('/practice/kit', { list: 'straps', item: strap });
    expect(problem.errors.map(({ path }) => path)).toContain('item.label');
  });

  it('leaves the settings to clinicians', async () => {
    const api = await startApi();
    expect((await api.refused('/practice/settings', {}, 'colin')).status).toBe(403);
  });

  it('has no load in kg in bands, and says so', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const exercise = exerciseFor(client);
    const banded = { ...exercise, load: { ...exercise.load, weightKitId: 'bands' } };
    const { problem } = await api.refused(`/clients/${client.id}/prescriptions`, {
      ...prescriptionFor(client),
      exercises: [banded],
    });
    expect(englishOf(problem.errors[0])).toMatchObject({
      path: 'exercises.0.load.weightKitId',
      message: 'Bands has no load in kg.',
    });
  });
});
