import { describe, expect, it } from 'vitest';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { HistoryPoint, PastSession } from '#contract/history';
import { PAGE_OF_HISTORY, PAGE_OF_PEOPLE } from '#contract/pages';
import type { LastReview } from '#core/record';
import type { Clearance, Screening } from '#core/screening';
import { logOf, WHOLE_SESSION } from '#core/session/session.fixture';
import { englishOf } from '#language/english-of.fixture';
import {
  CLEAR,
  DAY_MS,
  measuredClient,
  OCCLUSION,
  openSession,
  prescriptionFor,
  SESSION_ID,
  startAfter,
  startApi,
  TRIAL,
} from '../api.fixture';

const EVENTS = `/sessions/${SESSION_ID}/events`;

describe('the roster', () => {
  it('comes page by page, by name, with how many there are', async () => {
    const api = await startApi();
    const count = PAGE_OF_PEOPLE + 3;
    for (let i = 0; i < count; i += 1) {
      await api.post('/clients', { name: `Person ${String(count - i).padStart(2, '0')}` });
    }
    const first = await api.get<PeoplePage>('/clients');
    expect([first.total, first.people.length, first.people[0]?.name]).toEqual([
      count,
      PAGE_OF_PEOPLE,
      'Person 01',
    ]);
    const second = await api.get<PeoplePage>('/clients?page=1');
    expect(second.people.map(({ name }) => name)).toEqual(['Person 31', 'Person 32', 'Person 33']);
    expect((await api.get<PeoplePage>('/clients?page=2')).people).toEqual([]);
    const { status, body } = await api.call('GET', '/clients?page=-1');
    expect([status, body.errors[0].path]).toEqual([400, 'page']);
  });

  it('separates today’s people from those who have not come for long, and comes back to who trains again', async () => {
    const { api, made: view } = await startAfter(openSession);
    await api.post(EVENTS, { events: logOf(WHOLE_SESSION) });
    const { id: newcomer } = await api.post('/clients', { name: 'New Here' });
    const today = async () => {
      const { total, people } = await api.get<PeoplePage>('/clients/today');
      return [total, people.map(({ id }) => id).sort()];
    };
    const both = [view.clientId, newcomer].sort();
    expect(await today()).toEqual([2, both]);
    api.clock.nowMs += 30 * DAY_MS;
    expect(await today()).toEqual([2, [view.clientId]]);
    api.clock.nowMs += 40 * DAY_MS;
    expect(await today()).toEqual([2, []]);
    expect((await api.get<PeoplePage>('/clients')).people).toHaveLength(2);
  });

  it('finds by the beginnings of words of name and story, whatever the accents, and takes signs for nothing', async () => {
    const api = await startApi();
    await api.post('/clients', { name: 'Zoë Anderholt', story: 'Left knee, after the winter.' });
    await api.post('/clients', { name: 'Andrea Kneller' });
    await api.post('/clients', { name: 'Boris' });
    const found = async (search: string) =>
      (await api.get<PeoplePage>(`/clients?search=${encodeURIComponent(search)}`)).people.map(
        ({ name }) => name,
      );
    expect(await found('and')).toEqual(['Andrea Kneller', 'Zoë Anderholt']);
    expect(await found('zoe an')).toEqual(['Zoë Anderholt']);
    expect(await found('kne')).toEqual(['Andrea Kneller', 'Zoë Anderholt']);
    expect(await found('nee')).toEqual([]);
    expect(await found('bor" OR *')).toEqual([]);
    expect(await found('"*')).toHaveLength(3);
  });

  it('sends followers how a line reads now, so that the list is not asked for again', async () => {
    const api = await startApi();
    const feed = await api.follow('/feed');
    const { id } = await api.post('/clients', { name: 'New Here' });
    expect(await feed.next()).toMatchObject({ said: 'client', added: true, line: { id, name: 'New Here' } });
    const written = await api.post<ClientRecord>(`/clients/${id}/screenings`, CLEAR);
    const said = (await feed.next()) as { line: ClientRecord; asOf: number };
    expect(englishOf(said)).toMatchObject({ said: 'client', added: false, asOf: written.asOf });
    expect(said.line.chain[0]?.state).toBe('good');
    // Who asks later has at least as new a record; a kit changes what every chain rests on.
    expect((await api.get<ClientRecord>(`/clients/${id}`)).asOf).toBeGreaterThanOrEqual(said.asOf);
    await api.post('/practice/kit/retire', { list: 'straps', id: 'strap' });
    expect(await feed.next()).toEqual({ said: 'practice' });
    await feed.leave();
  });

  it('says at once what a write has changed, and within a minute what the clock has', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const states = async () =>
      (await api.get<PeoplePage>('/clients')).people
        .find((person) => person.id === id)
        ?.chain.map((link) => link.state);
    expect((await states())?.slice(0, 3)).toEqual(['good', 'good', 'good']);
    await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['thrombosis'] });
    expect((await states())?.[0]).toBe('held');
    api.clock.nowMs += 29 * DAY_MS;
    expect((await states())?.[2]).toBe('due');
  });
});

