import type { MikroORM } from '@mikro-orm/libsql';
import { pino } from 'pino';
import { v5 as uuidFrom } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { NewPrescription } from '#contract/prescription';
import type { SessionView } from '#contract/session';
import { limbsName, placeBlock, scheduledOn } from '#core/course';
import { draftSession } from '#core/plan';
import { dayAt, isoOf, newest } from '#core/quantity';
import { basisOf, blockPlansOf, type ClientFacts, plansInForce } from '#core/record';
import { fold, mergeLogs, type SessionEvent } from '#core/session';
import { inEnglish } from '#language/render';
import { changeAccount, openAccount } from '#server/access/accounts';
import { hashSecret } from '#server/access/passphrase';
import { signInHere } from '#server/access/sign-in-here';
import { createApp } from '#server/app';
import { inTransaction, waitForDisk } from '#server/db/dialect/connection';
import { kitRecord } from '#server/record/kit';
import { practiceRecord } from '#server/record/practice';
import { practitionerRecord } from '#server/record/practitioner';
import { keepRow } from '#server/record/write';
import { AGREED } from './agreed';
import { COURSES } from './courses';
import { learned } from './learning';
import { liveCourse, type World } from './live-course';
import { dayAfterEvent, keptAsItIs, pastSessionLog } from './past-session';
import type { HistoryEntry, PrescribeWish } from './people/history';
import { PEOPLE } from './people/people';
import { CUFFS, MEASURES, PRACTICE, PRACTITIONERS, PUMPS, STRAPS, WEIGHT_KITS } from './practice';
import { Reviews } from './reviews';

const NAMESPACE = '6d1f0a52-7c7e-4c9b-9a64-0d6a1b3f52c1';
const MS_PER_DAY = 86_400_000;
const PAIN_BEFORE = 1;

/**
 * Fills an empty database with the Tidewater Lane practice. Everything about people goes through the server's own
 * routes with the clock set back, so the demo obeys the same rules as all.
 * @returns whether anything was loaded; a database that has a practice is left alone
 */
export async function loadDemo(orm: MikroORM, nowMs: number): Promise<boolean> {
  const world = await loadPractice(orm, nowMs);
  if (!world) return false;
  await loadMonths(world, nowMs);
  return true;
}

/** Months of more people, one after the other: which takes long. @param onEach called after each of them */
export async function loadMonths(world: World, nowMs: number, onMonth: () => void = () => {}): Promise<void> {
  for (const course of COURSES) {
    await liveCourse(course, nowMs, world);
    onMonth();
  }
}

