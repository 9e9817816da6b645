import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { SessionView } from '#contract/session';
import { plannedKg } from '#core/plan';
import { plansInForce, reviewOfCourse, rungInForce } from '#core/record';
import type { Change } from '#core/review';
import { englishOf } from '#language/english-of.fixture';
import {
  type Api,
  CLEAR,
  DAY_MS,
  exerciseFor,
  NEW_PLAN,
  nextVersion,
  prescriptionFor,
  startAfter,
  startApi,
  WELL,
} from '../api.fixture';
import {
  advicesOf,
  answerDayAfter,
  answersOf,
  at,
  clearance,
  measureAgain,
  planOf,
  type Ready,
  ready,
  train,
} from '../forbidden.fixture';

const namesInForce = ({ facts, judgedAtMs }: ClientRecord) =>
  plansInForce(facts, judgedAtMs).map(({ coursePlan }) => coursePlan.name);
const read = (api: Api, { client }: Ready) => api.get<ClientRecord>(`/clients/${client.id}`);

/** A second plan of the same person: the same exercise, lighter, for other days. */
const second = (client: ClientRecord) => ({
  ...prescriptionFor(client, { percentOneRepMax: 20 }),
  signedFor: { ...NEW_PLAN, name: 'Light day', occasion: { kind: 'after-heavy' } },
});

/** What is asked for an answer, whatever it changes. */
const PAIN = [90, { type: 'set-noted', exerciseIndex: 0, setIndex: 0, jointPain: 7 }] as const;

/** Two days on, asked and checked: nothing but the review is open. */
async function nextVisit(api: Api, person: Ready, ...events: (typeof PAIN)[]) {
  const view = await train(api, person, events, 2 * DAY_MS, 'unanswered');
  await answerDayAfter(api, view, {});
  await api.post(at(person, 'day-checks'), WELL);
  return view;
}

const DECLINED = { answer: 'declined', change: {}, reason: 'She wants another week of it.' };

const answer = async (api: Api, view: SessionView, change: Change, how: object = {}) => ({
  events: await answersOf(api, view, change, how),
});

/** Takes events of a session back, from a device of its own. */
const undoOf = (api: Api, view: SessionView, { events }: { events: readonly { id: string }[] }) => ({
  events: events.map(({ id }) => ({
    id: newId(),
    sessionId: view.id,
    deviceId: newId(),
    seq: 0,
    atMs: api.clock.nowMs,
    type: 'undone',
    eventId: id,
  })),
});

