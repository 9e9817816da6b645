import { describe, expect, it } from 'vitest';
import type { ImportBatch } from '#contract/archive';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { TableAnswer } from '#contract/table';
import type { TableKind } from '#core/table';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { CLEAR, DAY_MS, measuredClient, prescriptionFor, startAfter, startApi } from '../api.fixture';

type Api = Awaited<ReturnType<typeof startApi>>;

const bring = async (
  api: Api,
  kind: TableKind,
  rows: readonly object[],
  asked: { take?: 'all' | 'good'; preview?: 'yes' | 'no' } = {},
) => {
  const query = new URLSearchParams({ name: 'paper.csv', take: 'good', ...asked });
  const body = rows.map((row) => `${JSON.stringify(row)}\n`).join('');
  const answer = await api.raw('POST', `/tables/${kind}?${query}`, body);
  return { status: answer.status, body: (await answer.json()) as TableAnswer };
};
const reasons = ({ body }: { body: TableAnswer }) =>
  body.rows.map(({ row, field, reason }) => `${row} ${field}: ${inEnglish(reason)}`);

const dayOf = (atMs: number) => new Date(atMs).toISOString().slice(0, 10);
const recordOf = async (api: Api, name: string) => {
  const { people } = await api.get<PeoplePage>(`/clients?search=${encodeURIComponent(name)}`);
  return api.get<ClientRecord>(`/clients/${people[0]?.id}`);
};

describe('a practice that comes from tables', () => {
  it('has its people, girths, pressures, tests and outcomes, ready for a first session', async () => {
    const api = await startApi();
    const day = dayOf(api.clock.nowMs - 2 * DAY_MS);
    const person = 'Perpetua Wick';
    expect(englishOf((await bring(api, 'people', [{ person, story: 'Knee, autumn' }])).body)).toMatchObject({
      taken: 1,
      refused: 0,
    });
    await bring(api, 'fits', [
      { person: 'PERPETUA wick', day, limb: 'left-thigh', girthCm: 55, cuffId: 'thigh-large' },
    ]);
    const pressures = await bring(api, 'pressures', [
      {
        person,
        day,
        limb: 'left-thigh',
        position: 'sitting',
        cuffId: 'thigh-large',
        method: 'doppler',
        pressureMmHg: 176,
        stepMmHg: null,
      },
    ]);
    expect(reasons(pressures)).toEqual([]);
    await bring(api, 'strength-tests', [
      { person, day, exerciseId: 'knee-extension', side: 'left', loadKg: 30, reps: 8 },
    ]);
    await bring(api, 'outcomes', [
      {
        person,
        day,
        measureId: 'girth-10-above-knee',
        limb: 'left-thigh',
        values: [52.1, 52.4],
        setting: null,
        note: null,
      },
    ]);
    const { facts } = await recordOf(api, person);
    expect(facts.fits[0]).toMatchObject({
      girthCm: 55,
      widthCm: 11.5,
      atMs: api.clock.nowMs - 2 * DAY_MS - MIDDAY(api),
    });
    // One reading in steps of 10 by the gauge of the practice: less sure than one that was measured here.
    expect(englishOf(facts.occlusions[0])).toMatchObject({
      pressure: { value: 176 },
      uncertaintyMmHg: 24,
      readingSchool: 'first-silence',
    });
    expect(englishOf(facts.occlusions[0]?.pressure.working.map(({ label }) => label))).toEqual([
      'From a table',
      'Mean',
      'Uncertainty',
    ]);
    expect(facts.strengthTests[0]?.oneRepMax.value).toBeCloseTo(37.5, 0);
    const outcomes = await api.get<{ taken: object[] }>(
      `/clients/${(await recordOf(api, person)).id}/outcomes`,
    );
    expect(outcomes.taken).toMatchObject([{ value: 52.3, limb: 'left-thigh', withdrawn: null }]);
  });

  it('takes sessions on paper by the plan that was in force', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    api.clock.nowMs += 3 * DAY_MS;
    const day = dayOf(api.clock.nowMs - DAY_MS);
    const row = {
      person: 'Test Person',
      day,
      time: '09:30',
      plan: 'lower day',
      reps: [30, 15, 15, 12],
      effort: 8,
      jointPain: 1,
    };
    expect(reasons(await bring(api, 'sessions', [row]))).toEqual([]);
    const { facts } = await api.get<ClientRecord>(`/clients/${client.id}`);
    expect(facts.sessions).toHaveLength(1);
    expect((await bring(api, 'sessions', [row])).body).toMatchObject({ taken: 0, same: 1 });
    expect(
      reasons(
        await bring(api, 'sessions', [
          { ...row, reps: [30, 15, 15, 11] },
          { ...row, time: '11:00', plan: 'Upper day' },
          { ...row, time: '11:00', reps: [30, 15, 15, 12, 9] },
          { ...row, time: '11:00', reps: [0, 0] },
          { ...row, day: dayOf(api.clock.nowMs - 30 * DAY_MS) },
        ]),
      ),
    ).toEqual([
      '1 startedAtMs: Another session of this person was running then. Choose another time.',
      '2 plan: They have no plan called Upper day.',
      '3 reps: The plan has 4 sets; 5 are written. Say which were done.',
      '4 reps: No set was done. Take the row out.',
      '5 day: The plan was not signed yet then. Check the date.',
    ]);
    // All of it goes as one.
    const [list] = await api.get<ImportBatch[]>('/archive/imports');
    await api.post(`/archive/imports/${list?.id}/undo`, {});
    expect((await api.get<ClientRecord>(`/clients/${client.id}`)).facts.sessions).toEqual([]);
  });
});