describe('what counts now, and the years before it', () => {
  it('keeps the newest pressure of each limb, position and cuff, and the rest as history', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    for (const goneMmHg of [190, 200]) {
      api.clock.nowMs += DAY_MS;
      const trial = { ...TRIAL, goneMmHg, upMmHg: 10, backMmHg: goneMmHg - 8 };
      await api.post(`/clients/${id}/occlusion-pressures`, { ...OCCLUSION, trials: [trial, trial] });
    }
    api.clock.nowMs += DAY_MS;
    const { facts } = await api.post(`/clients/${id}/occlusion-pressures`, {
      ...OCCLUSION,
      position: 'lying',
    });
    expect(facts.occlusions.map(({ position, pressure }) => [position, pressure.value]).sort()).toEqual([
      ['lying', 174],
      ['sitting', 194],
    ]);
    expect(facts.occlusions.every(({ trials }) => trials.length === 2)).toBe(true);
    const like = `limb=left-thigh&position=sitting&cuffId=thigh-large`;
    const points = await api.get<HistoryPoint[]>(`/clients/${id}/history/pressures?${like}`);
    expect(points.map(({ value }) => value)).toEqual([194, 184, 174]);
  });

  it('keeps what the plan in force names, though something newer has taken its place', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    api.clock.nowMs += DAY_MS;
    const test = { exerciseId: 'knee-extension', side: 'left', loadKg: 40, reps: 8 };
    const { facts } = await api.post(`/clients/${client.id}/strength-tests`, test);
    const named = signed.facts.strengthTests[0]?.id;
    expect(facts.strengthTests.map(({ id }) => id)).toContain(named);
    expect(facts.strengthTests).toHaveLength(2);
    const like = 'exerciseId=knee-extension&side=left';
    const points = await api.get<HistoryPoint[]>(`/clients/${client.id}/history/one-rep-maxes?${like}`);
    expect(points).toHaveLength(2);
    expect((points[0]?.value ?? 0) > (points[1]?.value ?? 0)).toBe(true);
  });

  it('gives the years page by page, and clearances that have run out only there', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Long Here' });
    for (let i = 0; i < PAGE_OF_HISTORY + 2; i += 1) {
      api.clock.nowMs += DAY_MS;
      await api.post(`/clients/${id}/screenings`, CLEAR);
    }
    const first = await api.get<Screening[]>(`/clients/${id}/history/screenings`);
    expect(first).toHaveLength(PAGE_OF_HISTORY);
    const rest = await api.get<Screening[]>(
      `/clients/${id}/history/screenings?beforeMs=${first.at(-1)?.atMs}`,
    );
    expect(rest).toHaveLength(2);
    const clearance = {
      subjects: ['varicose-veins'],
      givenBy: 'Dr Pellwright',
      byPhysician: true,
      givenAtMs: api.clock.nowMs,
      untilMs: api.clock.nowMs + 7 * DAY_MS,
      maxPercentLop: 60,
      limbs: [],
      modes: [],
      highestRung: null,
      ranges: [],
      note: '',
    };
    expect((await api.post(`/clients/${id}/clearances`, clearance)).facts.clearances).toHaveLength(1);
    api.clock.nowMs += 8 * DAY_MS;
    expect((await api.get<ClientRecord>(`/clients/${id}`)).facts.clearances).toEqual([]);
    expect(await api.get<Clearance[]>(`/clients/${id}/history/clearances`)).toEqual([clearance]);
  });

  it('freezes a plan without a second copy where it is as it was signed, and reviews the last session in one request', async () => {
    const { api, made: view } = await startAfter(openSession);
    const [row] = await api.sql('select plan from session');
    expect(row?.plan).toBe('null');
    expect(view.plan.exercises).toHaveLength(1);
    await api.post(EVENTS, { events: logOf(WHOLE_SESSION) });
    const { facts } = await api.get<ClientRecord>(`/clients/${view.clientId}`);
    const of = `coursePlanId=${facts.coursePlans[0]?.id}`;
    const review = (query: string) => api.get<LastReview>(`/clients/${view.clientId}/last-review${query}`);
    const { changes, words, seen, given } = await review(`?${of}`);
    expect([changes.length, words.length, seen.length, given.week.sessions]).toEqual([1, 1, 1, 1]);
    // A plan that is only being made learns from what was done, and has nothing to take over.
    const ofNew = await review('');
    expect([ofNew.changes.length, ofNew.seen.length, ofNew.given.week.sessions]).toEqual([0, 1, 1]);
    const past = await api.get<PastSession[]>(`/clients/${view.clientId}/history/sessions`);
    expect(past.map(({ id }) => id)).toEqual([SESSION_ID]);
  });
});