describe('several plans of one person', () => {
  it('are kept side by side; a signature takes the place of its own plan’s version only', async () => {
    const { api, made: person } = await startAfter(ready);
    api.clock.nowMs += 1_000;
    const both = await api.post(at(person, 'prescriptions'), second(person.client));
    expect(namesInForce(both)).toEqual(['Lower day', 'Light day']);
    api.clock.nowMs += 1_000;
    const signed = await api.post(at(person, 'prescriptions'), {
      ...prescriptionFor(person.client, { percentLop: 38 }),
      signedFor: nextVersion(person.client),
    });
    expect(namesInForce(signed)).toEqual(['Lower day', 'Light day']);
    const versions = signed.facts.prescriptions.map(({ coursePlanId, changes }) => [
      coursePlanId === planOf(person),
      englishOf(changes),
    ]);
    expect(versions.sort()).toEqual([
      [false, []],
      [true, ['Knee extension: pressure 40 → 38 % of LOP, 68 → 66 mmHg.']],
    ]);
    // Whichever is chosen opens, the one that is not next too.
    const light = plansInForce(signed.facts, signed.judgedAtMs)[1];
    const view = await api.post<SessionView>('/sessions', {
      id: newId(),
      prescriptionId: light?.prescription.id,
    });
    expect(view.plan.exercises.map(({ load }) => plannedKg(load))).toEqual([7.5]);
  });

  it('are paused and taken up again, renamed, ended; each with its audit entry', async () => {
    const { api, made: person } = await startAfter(ready);
    const path = at(person, `course-plans/${planOf(person)}`);
    const paused = await api.post(path, { state: 'paused' }, 'colin');
    expect([namesInForce(paused), paused.facts.coursePlans.map(({ state }) => state)]).toEqual([
      [],
      ['paused'],
    ]);
    expect(paused.chain.find(({ id }) => id === 'prescribe')?.state).toBe('missing');
    const renamed = await api.post(path, {
      state: 'in-force',
      name: 'Thursday',
      occasion: { kind: 'weekdays', weekdays: [3] },
    });
    expect(namesInForce(renamed)).toEqual(['Thursday']);
    const ended = await api.post(path, { state: 'ended' });
    expect([ended.facts.coursePlans, ended.facts.prescriptions]).toEqual([[], []]);
    expect((await api.refused(path, { state: 'in-force' })).status).toBe(404);
    expect((await api.refused(path, {})).status).toBe(400);
    const kept = await api.sql("select action from audit where action = 'plan-changed'");
    expect(kept).toHaveLength(3);
    const gone = { ...prescriptionFor(person.client), signedFor: nextVersion(person.client) };
    expect((await api.refused(at(person, 'prescriptions'), gone)).status).toBe(404);
  });

  it('are not prolonged by a coach where a clinician signed until when', async () => {
    const { api, made: person } = await startAfter(ready);
    const path = at(person, `course-plans/${planOf(person)}`);
    const untilMs = api.clock.nowMs + 7 * DAY_MS;
    await api.post(path, { untilMs }, 'colin');
    for (const longer of [untilMs + 1, null]) {
      expect(englishOf((await api.refused(path, { untilMs: longer }, 'colin')).problem.errors)).toMatchObject(
        [{ rule: 'SCR-4' }],
      );
    }
    await api.post(path, { untilMs: untilMs - DAY_MS }, 'colin');
    expect((await api.post(path, { untilMs: null })).facts.coursePlans[0]?.untilMs).toBeNull();
  });
});

