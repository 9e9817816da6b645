import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type {
  IssuedReport,
  LogView,
  OutcomesView,
  RespondersView,
  SurveillanceView,
  WeekView,
} from '#contract/outcomes';
import type { PracticeView } from '#contract/practice';
import type { SessionView } from '#contract/session';
import { addUp, MEASURES, measureBook, rateRows, seriesOf, sessionLine } from '#core/outcomes';
import { EXERCISES, type Library } from '#core/protocol';
import { dayAt, isoOf } from '#core/quantity';
import { fitnessInForce, measuresDue } from '#core/record';
import { fold, mergeLogs } from '#core/session';
import { englishOf } from '#language/english-of.fixture';
import { type Api, DAY_MS, measuredClient, startAfter } from '../api.fixture';
import { at, ready, train } from '../forbidden.fixture';

const library = EXERCISES as Library;
const girth = (atMs: number, repeats: number[], changes: object = {}) => ({
  id: newId(),
  measureId: 'girth-mid-thigh',
  limb: 'left-thigh',
  repeats,
  setting: '',
  note: '',
  atMs,
  ...changes,
});

describe('measures of a person', () => {
  it('are kept once, judged against their error, and withdrawn with a reason, never deleted', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const path = `/clients/${id}/outcomes`;
    const first = girth(api.clock.nowMs, [50, 50.2]);
    await api.post(path, first);
    api.clock.nowMs += 40 * DAY_MS;
    const last = girth(api.clock.nowMs, [52, 52.2]);
    await api.post(path, last, 'colin');
    const view = await api.post<OutcomesView>(path, last);
    expect(view.taken.map(({ value, practitionerId }) => [value, practitionerId])).toEqual([
      [52.1, 'colin'],
      [50.1, 'clara'],
    ]);
    expect(view.pairs['girth-mid-thigh']).toEqual([
      [52, 52.2],
      [50, 50.2],
    ]);
    const [series] = seriesOf(view, { library, book: MEASURES });
    expect(series?.verdict).toMatchObject({ kind: 'real-gain', change: expect.closeTo(2, 6) });
    // The 1RM and the LOP of Load and Measure are next to them.
    expect(view.tested.map(({ kind }) => kind)).toEqual(['one-rep-max', 'lop']);
    const withdrawn = await api.post<OutcomesView>(`${path}/${last.id}/withdrawal`, {
      reason: 'Over the trousers',
    });
    expect(withdrawn.taken[0]).toMatchObject({ value: 52.1, withdrawn: 'Over the trousers' });
    expect(withdrawn.pairs['girth-mid-thigh']).toHaveLength(1);
    const audit = await api.sql("select action from audit where action like 'outcome%'");
    expect(audit.map(({ action }) => action)).toEqual(['outcome-kept', 'outcome-kept', 'outcome-withdrawn']);
  });

  it('keep what machine and heart showed at the end, which a share of VO2max is worked out by', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const path = `/clients/${id}/outcomes`;
    const test = (value: number, changes: object = {}) =>
      girth(api.clock.nowMs, [value], {
        measureId: 'vo2max',
        limb: null,
        setting: 'Ramp on the bike',
        reached: { watts: 250, beatsPerMinute: 182 },
        ...changes,
      });
    await api.post(path, test(40));
    api.clock.nowMs += DAY_MS;
    await api.post(path, test(44.5, { setting: 'Steps on the bike' }));
    const { taken } = await api.post<OutcomesView>(path, test(60, { reached: { beatsPerMinute: 190 } }));
    const [highest] = taken.filter(({ value }) => value === 60);
    await api.post(`${path}/${highest?.id}/withdrawal`, { reason: 'Another person' });
    const { facts } = await api.get<ClientRecord>(`/clients/${id}`);
    expect(fitnessInForce(facts, api.clock.nowMs).vo2max).toMatchObject({
      mlPerKgMin: 44.5,
      reached: { watts: 250, beatsPerMinute: 182 },
    });
    // Not of a measure without them, and nothing that no heart does.
    const problem = async (body: object) => (await api.refused(path, body)).problem.errors?.[0];
    expect(await problem(girth(api.clock.nowMs, [52], { reached: { watts: 100 } }))).toMatchObject({
      path: 'reached',
    });
    expect(await problem(test(44, { reached: { beatsPerMinute: 400 } }))).toMatchObject({
      path: 'reached.beatsPerMinute',
    });
  });

  it('are refused with what, where and how to correct it', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const path = `/clients/${id}/outcomes`;
    const problem = async (body: object) => (await api.refused(path, body)).problem.errors?.[0];
    expect(englishOf(await problem(girth(api.clock.nowMs, [520])))).toMatchObject({
      path: 'repeats',
      rule: 'OUT-1',
    });
    expect(englishOf(await problem(girth(api.clock.nowMs, [52], { limb: null })))).toMatchObject({
      path: 'limb',
    });
    expect(englishOf(await problem(girth(api.clock.nowMs + DAY_MS, [52])))).toMatchObject({ path: 'atMs' });
    expect((await api.refused(path, girth(api.clock.nowMs, []))).status).toBe(400);
    expect(englishOf(await problem(girth(api.clock.nowMs, [52], { measureId: 'luck' })))).toMatchObject({
      path: 'measureId',
    });
    expect((await api.refused('/clients/none/outcomes', girth(api.clock.nowMs, [52]))).status).toBe(404);
    expect((await api.refused(`${path}/${newId()}/withdrawal`, { reason: 'x' })).status).toBe(404);
    expect((await api.get<OutcomesView>(path)).taken).toEqual([]);
  });

  it('may be the practice’s own: described by a clinician, taken, and then no longer counted otherwise', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const grip = { ...MEASURES['isometric-force'], label: 'Grip', of: 'arm', unit: 'kg', highest: 90 };
    const keepAs = (measure: object, by?: 'colin') =>
      api.refused('/practice/measures', { id: 'own-grip', measure }, by);
    expect(englishOf((await keepAs(grip, 'colin')).problem.errors)).toMatchObject([{ rule: 'SCR-4' }]);
    expect((await keepAs({ ...grip, label: '' })).status).toBe(400);
    const practice = await api.post<PracticeView>('/practice/measures', { id: 'own-grip', measure: grip });
    expect(practice.ownMeasures).toEqual({ 'own-grip': grip });
    const view = await api.post<OutcomesView>(
      `/clients/${id}/outcomes`,
      girth(api.clock.nowMs, [41, 43], { measureId: 'own-grip', limb: 'left-arm', setting: 'Elbow bent' }),
    );
    const book = measureBook(practice.ownMeasures);
    expect(englishOf(seriesOf(view, { library, book }))).toContainEqual(
      expect.objectContaining({
        label: 'Grip, left arm, Elbow bent',
        points: [expect.objectContaining({ value: 43 })],
      }),
    );
    expect(englishOf((await keepAs({ ...grip, unit: 'lb' })).problem.errors)).toMatchObject([
      { path: 'unit', rule: 'OUT-1' },
    ]);
    const error = { kind: 'absolute', value: 1.5 };
    const changed = await api.post<PracticeView>('/practice/measures', {
      id: 'own-grip',
      measure: { ...grip, error, isLeftOut: true },
    });
    expect(englishOf(changed.ownMeasures['own-grip'])).toMatchObject({ error, isLeftOut: true });
    // A standard one keeps what its figures say, whatever is asked.
    const standard = { id: 'vo2max', measure: { ...MEASURES.vo2max, better: 'lower' } };
    expect(englishOf((await api.refused('/practice/measures', standard)).problem.errors)).toMatchObject([
      { path: 'better' },
    ]);
  });

  it('are compared with the cuff and without: drawn by the server, one at a time, ended with a reason', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const path = `/clients/${id}/comparisons`;
    const today = isoOf(dayAt(api.clock.nowMs, 0));
    const wish = {
      kind: 'limbs',
      measureId: 'girth-mid-thigh',
      setting: '',
      startsOn: today,
      limbs: 'leg',
      weeks: 6,
    };
    const refused = async (changes: object) =>
      (await api.refused(path, { id: newId(), wish: { ...wish, ...changes } })).problem.errors?.[0]?.path;
    expect(await refused({ measureId: 'vo2max' })).toBe('measureId');
    expect(await refused({ limbs: 'arm' })).toBe('measureId');
    expect(await refused({ measureId: 'isometric-force' })).toBe('setting');
    expect(await refused({ startsOn: isoOf(dayAt(api.clock.nowMs, 0) - 1) })).toBe('startsOn');
    expect(await refused({ weeks: 3 })).toBe('wish.weeks');
    const first = { id: newId(), wish };
    const view = await api.post<OutcomesView>(path, first, 'colin');
    const seed = view.comparisons[0]?.design.seed;
    expect(view.comparisons).toMatchObject([{ id: first.id, ended: null, design: wish }]);
    expect(seed).toBeGreaterThanOrEqual(0);
    const again = await api.post<OutcomesView>(path, first);
    expect(again.comparisons.map(({ design }) => design.seed)).toEqual([seed]);
    expect(await refused({})).toBe('startsOn');
    const record = await api.get<ClientRecord>(`/clients/${id}`);
    expect(measuresDue(record.facts, api.clock.nowMs).map(({ moment }) => moment)).toEqual([
      'comparison',
      'comparison',
    ]);
    const ended = await api.post<OutcomesView>(`${path}/${first.id}/end`, { why: 'She moved away' });
    expect(ended.comparisons).toMatchObject([{ ended: 'She moved away' }]);
    expect((await api.get<ClientRecord>(`/clients/${id}`)).facts.comparisons).toEqual([]);
    expect((await api.refused(`${path}/${newId()}/end`, { why: 'x' })).status).toBe(404);
  });

  it('keep what went wrong, once, and only of a session of the same person', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await train(api, person, [], DAY_MS);
    const event = {
      id: newId(),
      sessionId: view.id,
      atMs: view.openedAtMs,
      what: 'A blister under the edge of the cuff',
      done: 'Covered, cuff moved up',
      outcome: '',
      notified: 'The client and Dr Test',
    };
    await api.post(at(person, 'adverse-events'), event);
    const { adverseEvents } = await api.post<OutcomesView>(at(person, 'adverse-events'), event);
    expect(adverseEvents).toMatchObject([
      { ...event, practitionerId: 'clara', writtenAtMs: api.clock.nowMs },
    ]);
    const other = await measuredClient(api);
    expect((await api.refused(`/clients/${other.id}/adverse-events`, { ...event, id: newId() })).status).toBe(
      404,
    );
    expect(
      (await api.refused(at(person, 'adverse-events'), { ...event, id: newId(), what: ' ' })).status,
    ).toBe(400);
  });
});

