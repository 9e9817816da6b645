import { format } from 'date-fns';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import type { AuditPage } from '#contract/audit';
import type { ClientRecord } from '#contract/client';
import { dayOf, isoOf } from '#core/quantity';
import { blockAsItStands, plansInForce } from '#core/record';
import { englishOf } from '#language/english-of.fixture';
import { type Api, DAY_MS, measuredClient, prescriptionFor, startAfter, startApi } from '../api.fixture';
import { blockFor } from '../block.fixture';
import { answerDayAfter, ready, train } from '../forbidden.fixture';

const read = (api: Api, { client }: { client: ClientRecord }) =>
  api.get<ClientRecord>(`/clients/${client.id}`);
/** The sessions of a calendar file as another program reads them; starts by the clock on the wall. */
const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((component) => {
    const { uid, sequence, startDate, duration } = new ICAL.Event(component);
    return {
      uid,
      sequence,
      start: format(startDate.toJSDate(), 'yyyy-MM-dd HH:mm'),
      lastsMinutes: duration.toSeconds() / 60,
    };
  });
const startsIn = (text: string) => eventsIn(text).map(({ start }) => start);
const states = ({ facts, judgedAtMs }: ClientRecord) =>
  blockAsItStands(facts, judgedAtMs)
    ?.entries.slice(0, 4)
    .map(({ state }) => state);

