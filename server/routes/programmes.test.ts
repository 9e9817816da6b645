import { describe, expect, it } from 'vitest';
import type { NewProgramme } from '#contract/programme';
import { isoOf } from '#core/course/days';
import { placeSessions } from '#core/course/place-sessions';
import { constraintsOf } from '#core/course/programme';
import { measuredClient, prescriptionFor, startApi } from '../api.fixture';

const wish: NewProgramme['wish'] = {
  goal: 'size',
  schoolId: 'research-consensus',
  limb: 'left-thigh',
  startsOn: '2026-05-04',
  weeks: 4,
  perWeek: 2,
  available: [0, 1, 2, 3, 4],
  heavy: [],
  besideHeavy: 'apart',
  deloadEvery: null,
  daysOff: [],
  atTime: '17:30',
};
const block: NewProgramme = { wish, days: placeSessions(constraintsOf(wish)).days.map(isoOf) };

describe('a block of training', () => {
  it('is kept with the person, and the newest counts', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    await api.post(`/clients/${id}/programmes`, block);
    api.clock.nowMs += 1000;
    const { facts } = await api.post(`/clients/${id}/programmes`, { ...block, days: block.days.slice(1) });
    expect(facts.programmes.map(({ days }) => days.length)).toEqual([7]);
  });

  it('refuses two sessions on a day, and needs a clinician’s reason for more than three in seven days', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    const path = `/clients/${id}/programmes`;
    const twice = { ...block, days: ['2026-05-04', '2026-05-04'], overrideReason: 'I insist' };
    expect((await api.refused(path, twice)).problem.errors[0]).toMatchObject({
      rule: 'PRO-3',
      level: 'hard',
    });
    const daily = { ...block, days: [4, 5, 6, 7].map((day) => `2026-05-0${day}`) };
    expect((await api.refused(path, daily)).problem.errors[0]).toMatchObject({ path: 'overrideReason' });
    const reasoned = { ...daily, overrideReason: 'Training camp of one week' };
    expect((await api.refused(path, reasoned, 'colin')).status).toBe(422);
    await api.post(path, reasoned);
    const [entry] = await api.sql("select detail from audit where action = 'programme-kept-past-guard'");
    expect(JSON.parse(entry?.detail ?? '')).toMatchObject({ reason: 'Training camp of one week' });
  });

  it('refuses what is no block, by its field', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    const odd = { ...block, wish: { ...wish, weeks: 40, startsOn: 'soon' } };
    const { status, problem } = await api.refused(`/clients/${id}/programmes`, odd);
    expect(status).toBe(400);
    expect(problem.errors.map(({ path }) => path).sort()).toEqual(['wish.startsOn', 'wish.weeks']);
  });

  it('is handed out as a calendar that names nobody', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    expect((await api.text(`/clients/${id}/programme.ics`)).status).toBe(404);
    await api.post(`/clients/${id}/programmes`, block);
    const { status, text } = await api.text(`/clients/${id}/programme.ics`);
    expect(status).toBe(200);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(8);
    expect(text).toContain(`DTSTART:${block.days[0]?.replaceAll('-', '')}T173000`);
    expect(text).not.toContain('Test Person');
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
    const api = await startApi();
    const client = await measuredClient(api);
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
    const api = await startApi();
    const client = await measuredClient(api);
    const { status, problem } = await api.refused(`/clients/${client.id}/strength-tests`, {
      exerciseId: 'somersault',
      side: 'both',
      loadKg: 60,
      reps: 5,
    });
    expect(status).toBe(422);
    expect(problem.errors[0]).toMatchObject({ path: 'exerciseId' });
  });

  it('refuses an exercise that lacks its cue, and keeps templates by name', async () => {
    const api = await startApi();
    const { problem } = await api.refused('/practice/exercises', {
      id: 'x',
      exercise: { ...exercise, cue: '' },
    });
    expect(problem.errors[0]).toMatchObject({ path: 'exercise.cue' });
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
  });
});