describe('the log of a person', () => {
  const lineOf = async (api: Api, id: string) => {
    const view = await api.get<SessionView>(`/sessions/${id}`);
    return sessionLine(view.plan, fold(view.plan, mergeLogs(view.events)));
  };

  it('has every finished session, the newest first, as its log folds, and adds up to all of them', async () => {
    const { api, made: person } = await startAfter(ready);
    const ids: string[] = [];
    for (let i = 0; i < 3; i += 1) {
      const view = await train(api, person, [], 2 * DAY_MS);
      ids.push(view.id);
      await api.post(`/sessions/${view.id}/events`, {
        events: [
          {
            type: 'followed-up',
            soreness: 2,
            bruising: 'none',
            pinpointBleeding: false,
            numbness: false,
            id: newId(),
            sessionId: view.id,
            deviceId: 'later',
            seq: 1,
            atMs: api.clock.nowMs,
          },
        ],
      });
      await api.post(at(person, 'day-checks'), { notWell: [], painNow: 1, bloodPressure: null });
    }
    const { sessions } = await api.get<LogView>(at(person, 'log'));
    expect(sessions.map(({ id }) => id)).toEqual([...ids].reverse());
    for (const session of sessions) expect(session.line).toEqual(await lineOf(api, session.id));
    expect(sessions[0]?.line.followUp?.soreness).toBe(2);
    const whole = addUp(sessions, library, 0);
    expect(whole).toMatchObject({ sessions: 3, reps: 90, occludedMs: 3 * 195_000 });
  });

  it('is made once for sessions that an older release kept', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await train(api, person, [], DAY_MS);
    await api.sql('update session set log_line = null');
    await api.sql('pragma user_version = 1');
    expect((await api.get<LogView>(at(person, 'log'))).sessions).toEqual([]);
    await api.restart();
    const { sessions } = await api.get<LogView>(at(person, 'log'));
    expect(sessions.map(({ line }) => line)).toEqual([await lineOf(api, view.id)]);
  });
});