describe('a block of training', () => {
  it('is kept with the person, and the newest counts', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    const block = blockFor(client);
    await api.post(`/clients/${client.id}/blocks`, block);
    api.clock.nowMs += 1000;
    const { facts } = await api.post(`/clients/${client.id}/blocks`, {
      ...block,
      sessions: block.sessions.slice(1),
    });
    expect(facts.blocks.map(({ sessions }) => sessions.length)).toEqual([7]);
  });

  it('says whose turn it is; a session done fills its day, and one that is missed is made up in its week', async () => {
    const { api, made: person } = await startAfter(ready);
    const block = blockFor(person.client);
    expect(
      block.sessions.slice(0, 2).map(({ day }) => Date.parse(day) - Date.parse(block.wish.startsOn)),
    ).toEqual([0, 3 * DAY_MS]);
    const kept = await api.post(`/clients/${person.client.id}/blocks`, block);
    const turn = ({ facts, judgedAtMs }: ClientRecord) => plansInForce(facts, judgedAtMs)[0]?.turn;
    expect(englishOf(turn(kept))).toEqual({ inDays: 0, why: 'In the block today.' });
    api.clock.nowMs += DAY_MS;
    const missed = await read(api, person);
    expect(states(missed)).toEqual(['missed', 'to-come', 'to-come', 'to-come']);
    expect(englishOf(turn(missed))).toEqual({ inDays: 0, why: 'A missed session, made up today.' });
    await api.post(`/clients/${person.client.id}/day-checks`, {
      notWell: [],
      painNow: 1,
      bloodPressure: null,
    });
    await train(api, person, [], 3_600_000);
    // Done a day late: it fills the missed one, and nothing is made up any more.
    const done = await read(api, person);
    expect(states(done)).toEqual(['done', 'to-come', 'to-come', 'to-come']);
    expect(englishOf(turn(done)?.why)).toMatch(/^In the block on /);
  });

  it('is run with the sets of a deload in its week, by the weeks that were trained', async () => {
    const { api, made: person } = await startAfter(ready);
    const deload = { everyWeeks: 3, setsPercent: 50 };
    await api.post(`/clients/${person.client.id}/blocks`, blockFor(person.client, { deload }));
    const sets = async () => {
      await api.post(`/clients/${person.client.id}/day-checks`, {
        notWell: [],
        painNow: 1,
        bloodPressure: null,
      });
      const view = await train(api, person, [], 3_600_000);
      return view.plan.exercises.map((exercise) => exercise.sets.length);
    };
    const later = async (days: number) => {
      api.clock.nowMs += days * DAY_MS;
      const session = (await read(api, person)).facts.sessions.find(({ followUp }) => followUp === null);
      await answerDayAfter(api, { id: session?.id } as Parameters<typeof answerDayAfter>[1], {});
    };
    expect(await sets()).toEqual([4]);
    // The second week is missed: the third of the calendar is the second that is trained.
    await later(15);
    expect(await sets()).toEqual([4]);
    await later(7);
    expect(await sets()).toEqual([2]);
    expect((await read(api, person)).facts.prescriptions[0]?.plan.exercises[0]?.sets).toHaveLength(4);
  });

  it('refuses two sessions of a plan on a day and a plan that is not there, and needs a clinician’s reason for more than three in seven days', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    const path = `/clients/${client.id}/blocks`;
    const block = blockFor(client);
    const [first] = block.sessions;
    if (!first) throw new Error('a block has sessions');
    const on = (...days: number[]) =>
      days.map((day) => ({ ...first, day: isoOf(Date.parse(first.day) / DAY_MS + day) }));
    const twice = { ...block, sessions: on(0, 0), overrideReason: 'I insist' };
    expect(englishOf((await api.refused(path, twice)).problem.errors[0])).toMatchObject({
      rule: 'PRO-3',
      level: 'hard',
    });
    const unknown = {
      ...block,
      sessions: [{ ...first, coursePlanId: 'another' }],
      overrideReason: 'I insist',
    };
    expect(englishOf((await api.refused(path, unknown)).problem.errors[0])).toMatchObject({
      rule: 'START-2',
    });
    const daily = { ...block, sessions: on(0, 1, 2, 3) };
    expect(englishOf((await api.refused(path, daily)).problem.errors[0])).toMatchObject({
      path: 'overrideReason',
    });
    const reasoned = { ...daily, overrideReason: 'Training camp of one week' };
    expect((await api.refused(path, reasoned, 'colin')).status).toBe(422);
    await api.post(path, reasoned);
    const [entry] = await api.sql("select detail from audit where action = 'block-kept-past-guard'");
    expect(JSON.parse(entry?.detail ?? '')).toMatchObject({ reason: 'Training camp of one week' });
  });

  it('refuses what is no block, by its field', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    const block = blockFor(client);
    const odd = { ...block, wish: { ...block.wish, weeks: 40, startsOn: 'soon', lines: [] } };
    const { status, problem } = await api.refused(`/clients/${client.id}/blocks`, odd);
    expect(status).toBe(400);
    expect(problem.errors.map(({ path }) => path).sort()).toEqual([
      'wish.lines',
      'wish.startsOn',
      'wish.weeks',
    ]);
  });

  it('is handed out as a calendar as it is, which names no one', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    expect((await api.text(`/clients/${client.id}/block.ics`)).status).toBe(404);
    const block = blockFor(client);
    await api.post(`/clients/${client.id}/blocks`, block);
    const { status, text } = await api.text(`/clients/${client.id}/block.ics`);
    expect(status).toBe(200);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(8);
    expect(startsIn(text)[0]).toBe(`${block.sessions[0]?.day} 17:30`);
    expect(text).not.toContain('Test Person');
    api.clock.nowMs += DAY_MS;
    const later = await api.text(`/clients/${client.id}/block.ics`);
    expect(startsIn(later.text)).not.toContain(`${block.sessions[0]?.day} 17:30`);
    expect(later.text.match(/BEGIN:VEVENT/g)).toHaveLength(8);
  });

  it('keeps what each session is called by when a game is postponed, and counts what moved', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    const block = blockFor(client);
    await api.post(`/clients/${client.id}/blocks`, block);
    const before = eventsIn((await api.text(`/clients/${client.id}/block.ics`)).text);
    const [first, ...rest] = block.sessions;
    const moved = { ...block, sessions: [{ ...first, day: isoOf(dayOf(first?.day ?? '') + 1) }, ...rest] };
    await api.post(`/clients/${client.id}/blocks`, moved);
    const after = eventsIn((await api.text(`/clients/${client.id}/block.ics`)).text);
    expect(after.map(({ uid }) => uid)).toEqual(before.map(({ uid }) => uid));
    expect(after.map(({ sequence }) => sequence)).toEqual([1, ...before.slice(1).map(() => 0)]);
    // One that is missed leaves every other where it was.
    api.clock.nowMs += 2 * DAY_MS;
    const later = eventsIn((await api.text(`/clients/${client.id}/block.ics`)).text);
    for (const { uid, start } of later.filter((one) => before.some((known) => known.uid === one.uid))) {
      expect(after.find((known) => known.uid === uid)?.start).toBe(start);
    }
  });

  it('starts at the time of day that was wished on both sides of a change of clocks', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    // Clocks go forward on 28 March 2027.
    await api.post(`/clients/${client.id}/blocks`, blockFor(client, { startsOn: '2027-03-22' }));
    const { text } = await api.text(`/clients/${client.id}/block.ics`);
    const starts = startsIn(text);
    expect(starts.map((start) => start.slice(11))).toEqual(starts.map(() => '17:30'));
    expect(new Set(text.match(/DTSTART:\d{8}T\d{6}Z/g)?.map((at) => at.slice(-7))).size).toBe(2);
  });
});