describe('a review that binds (REV-10)', () => {
  it('moves the plan by itself inside what was signed, and an answer is what it goes by', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await nextVisit(api, person);
    const record = await read(api, person);
    const [prescribed] = record.facts.prescriptions;
    const { weightKits } = await api.get<PracticeView>('/practice');
    const review = prescribed && reviewOfCourse(prescribed, record.facts, weightKits, record.judgedAtMs);
    expect(englishOf(review?.exercises)).toMatchObject([{ asks: null, leavesBounds: false }]);
    await api.post(`/sessions/${view.id}/events`, await answer(api, view, { loadSteps: -1 }));
    const after = await read(api, person);
    expect(after.facts.prescriptions.map(({ id }) => id)).toEqual([person.prescriptionId]);
    const opened = await api.post<SessionView>('/sessions', {
      id: newId(),
      prescriptionId: person.prescriptionId,
    });
    const [was, is] = [view, opened].map(({ plan }) => plan.exercises[0]?.load);
    expect(is?.kind === 'weighed' && was?.kind === 'weighed' && is.load.value < was.load.value).toBe(true);
    expect(opened.plan.course?.moves).toMatchObject([{ exerciseIndex: 0, figure: 'percent-1rm' }]);
  });

  it('is answered before its plan opens again after pain; an answer past the bounds is the next version at once', async () => {
    const { api, made: person } = await startAfter(ready);
    await api.post(at(person, 'prescriptions'), second(person.client));
    const view = await nextVisit(api, person, PAIN);
    const open = (prescriptionId: string | undefined) =>
      api.call('POST', '/sessions', { id: newId(), prescriptionId }, 'colin');
    expect((await open(person.prescriptionId)).body).toMatchObject({ errors: [{ rule: 'REV-10' }] });
    // Another plan of theirs does not wait for it.
    const before = await read(api, person);
    const other = before.facts.prescriptions.find(({ coursePlanId }) => coursePlanId !== planOf(person));
    expect(before.facts.prescriptions).toHaveLength(2);
    const heavier = await api.call(
      'POST',
      `/sessions/${view.id}/events`,
      await answer(api, view, { loadSteps: 1 }),
      'colin',
    );
    expect(heavier.status).toBe(200);
    const after = await read(api, person);
    const version = after.facts.prescriptions.find(({ coursePlanId }) => coursePlanId === planOf(person));
    expect(englishOf(version)).toMatchObject({
      signedBy: 'colin',
      changes: [expect.stringMatching(/^Knee extension: load \d.* kg → \d.* kg\.$/)],
    });
    expect(after.facts.prescriptions.map(({ id }) => id)).toContain(other?.id);
    expect((await open(person.prescriptionId)).status).toBe(409);
    expect((await open(version?.id)).status).toBe(201);
    const [entry] = await api.sql("select detail from audit where action = 'prescribed-by-review'");
    expect(JSON.parse(entry?.detail ?? '{}')).toMatchObject({
      sessionId: view.id,
      from: person.prescriptionId,
    });
  });

  it('takes an answer back with the version it made, until the plan opens again', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await nextVisit(api, person, PAIN);
    const path = `/sessions/${view.id}/events`;
    const given = await answer(api, view, { loadSteps: 1 });
    await api.post(path, given);
    api.clock.nowMs += 1_000;
    const now = async () => (await read(api, person)).facts.prescriptions[0];
    const made = await now();
    expect(made).toMatchObject({ isByReview: true });
    const undo = () => undoOf(api, view, given);
    expect((await api.call('POST', path, undo(), 'aske')).status).toBe(403);
    await api.post(path, undo());
    const back = await now();
    // The version that was signed stands again, and so does its question.
    expect(back).toMatchObject({ signedBy: 'clara' });
    expect(back?.versions).toContain(person.prescriptionId);
    expect(back?.plan.exercises[0]?.load).toEqual(
      person.client.facts.prescriptions[0]?.plan.exercises[0]?.load,
    );
    const open = () => api.call('POST', '/sessions', { id: newId(), prescriptionId: back?.id });
    expect((await open()).body).toMatchObject({ errors: [{ rule: 'REV-10' }] });
    api.clock.nowMs += 1_000;
    const declined = await answer(api, view, {}, DECLINED);
    const otherDevice = newId();
    declined.events = declined.events.map((event) => ({ ...event, deviceId: otherDevice }));
    await api.post(path, declined);
    expect((await now())?.id).toBe(back?.id);
    expect((await open()).status).toBe(201);
    api.clock.nowMs += 1_000;
    const late = await api.refused(path, undoOf(api, view, declined));
    expect(late.status).toBe(409);
    expect((await api.sql("select 1 from audit where action = 'review-taken-back'")).length).toBe(1);
  });

  it('takes the version of an answer back, too, when that was re-targeted meanwhile', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await nextVisit(api, person, PAIN);
    const path = `/sessions/${view.id}/events`;
    const given = await answer(api, view, { loadSteps: 1 });
    await api.post(path, given);
    await measureAgain(api, person.client, 220);
    api.clock.nowMs += 1_000;
    const [made] = (await read(api, person)).facts.prescriptions;
    await api.post(at(person, `prescriptions/${made?.id}/retarget`), {});
    api.clock.nowMs += 1_000;
    await api.post(path, undoOf(api, view, given));
    const [back] = (await read(api, person)).facts.prescriptions;
    expect(back?.versions).toContain(person.prescriptionId);
    expect(back?.versions).not.toContain(made?.id);
  });

  it('keeps the version as it is where the answer changes nothing, or declines', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await nextVisit(api, person, PAIN);
    await api.post(`/sessions/${view.id}/events`, await answer(api, view, { loadSteps: -1 }, DECLINED));
    expect((await read(api, person)).facts.prescriptions.map(({ id }) => id)).toEqual([
      person.prescriptionId,
    ]);
    await api.post('/sessions', { id: newId(), prescriptionId: person.prescriptionId });
  });

  it('waits for a clinician where the person who answered may not sign it, and holds the plan until then', async () => {
    const api = await startApi();
    const client = (await ready(api)).client;
    const passive = {
      ...prescriptionFor(client),
      goal: 'passive',
      exercises: [
        {
          ...exerciseFor(client, {
            exerciseId: 'passive-cuff-leg',
            protocolId: 'passive-recovery',
            percentLop: 80,
            restMs: 60_000,
          }),
          load: { kind: 'unweighed', with: 'limb weight only' },
        },
      ],
      signedFor: { ...NEW_PLAN, name: 'Passive' },
    };
    api.clock.nowMs += 1_000;
    const signed = await api.post(`/clients/${client.id}/prescriptions`, passive);
    const version = signed.facts.prescriptions.find(({ plan }) => plan.goal === 'passive');
    const person = { client: signed, prescriptionId: version?.id ?? '' };
    const view = await nextVisit(api, person);
    await api.call(
      'POST',
      `/sessions/${view.id}/events`,
      await answer(api, view, { pressurePoints: 5 }),
      'colin',
    );
    const { problem } = await api.refused('/sessions', { id: newId(), prescriptionId: version?.id });
    expect(englishOf(problem.errors)).toMatchObject([{ rule: 'REV-10' }]);
    expect(problem.detail).toContain('80 → 85 % of LOP');
    api.clock.nowMs += 1_000;
    const [limb] = passive.exercises[0]?.limbs ?? [];
    const next = await api.post(`/clients/${client.id}/prescriptions`, {
      ...passive,
      exercises: passive.exercises.map((exercise) => ({ ...exercise, limbs: [{ ...limb, percentLop: 85 }] })),
      signedFor: { kind: 'next-version', coursePlanId: version?.coursePlanId },
    });
    const now = next.facts.prescriptions.find(({ plan }) => plan.goal === 'passive')?.id;
    await api.post('/sessions', { id: newId(), prescriptionId: now }, 'colin');
  });

  it('outlives a re-target: what was answered is applied to the pressures of now', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await nextVisit(api, person, PAIN);
    await measureAgain(api, person.client, 220);
    const path = at(person, `prescriptions/${person.prescriptionId}/retarget`);
    api.clock.nowMs += 1_000;
    const retargeted = await api.post(path, {}, 'colin');
    expect(englishOf(retargeted.facts.prescriptions[0]?.changes)).toEqual([
      'Knee extension: pressure 68 → 84 mmHg.',
    ]);
    const shut = await api.refused('/sessions', {
      id: newId(),
      prescriptionId: retargeted.facts.prescriptions[0]?.id,
    });
    expect(englishOf(shut.problem.errors)).toMatchObject([{ rule: 'REV-10' }]);
    api.clock.nowMs += 1_000;
    await api.post(`/sessions/${view.id}/events`, await answer(api, view, { loadSteps: 1 }));
    const [now] = (await read(api, person)).facts.prescriptions;
    expect(englishOf(now?.plan.exercises[0]?.limbs[0])).toMatchObject({
      percentLop: 40,
      pressure: { value: 84 },
    });
    expect(englishOf(now?.changes)?.[0]).toContain('load');
    await api.post('/sessions', { id: newId(), prescriptionId: now?.id });
  });
});