describe('the safety record of the practice (OUT-7)', () => {
  it('counts every inflation once, with what was seen, through corrections and later answers', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await train(api, person, [[150, { type: 'sign-noted', sign: 'numb-or-tingling' }]], DAY_MS);
    const read = async () => {
      const { tallies, adverseEvents } = await api.get<SurveillanceView>('/practice/surveillance');
      const [all] = rateRows(tallies, null);
      const seen = (all?.seen ?? []).flatMap(({ id, rate }) =>
        rate.kind === 'seen' ? [[id, rate.count]] : [],
      );
      return { inflations: all?.inflations, seen, adverseEvents, tallies };
    };
    expect(await read()).toMatchObject({ inflations: 1, seen: [['numb-or-tingling', 1]], adverseEvents: 0 });
    const answer = (bruising: string, seq: number) =>
      api.post(`/sessions/${view.id}/events`, {
        events: [
          {
            type: 'followed-up',
            soreness: 2,
            bruising,
            pinpointBleeding: false,
            numbness: false,
            id: newId(),
            sessionId: view.id,
            deviceId: 'later',
            seq,
            atMs: api.clock.nowMs,
          },
        ],
      });
    await answer('small', 1);
    await answer('small', 2);
    expect((await read()).seen).toEqual([
      ['numb-or-tingling', 1],
      ['small-bruise', 1],
    ]);
    // Corrected: nothing of the first answer stays.
    await answer('none', 3);
    const { inflations, seen, tallies } = await read();
    expect([inflations, seen]).toEqual([1, [['numb-or-tingling', 1]]]);
    // 68 mmHg of an LOP of 174 for 195 s.
    expect(tallies).toMatchObject([{ limb: 'leg', percentBand: 'under-40', minutesBand: '2-5' }]);
  });
});

