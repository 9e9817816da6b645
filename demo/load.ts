import type { MikroORM } from '@mikro-orm/libsql';
import { pino } from 'pino';
import { v5 as uuidFrom } from 'uuid';
import type { ClientRecord } from '#contract/client';
import { PRACTITIONER_HEADER } from '#contract/header';
import { draftSession } from '#core/plan/draft-session';
import { newest } from '#core/quantity/newest';
import { basisOf } from '#core/record/basis';
import type { ClientFacts } from '#core/record/facts';
import { planInForce } from '#core/record/in-force';
import { createApp } from '#server/app';
import { KitEntity, PracticeEntity, PractitionerEntity } from '#server/db/entities';
import { waitForDisk } from '#server/db/sqlite';
import { dayAfterEvent, pastSessionLog } from './past-session';
import { type Deed, PEOPLE, type PrescribeWish } from './people';
import { CUFFS, PRACTICE, PRACTITIONERS, PUMPS, STRAPS, WEIGHT_KITS } from './practice';

const NAMESPACE = '6d1f0a52-7c7e-4c9b-9a64-0d6a1b3f52c1';
const MS_PER_DAY = 86_400_000;

/**
 * Fills an empty database with the Tidewater Lane practice. Everything about people goes through the server's own
 * routes with the clock set back, so the demo obeys the same rules as everybody.
 * @returns whether anything was loaded; a database that has a practice is left alone
 */
export async function loadDemo(orm: MikroORM, nowMs: number): Promise<boolean> {
  const em = orm.em.fork();
  if ((await em.count(PracticeEntity)) > 0) return false;
  await waitForDisk(em, false);
  em.create(PracticeEntity, PRACTICE);
  for (const [listOrder, practitioner] of PRACTITIONERS.entries()) {
    em.create(PractitionerEntity, { ...practitioner, listOrder });
  }
  const kit = { cuffs: CUFFS, pumps: PUMPS, weightKits: WEIGHT_KITS, straps: STRAPS };
  for (const list of ['cuffs', 'pumps', 'weightKits', 'straps'] as const) {
    for (const item of kit[list]) em.create(KitEntity, { id: item.id, list, item, retiredAtMs: null });
  }
  await em.flush();

  let clockMs = nowMs;
  const app = createApp({ orm, now: () => clockMs, log: pino({ level: 'silent' }) });
  const post = async <T>(path: string, body: unknown): Promise<T> => {
    const answer = await app.request(`/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', [PRACTITIONER_HEADER]: 'ines' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`The demo was refused at ${path}: ${await answer.text()}`);
    return (await answer.json()) as T;
  };

  for (const { client, deeds } of PEOPLE) {
    clockMs = nowMs - Math.max(...deeds.map(({ daysAgo }) => daysAgo)) * MS_PER_DAY;
    let record = await post<ClientRecord>('/clients', client);
    for (const [place, deed] of deeds.entries()) {
      // A few minutes between deeds of one day keeps their order.
      clockMs = nowMs - deed.daysAgo * MS_PER_DAY + place * 300_000 - deeds.length * 300_000;
      record = await play(deed, record, clockMs, post, (atMs) => {
        clockMs = atMs;
      });
    }
  }
  await waitForDisk(em, true);
  return true;
}

const PATHS = {
  screen: 'screenings',
  clear: 'clearances',
  check: 'day-checks',
  feel: 'tightness',
  fit: 'fits',
  measure: 'occlusion-pressures',
  test: 'strength-tests',
} as const;

async function play(
  deed: Deed,
  record: ClientRecord,
  atMs: number,
  post: <T>(path: string, body: unknown) => Promise<T>,
  setClock: (atMs: number) => void,
): Promise<ClientRecord> {
  const base = `/clients/${record.id}`;
  switch (deed.do) {
    case 'prescribe':
      return post(`${base}/prescriptions`, draftFor(record.facts, deed.wish, atMs));
    case 'session': {
      const prescription = planInForce(record.facts);
      if (!prescription) throw new Error(`${record.name} has nothing to run.`);
      await post(`${base}/day-checks`, { notWell: [], painNow: 1, bloodPressure: null });
      const session = { id: uuidFrom(`${record.name} ${deed.daysAgo}`, NAMESPACE), startMs: atMs };
      await post('/sessions', { id: session.id, prescriptionId: prescription.id });
      const events = pastSessionLog(prescription.plan, session, deed.reps, deed.efforts);
      setClock(Math.max(...events.map((event) => event.atMs)));
      await post(`/sessions/${session.id}/events`, { events });
      const dayAfterMs = atMs + MS_PER_DAY;
      setClock(dayAfterMs);
      await post(`/sessions/${session.id}/events`, { events: [dayAfterEvent(session.id, dayAfterMs)] });
      return record;
    }
    case 'plan': {
      const isoDay = new Date(atMs).toISOString().slice(0, 10);
      return post(`${base}/programmes`, deed.body(isoDay));
    }
    case 'confirm': {
      const occlusionId = newest(record.facts.occlusions)?.id;
      return post(`${base}/quick-checks`, { occlusionId, ...deed.body });
    }
    case 'keep-for':
      return post(`${base}/shelf-life`, deed.body);
    case 'clear':
      return post(`${base}/clearances`, {
        ...deed.body,
        givenAtMs: atMs,
        untilMs: atMs + deed.days * MS_PER_DAY,
      });
    default:
      return post(`${base}/${PATHS[deed.do]}`, deed.body);
  }
}

/** What the app itself would draft for this person, at the share of LOP and the tempo somebody then chose. */
function draftFor(facts: ClientFacts, wish: PrescribeWish, nowMs: number) {
  const { percentLop, tempoId = '1.5-0-1.5', together = false } = wish;
  const { session, notes } = draftSession(
    {
      goal: wish.goal,
      schoolId: PRACTICE.schoolId,
      limbs: wish.limbs,
      together,
      rung: 'isometric',
      newcomer: false,
      isolatedOnly: false,
      carried: [],
      lowered: new Map(),
    },
    basisOf(facts, { cuffs: CUFFS, weightKits: WEIGHT_KITS }, 'clinician', nowMs),
  );
  if (!session) throw new Error(`No draft: ${notes.join(' ')}`);
  const exercises = session.exercises.map((choice) => ({
    ...choice,
    tempoId,
    limbs: choice.limbs.map((limb) =>
      limb.kind === 'measured' ? { ...limb, percentLop: percentLop ?? limb.percentLop } : limb,
    ),
  }));
  return { ...session, exercises };
}