describe('a table that is brought in again', () => {
  const person = 'Test Person';
  const rowsOf = (api: Api) => {
    const day = dayOf(api.clock.nowMs - DAY_MS);
    return {
      fits: { person, day, limb: 'right-thigh', girthCm: 54, cuffId: 'thigh-large' },
      pressures: {
        ...{
          person,
          day,
          limb: 'right-thigh',
          position: 'sitting',
          cuffId: 'thigh-large',
          method: 'doppler',
        },
        ...{ pressureMmHg: 176, stepMmHg: null },
      },
      'strength-tests': { person, day, exerciseId: 'knee-extension', side: 'right', loadKg: 30, reps: 8 },
      outcomes: {
        ...{ person, day, measureId: 'girth-10-above-knee', limb: 'right-thigh', values: [52] },
        ...{ setting: null, note: null },
      },
    } as const;
  };
  const counts = async (api: Api) => {
    const tables = ['girth', 'lop', 'strength_test', 'outcome', 'client'];
    const all = await Promise.all(tables.map((table) => api.sql(`select count(*) as n from ${table}`)));
    return all.map(([row]) => Number(row?.n));
  };

  it('doubles nothing', async () => {
    const { api } = await startAfter(measuredClient);
    const rows = rowsOf(api);
    const bringAll = async () => {
      const came = [];
      for (const kind of ['fits', 'pressures', 'strength-tests', 'outcomes'] as const)
        came.push((await bring(api, kind, [rows[kind]])).body);
      came.push((await bring(api, 'people', [{ person, story: 'Knee, autumn', goals: 'Stairs' }])).body);
      return came.map(({ taken, updated, same, refused }) => [taken, updated, same, refused]);
    };
    expect(await bringAll()).toEqual([...Array(4).fill([1, 0, 0, 0]), [1, 1, 0, 0]]);
    const before = await counts(api);
    expect(await bringAll()).toEqual(Array(5).fill([0, 0, 1, 0]));
    expect(await counts(api)).toEqual(before);
    expect((await recordOf(api, person)).about).toMatchObject({ goals: 'Stairs' });
  });

  it('corrects what it said before, with the former struck through, and is undone as one', async () => {
    const { api } = await startAfter(measuredClient);
    const rows = rowsOf(api);
    await bring(api, 'fits', [rows.fits]);
    await bring(api, 'outcomes', [rows.outcomes]);
    const [fits, outcomes] = [
      (await bring(api, 'fits', [{ ...rows.fits, girthCm: 56 }])).body,
      (await bring(api, 'outcomes', [{ ...rows.outcomes, values: [53] }])).body,
    ];
    expect([fits, outcomes]).toMatchObject([
      { taken: 1, updated: 1 },
      { taken: 1, updated: 1 },
    ]);
    const girths = async () =>
      (await recordOf(api, person)).facts.fits.flatMap(({ limb, girthCm }) =>
        limb === 'right-thigh' ? [girthCm] : [],
      );
    expect(await girths()).toEqual([56]);
    expect(await api.sql('select count(*) as n from outcome where withdrawn is null')).toEqual([{ n: 1 }]);
    for (const { id } of [outcomes, fits]) await api.post(`/archive/imports/${id}/undo`, {});
    expect(await girths()).toEqual([54]);
    expect(await api.sql('select value, withdrawn from outcome')).toEqual([{ value: 52, withdrawn: null }]);
  });

  it('leaves what was typed in, and has a clinician correct what an earlier table said', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const rows = rowsOf(api);
    const day = dayOf(api.clock.nowMs);
    const typed = client.facts.fits.find(({ limb }) => limb === 'left-thigh') ?? expect.unreachable();
    const again = { ...rows.fits, day, limb: 'left-thigh', girthCm: typed.girthCm } as const;
    expect((await bring(api, 'fits', [again])).body).toMatchObject({ same: 1 });
    expect((await bring(api, 'fits', [{ ...again, girthCm: typed.girthCm + 1 }])).body).toMatchObject({
      taken: 1,
      updated: 0,
    });
    await bring(api, 'fits', [rows.fits]);
    const query = new URLSearchParams({ name: 'paper.csv', take: 'good' });
    const other = JSON.stringify({ ...rows.fits, girthCm: 57 });
    const byOwner = await (await api.raw('POST', `/tables/fits?${query}`, other, 'olga')).json();
    expect(reasons({ body: byOwner as TableAnswer })).toEqual([
      expect.stringMatching(/^1 day: An earlier table/),
    ]);
  });
});