describe('a report', () => {
  it('is issued once and says the same for ever', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const content = {
      clientName: 'Test Person',
      practiceName: 'Test Practice',
      phone: '',
      letterhead: '',
      by: 'Clara',
      fromMs: 1,
      toMs: 2,
      letter: 'Dear colleague',
      sections: [{ id: 'done', lines: [{ about: 'Sessions', says: '12', figures: '' }] }],
      weeks: [{ fromMs: 1, minutes: 12.5 }],
    };
    const report = { id: newId(), content };
    const issued = await api.post<IssuedReport>(`/clients/${id}/reports`, report);
    expect(englishOf(issued)).toEqual({ ...report, atMs: api.clock.nowMs });
    api.clock.nowMs += DAY_MS;
    const again = { ...report, content: { ...content, letter: 'Another' } };
    expect((await api.post<IssuedReport>(`/clients/${id}/reports`, again)).content.letter).toBe(
      content.letter,
    );
    expect(await api.get<IssuedReport[]>(`/clients/${id}/reports`)).toEqual([issued]);
    expect(
      (await api.refused(`/clients/${id}/reports`, { ...report, content: { ...content, sections: [] } }))
        .status,
    ).toBe(400);
    expect(await api.sql("select action from audit where action = 'report-issued'")).toHaveLength(1);

    const pdf = `/clients/${id}/reports/${issued.id}/pdf`;
    const headers = { cookie: '__Host-nervato=clara' };
    for (const asked of [{ paper: 'A4', language: 'de' }, { paper: 'Letter' }])
      expect((await api.ask(pdf, { method: 'POST', headers, body: JSON.stringify(asked) })).status).toBe(200);
    expect(api.printed).toEqual([
      expect.stringMatching(/^\/print\?ticket=[\w-]+&paper=A4&language=de$/),
      expect.stringMatching(/&paper=Letter&language=en$/),
    ]);
    expect((await api.refused(pdf, { paper: 'A4', language: '../de' })).status).toBe(400);
  });
});