describe('the practice’s own exercises and templates', () => {
  const exercise = {
    label: 'Sled push',
    muscle: 'legs',
    joints: ['hip', 'knee'],
    limbKind: 'leg',
    position: 'standing',
    kind: 'functional',
    sides: 'both',
    equipment: 'machine',
    rung: 'functional',
    cue: 'Short steps, arms straight.',
  };

  it('are added, changed, used for a test, and retired without losing the record', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post('/practice/exercises', { id: 'own-sled', exercise });
    const changed = { id: 'own-sled', exercise: { ...exercise, label: 'Sled push, light' } };
    const practice = await api.post<{ ownExercises: object }>('/practice/exercises', changed);
    expect(practice.ownExercises).toEqual({ 'own-sled': changed.exercise });
    const tested = await api.post(`/clients/${client.id}/strength-tests`, {
      exerciseId: 'own-sled',
      side: 'both',
      loadKg: 60,
      reps: 5,
    });
    expect(tested.facts.ownExercises).toHaveProperty('own-sled');
    await api.post('/practice/exercises/retire', { id: 'own-sled' });
    const record = await api.get<typeof tested>(`/clients/${client.id}`);
    expect(record.facts.strengthTests.some(({ exerciseId }) => exerciseId === 'own-sled')).toBe(true);
  });

  it('refuses a test of an exercise that is in no library', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const { status, problem } = await api.refused(`/clients/${client.id}/strength-tests`, {
      exerciseId: 'somersault',
      side: 'both',
      loadKg: 60,
      reps: 5,
    });
    expect(status).toBe(422);
    expect(englishOf(problem.errors[0])).toMatchObject({ path: 'exerciseId' });
  });

  it('refuses an exercise that lacks its cue, and keeps templates by name', async () => {
    const api = await startApi();
    const { problem } = await api.refused('/practice/exercises', {
      id: 'x',
      exercise: { ...exercise, cue: '' },
    });
    expect(englishOf(problem.errors[0])).toMatchObject({ path: 'exercise.cue' });
    const client = await measuredClient(api);
    const template = {
      id: '00000000-0000-4000-8000-000000000001',
      name: 'Thighs, short',
      session: prescriptionFor(client),
    };
    const practice = await api.post<{ templates: { name: string }[] }>('/practice/templates', template);
    expect(practice.templates.map(({ name }) => name)).toEqual(['Thighs, short']);
    const after = await api.post<{ templates: unknown[] }>('/practice/templates/retire', { id: template.id });
    expect(after.templates).toEqual([]);
    const back = { id: template.id, isRetired: false };
    expect(englishOf(await api.post('/practice/templates/retire', back))).toEqual(practice);
    // Who did it and to what is in the audit by its name; what was never kept is never retired.
    const { entries } = await api.get<AuditPage>('/audit');
    expect(entries.slice(0, 2).map(({ action, detail }) => [action, detail])).toEqual([
      ['template-brought-back', { label: 'Thighs, short' }],
      ['template-retired', { label: 'Thighs, short' }],
    ]);
    expect((await api.refused('/practice/templates/retire', { id: 'nothing' })).status).toBe(404);
    expect((await api.refused('/practice/exercises/retire', { id: 'own-nothing' })).status).toBe(404);
  });

  it('keeps a template above its school for a clinician only, and none for an assistant (SCR-4)', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const template = {
      id: '00000000-0000-4000-8000-000000000001',
      name: 'Thighs, hard',
      session: prescriptionFor(client, { percentLop: 85 }),
    };
    const byCoach = await api.refused('/practice/templates', template, 'colin');
    expect([byCoach.status, byCoach.problem.detail]).toEqual([
      403,
      expect.stringMatching(/85 % is above the 80 %/),
    ]);
    expect((await api.refused('/practice/templates', template, 'aske')).status).toBe(403);
    await api.post('/practice/templates', template);
  });
});