/** The practice and the people whose story is written by hand. @returns null where the database has a practice already */
export async function loadPractice(orm: MikroORM, nowMs: number): Promise<World | null> {
  const em = orm.em.fork();
  if ((await em.count(practiceRecord.entity)) > 0) return null;
  await waitForDisk(em, false);
  const kit = { cuffs: CUFFS, pumps: PUMPS, weightKits: WEIGHT_KITS, straps: STRAPS };
  await inTransaction(em, (prepare) => {
    keepRow(prepare, practiceRecord, PRACTICE);
    for (const [listOrder, { id, name, role }] of PRACTITIONERS.entries())
      keepRow(prepare, practitionerRecord, { id, name, role, listOrder });
    for (const list of ['cuffs', 'pumps', 'weightKits', 'straps'] as const)
      for (const item of kit[list])
        keepRow(prepare, kitRecord, { id: item.id, list, item, retiredAtMs: null });
  });
  await openAccounts(orm, nowMs);

  const clock = { nowMs };
  const app = createApp({ orm, now: () => clock.nowMs, draw: () => 0, log: pino({ level: 'silent' }) });
  const owner = await signInHere(orm, 'ines');
  const call = async <T>(
    method: 'GET' | 'POST',
    path: string,
    body?: unknown,
    signedIn = owner,
  ): Promise<T> => {
    // Requests are served between two of these.
    await new Promise(setImmediate);
    const answer = await app.request(`/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', ...signedIn },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`The demo was refused at ${path}: ${await answer.text()}`);
    return (await answer.json()) as T;
  };
  const world: World = {
    clock,
    get: (path) => call('GET', path),
    post: (path, body) => call('POST', path, body),
    reviews: new Reviews(WEIGHT_KITS),
  };

  for (const measure of MEASURES) await world.post('/practice/measures', measure);
  for (const { client, about, history } of PEOPLE) {
    clock.nowMs = nowMs - Math.max(...history.map(({ daysAgo }) => daysAgo)) * MS_PER_DAY;
    let record = await world.post<ClientRecord>('/clients', client);
    if (about) record = await world.post<ClientRecord>(`/clients/${record.id}`, { about });
    for (const [place, entry] of history.entries()) {
      // A few minutes between history of one day keeps their order.
      clock.nowMs = nowMs - entry.daysAgo * MS_PER_DAY + place * 300_000 - history.length * 300_000;
      record = await play(entry, record, world);
    }
  }
  const colleague = await signInHere(orm, 'hana');
  const hoursBefore = (place: number) => nowMs - (40 - place) * 3_600_000;
  for (const [place, { name, attempt }] of [...learned()].entries()) {
    clock.nowMs = hoursBefore(place);
    await call('POST', '/practice-attempts', attempt, name === 'ines' ? owner : colleague);
  }
  await waitForDisk(em, true);
  return world;
}

/** Accounts whose passphrases anyone may read: a demonstration has nothing to hide. */
async function openAccounts(orm: MikroORM, nowMs: number): Promise<void> {
  const hashes = await Promise.all(PRACTITIONERS.map(({ account }) => hashSecret(account.passphrase)));
  await inTransaction(orm.em.fork(), (prepare) => {
    for (const [place, { id, isOwner, account }] of PRACTITIONERS.entries()) {
      const passphraseHash = hashes[place] ?? '';
      openAccount(prepare, {
        practitionerId: id,
        name: account.name,
        isOwner,
        passphraseHash,
        mustChange: false,
        madeAtMs: nowMs,
      });
      const certifiedUntilDay = isoOf(dayAt(nowMs + account.certifiedForDays * MS_PER_DAY, 0));
      changeAccount(prepare, id, { certifiedUntilDay });
    }
  });
}

const PATHS = {
  clear: 'clearances',
  check: 'day-checks',
  feel: 'tightness',
  fit: 'fits',
  measure: 'occlusion-pressures',
  test: 'strength-tests',
  rung: 'rung-checks',
} as const;

async function play(
  entry: HistoryEntry,
  record: ClientRecord,
  { clock, get, post, reviews }: World,
): Promise<ClientRecord> {
  const base = `/clients/${record.id}`;
  const atMs = clock.nowMs;
  switch (entry.do) {
    case 'prescribe':
      return post(`${base}/prescriptions`, versionFor(record.facts, entry.wish, atMs));
    case 'screen': {
      const { body, operated } = entry;
      const procedures = operated && [
        { limb: operated.limb, atMs: atMs - operated.daysBefore * MS_PER_DAY, what: operated.what },
      ];
      const screened: ClientRecord = await post(`${base}/screenings`, {
        ...body,
        ...(procedures ? { procedures } : {}),
      });
      return screened.facts.consents.length > 0 ? screened : post(`${base}/consents`, AGREED);
    }
    case 'take': {
      const id = uuidFrom(
        `${record.name} ${entry.daysAgo} ${entry.body.measureId} ${entry.body.limb}`,
        NAMESPACE,
      );
      await post(`${base}/outcomes`, { ...entry.body, id, atMs });
      return record;
    }
    case 'heavy':
      return post(`${base}/heavy-work`, { ...entry.body, atMs });
    case 'session': {
      const { prescription } =
        plansInForce(record.facts, atMs).find(
          ({ coursePlan }) => entry.plan === undefined || coursePlan.name === entry.plan,
        ) ?? {};
      if (!prescription) throw new Error(`${record.name} has nothing to run.`);
      await post(`${base}/day-checks`, { notWell: [], painNow: PAIN_BEFORE, bloodPressure: null });
      const id = uuidFrom(`${record.name} ${entry.daysAgo} ${entry.plan ?? ''}`, NAMESPACE);
      const { plan } = await post<SessionView>('/sessions', { id, prescriptionId: prescription.id });
      const tell = (events: SessionEvent[]) => {
        clock.nowMs = Math.max(clock.nowMs, ...events.map((event) => event.atMs));
        return post(`/sessions/${id}/events`, { events });
      };
      const done = pastSessionLog(plan, { id, startMs: atMs }, entry);
      await tell(done);
      const state = fold(plan, mergeLogs(done));
      const session = { id, plan, state };
      const advices = reviews.of(session, prescription, record.facts, PAIN_BEFORE, clock.nowMs);
      if (!entry.isUnanswered) await tell(keptAsItIs(id, advices, clock.nowMs));
      await tell([dayAfterEvent(id, atMs + MS_PER_DAY)]);
      return get(base);
    }
    case 'block': {
      const plans = blockPlansOf(record.facts);
      const wish = entry.wish(isoOf(dayAt(atMs, record.facts.zoneOffsetMs)), plans[0]?.id ?? '');
      const sessions = placeBlock(wish, plans).sessions;
      return post(`${base}/blocks`, {
        wish,
        sessions: scheduledOn(sessions),
      });
    }
    case 'confirm': {
      const occlusionId = newest(record.facts.occlusions)?.id;
      return post(`${base}/quick-checks`, { occlusionId, ...entry.body });
    }
    case 'keep-for':
      return post(`${base}/shelf-life`, entry.body);
    case 'clear':
      return post(`${base}/clearances`, {
        ...entry.body,
        givenAtMs: atMs,
        untilMs: atMs + entry.days * MS_PER_DAY,
      });
    default:
      return post(`${base}/${PATHS[entry.do]}`, entry.body);
  }
}

/** A version of the plan that is wished for: its next one where there is one. */
function versionFor(facts: ClientFacts, wish: PrescribeWish, nowMs: number): NewPrescription {
  const session = draftFor(facts, wish, nowMs);
  const name = wish.plan?.name ?? inEnglish(limbsName(wish.limbs));
  const known = facts.coursePlans.find((coursePlan) => coursePlan.name === name);
  const occasion = wish.plan?.occasion ?? { kind: 'any-day' };
  return {
    ...session,
    signedFor: known
      ? { kind: 'next-version', coursePlanId: known.id }
      : { kind: 'new-plan', name, occasion, untilMs: null },
  };
}

/** A session of so many days before, after which a draft holds all that its goal asks for. */
const LONG_AGO = { days: 21, atMs: 0, kinds: [], tolerated: true, worked: [] };

/** What the app itself would draft for this person, at the share of LOP and the tempo then chosen. */
function draftFor(facts: ClientFacts, wish: PrescribeWish, nowMs: number) {
  const { percentLop, tempoId = '1.5-0-1.5', together = false } = wish;
  const basis = basisOf(facts, { cuffs: CUFFS, weightKits: WEIGHT_KITS }, 'clinician', nowMs);
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
    wish.byHand ? { ...basis, done: [{ ...LONG_AGO, day: basis.today - LONG_AGO.days }] } : basis,
  );
  if (!session) throw new Error(`No draft: ${notes.map(inEnglish).join(' ')}`);
  const exercises = session.exercises.map((choice) => ({
    ...choice,
    tempoId,
    ...(wish.intensity ? { intensity: wish.intensity } : {}),
    limbs: choice.limbs.map((limb) =>
      limb.kind === 'measured' ? { ...limb, percentLop: percentLop ?? limb.percentLop } : limb,
    ),
  }));
  return { ...session, exercises, ...(wish.sitting ? { sitting: wish.sitting } : {}) };
}