describe('responders (OUT-5)', () => {
  it('is the first and last of all people with two occasions of the same limb and setting, with the sessions between', async () => {
    const { api, made: person } = await startAfter(ready);
    const path = at(person, 'outcomes');
    const firstMs = api.clock.nowMs;
    await api.post(path, girth(firstMs, [50, 50]));
    await api.post(path, girth(firstMs, [51, 51], { limb: 'right-thigh' }));
    await train(api, person, [], DAY_MS);
    await api.post(path, girth(api.clock.nowMs, [50.4, 50.6]));
    await api.post(path, girth(api.clock.nowMs, [51, 51.2], { limb: 'right-thigh' }));
    api.clock.nowMs += 40 * DAY_MS;
    const last = girth(api.clock.nowMs, [52, 52]);
    await api.post(path, last);
    const read = () => api.get<RespondersView>('/practice/responders?measureId=girth-mid-thigh');
    expect((await read()).rows).toEqual([
      {
        clientId: person.client.id,
        name: 'Test Person',
        limb: 'left-thigh',
        setting: '',
        first: { atMs: firstMs, value: 50 },
        last: { atMs: api.clock.nowMs, value: 52 },
        sessions: 1,
        goal: 'size',
      },
      // The other limb was not trained: it is the person's own comparison.
      expect.objectContaining({ limb: 'right-thigh', sessions: 0 }),
    ]);
    expect((await read()).pairs).toHaveLength(5);
    await api.post(`${path}/${last.id}/withdrawal`, { reason: 'Another tape' });
    expect((await read()).rows[0]?.last.value).toBe(50.5);
  });
});

describe('the week of the practice', () => {
  it('lists people who need attention: first those with a plan who do not come', async () => {
    const { api, made: person } = await startAfter(ready);
    await measuredClient(api);
    expect(englishOf(await api.get<WeekView>('/practice/week'))).toEqual({
      training: 1,
      away: 0,
      adherence: { people: 0, done: 0, planned: 0 },
      people: [],
      load: [],
    });
    await train(api, person, [], 12 * DAY_MS);
    const { training, people } = await api.get<WeekView>('/practice/week');
    expect([training, people.length]).toEqual([1, 1]);
    expect(englishOf(people[0])).toMatchObject({ name: 'Test Person', adherence: null });
    expect(englishOf(people[0]?.needs.map(({ words }) => words))).toEqual([
      'Not here for 12 days.',
      'Ask how the last session was.',
    ]);
    api.clock.nowMs += 60 * DAY_MS;
    const later = await api.get<WeekView>('/practice/week');
    expect([later.training, later.away]).toEqual([1, 1]);
    expect(englishOf(later.people[0]?.needs.map(({ words }) => words))).toEqual(['Not here for 72 days.']);
  });
});
