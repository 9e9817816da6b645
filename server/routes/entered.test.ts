import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { compile } from '#core/plan';
import { fold, mergeLogs } from '#core/session';
import { englishOf } from '#language/english-of.fixture';
import { DAY_MS, startAfter } from '../api.fixture';
import { at, planOf, ready, trainToday } from '../forbidden.fixture';

const sets = [30, 15, 15, 15].map((reps, setIndex) => ({
  exerciseIndex: 0,
  setIndex,
  reps,
  effort: 6,
}));

describe('a session that was done on paper or elsewhere', () => {
  it('is entered on its day, folded like any other, counted, and moves its plan', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += 3 * DAY_MS;
    const startedAtMs = api.clock.nowMs - 2 * DAY_MS;
    const entry = { id: newId(), coursePlanId: planOf(person), startedAtMs, sets, jointPain: 1, signs: [] };
    const view = await api.post<SessionView>('/sessions/entered', entry, 'colin');
    const state = fold(view.plan, mergeLogs(view.events));
    expect([state.enteredAtMs, state.sets.length, view.openedAtMs]).toEqual([
      api.clock.nowMs,
      4,
      startedAtMs,
    ]);
    const record = await api.get<ClientRecord>(`/clients/${person.client.id}`);
    expect(record.facts.sessions).toMatchObject([
      { startedAtMs, reviewed: false, worked: [{ mode: 'resistance' }] },
    ]);
    expect(record.facts.sessions[0]?.given[0]?.occludedMs).toBeGreaterThan(200_000);
    expect(englishOf(record.chain.find(({ id }) => id === 'prescribe')?.figure)).toBe('68 mmHg');
    // Entering twice enters once.
    await api.post('/sessions/entered', entry);
    expect((await api.get<ClientRecord>(`/clients/${person.client.id}`)).facts.sessionsFinished).toBe(1);
    const [audit] = await api.sql("select practitioner_id from audit where action = 'session-entered-later'");
    expect(audit?.practitioner_id).toBe('colin');
  });

  it('keeps all that the sheet asks: the check of that day, pressures read, colour, heart rate, blood pressures (RUN-10)', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += 3 * DAY_MS;
    const startedAtMs = api.clock.nowMs - 2 * DAY_MS;
    const reading = { systolicMmHg: 128, diastolicMmHg: 80 };
    const [first, ...others] = sets;
    const view = await api.post<SessionView>('/sessions/entered', {
      id: newId(),
      coursePlanId: planOf(person),
      startedAtMs,
      sets: [
        {
          ...first,
          read: [{ limb: 'left-thigh', pressureMmHg: 64 }],
          colourGood: true,
          heartRates: [{ moment: 'end', beatsPerMinute: 121 }],
        },
        ...others,
      ],
      jointPain: 1,
      signs: [],
      bloodPressures: [{ moment: 'before', reading }],
      dayCheck: { notWell: [], painNow: 2, bloodPressure: reading },
    });
    const state = fold(view.plan, mergeLogs(view.events));
    expect(state.sets[0]).toMatchObject({ colourGood: true, heartRates: [{ beatsPerMinute: 121 }] });
    expect(state.sets[1]).toMatchObject({ colourGood: null });
    expect(state.limbs[0]?.inflations[0]?.steps[0]?.pressureMmHg).toBe(64);
    expect(state.bloodPressures).toMatchObject([{ moment: 'before', reading }]);
    expect(view.painBefore).toBe(2);
    const { facts } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
    // It is of that day, and stands for no check of today.
    expect(facts.dayChecks.every(({ atMs }) => atMs !== api.clock.nowMs)).toBe(true);
  });

  it('holds for today where a check of today, entered with its session, was not well', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += DAY_MS;
    await api.post('/sessions/entered', {
      id: newId(),
      coursePlanId: planOf(person),
      startedAtMs: api.clock.nowMs - 3_600_000,
      sets,
      jointPain: null,
      signs: [],
      dayCheck: { notWell: ['fever'], painNow: 0, bloodPressure: null },
    });
    const { chain } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
    expect(chain.find(({ id }) => id === 'screen')?.state).toBe('held');
  });

  it('refuses minutes of a counted set, and nothing at all of one (RUN-10)', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += DAY_MS;
    const entry = {
      id: newId(),
      coursePlanId: planOf(person),
      startedAtMs: api.clock.nowMs - 3_600_000,
      jointPain: null,
      signs: [],
    };
    const timed = { exerciseIndex: 0, setIndex: 0, reps: null, lastedMs: 240_000, effort: null };
    const minutes = await api.refused('/sessions/entered', { ...entry, sets: [timed] });
    expect([minutes.status, minutes.problem.errors[0]?.path]).toEqual([422, 'sets.0.reps']);
    const none = await api.refused('/sessions/entered', { ...entry, sets: [{ ...timed, lastedMs: null }] });
    expect([none.status, none.problem.errors[0]?.path]).toEqual([400, 'sets.0.reps']);
  });

  it('holds for a red sign that was noted, as a session here would', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += DAY_MS;
    const startedAtMs = api.clock.nowMs - 3_600_000;
    const entry = {
      id: newId(),
      coursePlanId: planOf(person),
      startedAtMs,
      sets,
      jointPain: null,
      signs: ['dizzy'],
    };
    await api.post('/sessions/entered', entry);
    const { chain } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
    expect(chain.find(({ id }) => id === 'screen')?.state).toBe('held');
  });

  it('goes by the share of its sets in a deload week, unless more of them were done', async () => {
    const { api, made: person } = await startAfter(ready);
    const startsOn = new Date(api.clock.nowMs).toISOString().slice(0, 10);
    await api.post(at(person, 'blocks'), {
      wish: {
        startsOn,
        weeks: 4,
        lines: [
          {
            coursePlanId: planOf(person),
            perWeek: 2,
            timesADay: 1,
            available: [0, 1, 2, 3, 4, 5, 6],
            onHeavyDays: 'either',
          },
        ],
        heavy: [],
        deload: { everyWeeks: 3, setsPercent: 50 },
        season: [],
        atTime: '17:30',
      },
      sessions: [{ day: startsOn, coursePlanId: planOf(person) }],
    });
    const enter = async (days: number, count: number) => {
      const startedAtMs = api.clock.nowMs + days * DAY_MS;
      const was = api.clock.nowMs;
      api.clock.nowMs = startedAtMs + DAY_MS / 2;
      const entry = {
        id: newId(),
        coursePlanId: planOf(person),
        startedAtMs,
        sets: sets.slice(0, count),
        jointPain: 1,
        signs: [],
      };
      const { plan } = await api.post<SessionView>('/sessions/entered', entry);
      api.clock.nowMs = was;
      return plan.exercises[0]?.sets.length;
    };
    expect(await enter(1, 2)).toBe(4);
    // Of the weeks that were trained the third is a deload: two of four sets were asked for.
    expect(await enter(8, 4)).toBe(4);
    expect(await enter(15, 2)).toBe(2);
    expect(await enter(17, 4)).toBe(4);
  });

  it('is refused where it cannot have been', async () => {
    const { api, made: person } = await startAfter(ready);
    const signedMs = api.clock.nowMs;
    const view = await trainToday(api, person);
    const entry = (startedAtMs: number, changes: object = {}) => ({
      id: newId(),
      coursePlanId: planOf(person),
      startedAtMs,
      sets,
      jointPain: null,
      signs: [],
      ...changes,
    });
    const refused = async (body: object) => (await api.refused('/sessions/entered', body)).problem.detail;
    expect(await refused(entry(signedMs - DAY_MS))).toContain('not signed yet');
    expect(await refused(entry(api.clock.nowMs - 60_000))).toContain('would not be over yet');
    // No clock is ahead here: not even by what a device may be (RUN-9).
    const lastsMs = compile(view.plan).endMs;
    expect(await refused(entry(api.clock.nowMs - lastsMs + 30_000))).toContain('would not be over yet');
    expect(await refused(entry(view.openedAtMs + 60_000))).toContain('Another session');
    expect((await api.refused('/sessions/entered', entry(signedMs, { coursePlanId: 'gone' }))).status).toBe(
      404,
    );
    expect((await api.refused('/sessions/entered', entry(signedMs, { sets: [] }))).status).toBe(400);
    const elsewhere = [{ exerciseIndex: 7, setIndex: 0, reps: 10, effort: null }];
    expect(await refused(entry(signedMs, { sets: elsewhere }))).toContain('None of these sets');
    api.clock.nowMs += 200 * DAY_MS;
    expect(await refused(entry(signedMs + 5 * DAY_MS))).toContain('longer ago');
  });
});