describe('heavy work in one line (PRO-4)', () => {
  const squat = { exerciseId: 'leg-press', side: 'both', sets: 4, reps: 6, loadKg: 120, effort: 8, pain: 2 };

  it('is kept with its day, and makes it the turn of what comes after heavy work', async () => {
    const { api, made: person } = await startAfter(ready);
    await api.post(at(person, 'prescriptions'), second(person.client));
    const turns = ({ facts, judgedAtMs }: ClientRecord) =>
      plansInForce(facts, judgedAtMs).map(({ coursePlan, turn }) => [coursePlan.name, turn.inDays]);
    const before = await api.post(
      at(person, 'heavy-work'),
      { ...squat, atMs: api.clock.nowMs - 2 * DAY_MS },
      'colin',
    );
    expect(turns(before)).toEqual([
      ['Lower day', 0],
      ['Light day', null],
    ]);
    const today = await api.post(at(person, 'heavy-work'), { ...squat, atMs: api.clock.nowMs - 60_000 });
    expect(turns(today)).toContainEqual(['Light day', 0]);
    expect(today.facts.heavyWork).toHaveLength(2);
    expect(today.facts.heavyWork[0]).toMatchObject(squat);
  });

  it('is refused tomorrow, of another year, with an unknown exercise, or as light as anything', async () => {
    const { api, made: person } = await startAfter(ready);
    const nowMs = api.clock.nowMs;
    const wrong = [
      { ...squat, atMs: nowMs + 180_000 },
      { ...squat, atMs: nowMs - 300 * DAY_MS },
      { ...squat, atMs: nowMs, exerciseId: 'levitation' },
      { ...squat, atMs: nowMs, reps: 31 },
      { ...squat, atMs: nowMs, loadKg: 0 },
      { ...squat, atMs: nowMs, sets: 0 },
    ];
    for (const body of wrong)
      expect((await api.refused(at(person, 'heavy-work'), body)).status).toBeGreaterThan(399);
    expect((await read(api, person)).facts.heavyWork).toEqual([]);
    // A device whose clock is a little ahead says now.
    const ahead = await api.post(at(person, 'heavy-work'), { ...squat, atMs: nowMs + 1_500 });
    expect(ahead.facts.heavyWork).toMatchObject([{ atMs: nowMs }]);
  });
});