/** How far noon of the practice lies before the hour of the tests. */
const MIDDAY = (api: Api) => {
  const at = new Date(api.clock.nowMs - 2 * DAY_MS);
  return at.getTime() - new Date(at.getFullYear(), at.getMonth(), at.getDate(), 12).getTime();
};

it('do not bury who is expected today: they are on it once they were screened', async () => {
  const api = await startApi();
  const { id: expected } = await api.post('/clients', { name: 'New Here' });
  api.clock.nowMs += 60_000;
  const rows = Array.from({ length: 300 }, (_, place) => ({ person: `Brought ${place}`, story: '' }));
  expect((await bring(api, 'people', rows)).body).toMatchObject({ taken: 300 });
  const today = async () => (await api.get<PeoplePage>('/clients/today')).people.map(({ id }) => id);
  expect(await today()).toEqual([expected]);
  const [one] = (await api.get<PeoplePage>('/clients?search=brought')).people;
  await api.post(`/clients/${one?.id}/screenings`, CLEAR);
  expect((await today()).sort()).toEqual([expected, one?.id].sort());
});

describe('rows that are refused', () => {
  it('are named with their field, what is wrong and how to correct it, by the rules of typing in', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}/screenings`, {
      yes: ['recent-surgery'],
      bloodPressures: [
        { systolicMmHg: 120, diastolicMmHg: 80 },
        { systolicMmHg: 120, diastolicMmHg: 80 },
      ],
      procedures: [{ limb: 'right-thigh', atMs: api.clock.nowMs - 10 * DAY_MS, what: 'Meniscus' }],
    });
    const day = dayOf(api.clock.nowMs);
    const fit = { person: 'Test Person', day, limb: 'left-thigh', girthCm: 55, cuffId: 'thigh-large' };
    expect(
      reasons(
        await bring(api, 'fits', [
          { ...fit, person: 'Never Known' },
          { ...fit, girthCm: 5 },
          { ...fit, girthCm: 40 },
          { ...fit, cuffId: 'gone' },
          { ...fit, day: dayOf(api.clock.nowMs + 2 * DAY_MS) },
          { ...fit, limb: 'tail' },
          { ...fit, girthCm: '55' },
        ]),
      ).map((line) => line.slice(0, 60)),
    ).toEqual([
      expect.stringMatching(/^1 person: No client is called Never Known\. Import/),
      expect.stringMatching(/^2 girthCm: Left thigh: a girth of 5 cm/),
      expect.stringMatching(/^3 cuffId: /),
      expect.stringMatching(/^4 cuffId: This cuff is not in the kit/),
      expect.stringMatching(/^5 day: .* is to come/),
      expect.stringMatching(/^6 limb: It has to be one of these: left-arm/),
      '7 girthCm: Enter a number.',
    ]);
    const test = {
      person: 'Test Person',
      day,
      exerciseId: 'knee-extension',
      side: 'right',
      loadKg: 30,
      reps: 8,
    };
    expect(
      reasons(await bring(api, 'strength-tests', [test, { ...test, side: 'left', exerciseId: 'none' }])),
    ).toEqual([
      expect.stringMatching(/^1 side: Right thigh was operated on/),
      expect.stringMatching(/^2 exerciseId: This exercise is not in the library/),
    ]);
    const pressure = {
      person: 'Test Person',
      day,
      limb: 'left-thigh',
      position: 'lying',
      cuffId: 'thigh-large',
      method: 'oximeter',
      pressureMmHg: 150,
      stepMmHg: 5,
    };
    expect(
      reasons(
        await bring(api, 'pressures', [
          pressure,
          { ...pressure, method: 'doppler', limb: 'right-thigh' },
          { ...pressure, method: 'doppler', pressureMmHg: 301 },
        ]),
      ),
    ).toEqual([
      expect.stringMatching(/^1 method: /),
      expect.stringMatching(/^2 limb: No girth of this limb/),
      expect.stringMatching(/^3 pressureMmHg: /),
    ]);
    const outcome = {
      person: 'Test Person',
      day,
      measureId: 'girth-10-above-knee',
      limb: null,
      values: [52],
      setting: null,
      note: null,
    };
    expect(
      reasons(
        await bring(api, 'outcomes', [
          outcome,
          { ...outcome, measureId: 'none' },
          { ...outcome, limb: 'left-thigh', values: [5] },
        ]),
      ),
    ).toEqual([
      '1 limb: Choose the limb it was taken of.',
      '2 measureId: Nothing is measured by this name. Add the measure first.',
      expect.stringMatching(/^3 values: 5 cm/),
    ]);
    expect(
      reasons(
        await bring(api, 'people', [
          { person: 'test person', story: null },
          { person: 'New', story: null },
          { person: 'new', story: null },
        ]),
      ),
    ).toEqual([]);
  });

  it('do not make one of two people of one name', async () => {
    const { api } = await startAfter(measuredClient);
    const row = { person: 'Test Person', story: null };
    await bring(api, 'people', [{ ...row, bornOn: '1961-05-04' }]);
    const day = dayOf(api.clock.nowMs + 2 * DAY_MS);
    expect(
      reasons(
        await bring(api, 'people', [
          { ...row, bornOn: '1984-05-04' },
          { ...row, person: 'New', bornOn: day },
        ]),
      ),
    ).toEqual([
      expect.stringMatching(/^1 bornOn: Test Person is here with another birth date/),
      expect.stringMatching(/^2 bornOn: .* is to come/),
    ]);
  });

  it('keep the others out or not, as is asked, and a preview keeps nothing', async () => {
    const api = await startApi();
    const rows = [
      { person: 'Ada', story: null },
      { person: '', story: null },
      { person: 'Bea', story: null },
    ];
    const total = async () => (await api.get<PeoplePage>('/clients')).total;
    expect(englishOf((await bring(api, 'people', rows, { preview: 'yes' })).body)).toMatchObject({
      taken: 2,
      refused: 1,
    });
    expect(await total()).toBe(0);
    expect(englishOf((await bring(api, 'people', rows, { take: 'all' })).body)).toMatchObject({
      taken: 0,
      refused: 1,
      rows: [{ row: 2 }],
    });
    expect(await total()).toBe(0);
    expect(await api.sql('select count(*) as n from audit')).toEqual([{ n: 0 }]);
    expect(englishOf((await bring(api, 'people', rows, { take: 'good' })).body)).toMatchObject({ taken: 2 });
    expect(await total()).toBe(2);
    expect(englishOf(await api.get<ImportBatch[]>('/archive/imports'))).toMatchObject([
      { words: 'People of paper.csv', rows: 2 },
    ]);
  });

  it('are for clinicians, of tables that there are, and no more than fit', async () => {
    const api = await startApi();
    expect((await api.raw('POST', '/tables/people?take=good', '{}', 'colin')).status).toBe(403);
    expect((await bring(api, 'secrets' as TableKind, [])).status).toBe(404);
    expect((await bring(api, 'constructor' as TableKind, [])).status).toBe(404);
    const large = 'x'.repeat(49 * 1024 * 1024);
    expect((await api.raw('POST', '/tables/people?take=good', large)).status).toBe(413);
    const broken = await api.raw('POST', '/tables/people?take=good', 'no json\n{"person":1}\n\u0000');
    expect(await broken.json()).toMatchObject({ taken: 0, refused: 3 });
  });
});