describe('the ladder of a limb (PRO-5)', () => {
  const answers = { pain: 1, swellingDown: true, rangeGood: true, clinicianAgrees: false };

  it('keeps each check with who made it; above what is answered it takes a clinician’s reason', async () => {
    const { api, made: person } = await startAfter(ready);
    const path = at(person, 'rung-checks');
    const passive = await api.post(path, { limb: 'left-thigh', answers, rung: 'passive' }, 'colin');
    expect(passive.facts.rungChecks).toMatchObject([
      { limb: 'left-thigh', rung: 'passive', by: 'colin', reason: null, answers: { daysSinceSurgery: null } },
    ]);
    api.clock.nowMs += 1_000;
    const functional = { limb: 'left-thigh', answers, rung: 'functional' };
    expect(englishOf((await api.refused(path, functional, 'colin')).problem.errors)).toMatchObject([
      { rule: 'PRO-5' },
    ]);
    const own = { ...functional, answers: { ...answers, clinicianAgrees: true } };
    expect(englishOf((await api.refused(path, own, 'colin')).problem.errors)).toMatchObject([
      { rule: 'SCR-4' },
    ]);
    expect(englishOf((await api.refused(path, functional)).problem.errors)).toMatchObject([
      { path: 'overrideReason' },
    ]);
    const reasoned = await api.post(path, { ...functional, overrideReason: 'Watched her on the step' });
    expect(reasoned.facts.rungChecks.map(({ rung, reason }) => [rung, reason]).sort()).toEqual([
      ['functional', 'Watched her on the step'],
      ['passive', null],
    ]);
    expect((await api.post(path, own)).facts.rungChecks).toHaveLength(3);
    const audits = await api.sql("select action from audit where action = 'rung-entered'");
    expect(audits).toHaveLength(3);
  });

  it('goes down by itself after pain in a session, and after a swelling that a later check no longer finds', async () => {
    const { api, made: person } = await startAfter(ready);
    const check = { limb: 'left-thigh', answers, rung: 'functional', overrideReason: 'Seen on the ward' };
    await api.post(at(person, 'rung-checks'), check);
    const stands = async () => rungInForce((await read(api, person)).facts, 'left-thigh')?.rung;
    const pain = [90, { type: 'set-noted', exerciseIndex: 0, setIndex: 0, jointPain: 9 }] as const;
    await train(api, person, [pain], 2 * DAY_MS);
    expect(await stands()).toBe('loaded');
    await api.post(at(person, 'day-checks'), { ...WELL, notWell: ['swelling'] });
    api.clock.nowMs += 3 * DAY_MS;
    await api.post(at(person, 'day-checks'), WELL);
    expect(await stands()).toBe('unloaded');
  });

  it('counts however long ago it was checked', async () => {
    const { api, made: person } = await startAfter(ready);
    const check = { limb: 'left-thigh', answers, rung: 'passive' };
    await api.post(at(person, 'rung-checks'), check);
    api.clock.nowMs += 400 * DAY_MS;
    expect(rungInForce((await read(api, person)).facts, 'left-thigh')?.rung).toBe('passive');
  });

  it('guards signing work of an operated limb above its rung', async () => {
    const {
      api,
      made: { client },
    } = await startAfter(ready);
    const procedures = [{ limb: 'left-thigh', atMs: api.clock.nowMs - 40 * DAY_MS, what: 'Graft' }];
    api.clock.nowMs += 1_000;
    await api.post(`/clients/${client.id}/screenings`, { ...CLEAR, yes: ['recent-surgery'], procedures });
    await api.post(
      `/clients/${client.id}/clearances`,
      clearance(api.clock.nowMs, { subjects: ['recent-surgery'] }),
    );
    const path = `/clients/${client.id}/prescriptions`;
    const version = { ...prescriptionFor(client), signedFor: nextVersion(client) };
    expect(englishOf((await api.refused(path, version)).problem.errors)).toMatchObject([
      { path: 'overrideReason' },
    ]);
    await api.post(`/clients/${client.id}/rung-checks`, {
      limb: 'left-thigh',
      answers,
      rung: 'loaded',
      overrideReason: 'Seen by the physiotherapist on the ward',
    });
    api.clock.nowMs += 1_000;
    await api.post(path, version);
  });
});

describe('a review is what the server works out (REV-10, START-3)', () => {
  it.each([
    ['declined with an empty reason', { answer: 'declined', change: {}, reason: ' ' }],
    ['accepted with no change', { answer: 'accepted', change: {}, reason: '' }],
    ['accepted as another rule', { answer: 'accepted', rule: 'REV-6', change: {}, reason: '' }],
    ['edited to more, without a word', { answer: 'edited', change: { loadSteps: 1 }, reason: '' }],
  ])('after pain 9 it is not %s, and the plan stays shut', async (_, more) => {
    const { api, made: person } = await startAfter(ready);
    const set = { exerciseIndex: 0, setIndex: 0 };
    const pain = [90, { type: 'set-noted', ...set, jointPain: 9 }] as const;
    const view = await train(api, person, [pain], 2 * DAY_MS, 'unanswered');
    await answerDayAfter(api, view, {});
    await api.post(at(person, 'day-checks'), WELL);
    const events = await answersOf(api, view, {}, more);
    const refused = await api.refused(`/sessions/${view.id}/events`, { events });
    expect([refused.status, refused.problem.errors[0]?.path]).toEqual([422, 'events.0.answer']);
    expect(englishOf((await read(api, person)).chain.find(({ id }) => id === 'prescribe')?.figure)).toBe(
      'review',
    );
    const open = await api.refused('/sessions', { id: newId(), prescriptionId: person.prescriptionId });
    expect(open.status).toBe(422);
    const advices = await advicesOf(api, view);
    expect(advices[0]?.rule).toBe('REV-2');
    const agreed = { answer: 'accepted', change: advices[0]?.change, reason: '' };
    await api.post(`/sessions/${view.id}/events`, { events: await answersOf(api, view, {}, agreed) });
  });

  it('is not answered before the session is over', async () => {
    const { api, made: person } = await startAfter(ready);
    const view = await api.post<SessionView>('/sessions', {
      id: newId(),
      prescriptionId: person.prescriptionId,
    });
    const answered = {
      type: 'review-answered',
      exerciseIndex: 0,
      rule: 'REV-6',
      answer: 'accepted',
      change: {},
      reason: '',
      id: newId(),
      sessionId: view.id,
      deviceId: 'plinth',
      seq: 1,
      atMs: api.clock.nowMs,
    };
    const { status, problem } = await api.refused(`/sessions/${view.id}/events`, { events: [answered] });
    expect(englishOf([status, problem.errors[0]?.message])).toEqual([
      422,
      expect.stringContaining('not finished'),
    ]);
  });
});
