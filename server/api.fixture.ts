import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { afterAll, onTestFinished } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { KitItem } from '#contract/practice';
import type { NewPrescription, SignedFor } from '#contract/prescription';
import type { ProblemBody } from '#contract/problem';
import type { SessionView } from '#contract/session';
import type { ExerciseChoice } from '#core/plan';
import { type TestChoices, testExercise } from '#core/plan/plan.fixture';
import { CONSENT_VERSION } from '#core/screening';
import { START_MS } from '#core/session/session.fixture';
import { openAccount } from './access/accounts';
import { hashSecret } from './access/passphrase';
import { createApp } from './app';
import { openDatabase } from './db/database';
import { inTransaction } from './db/dialect/connection';
import { practiceClock } from './practice-clock';
import { kitRecord } from './record/kit';
import { practiceRecord } from './record/practice';
import { practitionerRecord } from './record/practitioner';
import { sha256 } from './sha256';

export const DAY_MS = 86_400_000;
/** When tests begin: the moment the logs of `core/session` fixtures do. */
export const NOON_MS = START_MS;

const kit = (list: KitItem['list'], item: KitItem['item']) =>
  [kitRecord.entity, { id: item.id, list, item, retiredAtMs: null }] as const;

const cuff = (
  id: string,
  limbKind: 'arm' | 'leg',
  widthCm: number,
  girthLowCm: number,
  girthHighCm: number,
) =>
  kit('cuffs', {
    id,
    label: id,
    limbKind,
    widthCm,
    girthLowCm,
    girthHighCm,
    shape: 'straight',
    bladder: 'single',
    canOcclude: true,
    maxPressureMmHg: 300,
  });

const PRACTICE = [
  [
    practiceRecord.entity,
    {
      id: 'practice',
      name: 'Test practice',
      schoolId: 'research-consensus',
      massUnit: 'kg',
      lengthUnit: 'cm',
      phone: '',
      letterhead: '',
      stricter: [],
      rungSessions: {},
    },
  ],
  [practitionerRecord.entity, { id: 'clara', name: 'Clara', role: 'clinician', listOrder: 0 }],
  [practitionerRecord.entity, { id: 'colin', name: 'Colin', role: 'coach', listOrder: 1 }],
  [practitionerRecord.entity, { id: 'lena', name: 'Lena', role: 'clinician', listOrder: 2 }],
  [practitionerRecord.entity, { id: 'aske', name: 'Aske', role: 'assistant', listOrder: 3 }],
  [practitionerRecord.entity, { id: 'olga', name: 'Olga', role: 'assistant', listOrder: 4 }],
  cuff('thigh-small', 'leg', 9, 35, 50),
  cuff('thigh-large', 'leg', 11.5, 48, 72),
  cuff('arm-one', 'arm', 8, 20, 40),
  kit('pumps', { id: 'pump', label: 'Hand pump', kind: 'by-hand', divisionMmHg: 2, keepsPressure: true }),
  kit('straps', {
    id: 'strap',
    label: 'Marked strap',
    limbKind: 'leg',
    widthCm: 5,
    counts: 'marks',
    firstMark: 1,
    lastMark: 12,
  }),
  kit('straps', {
    id: 'wrap',
    label: 'Elastic wrap',
    limbKind: 'arm',
    widthCm: 7.5,
    counts: 'turns',
    firstMark: 2,
    lastMark: 6,
  }),
  kit('weightKits', {
    kind: 'stack',
    id: 'stack',
    label: 'Stack',
    lightestKg: 2.5,
    stepKg: 2.5,
    heaviestKg: 60,
  }),
  kit('weightKits', { kind: 'bands', id: 'bands', label: 'Bands', names: ['yellow', 'red'] }),
] as const;

/** Clara owns the practice, and Olga does too, who is no clinician. */
const WORKING = ['clara', 'colin', 'lena', 'aske', 'olga'] as const;
export type Who = (typeof WORKING)[number] | 'signed-out';
export const FIRST_WORD = 'harbour';
export const PASSPHRASE = 'rowing past the lighthouse';

/** The header of a sign-in; the token is as good as any. */
const cookieOf = (who: Who): { cookie: string } => ({ cookie: `__Host-nervato=${who}` });

async function signEverybodyIn(orm: Awaited<ReturnType<typeof openDatabase>>): Promise<void> {
  const passphraseHash = await hashSecret(PASSPHRASE);
  await inTransaction(orm.em.fork(), (prepare) => {
    for (const who of WORKING) {
      const isOwner = who === 'clara' || who === 'olga';
      openAccount(prepare, {
        practitionerId: who,
        name: who,
        isOwner,
        passphraseHash,
        mustChange: false,
        madeAtMs: NOON_MS,
      });
      prepare(
        `insert into sign_in (id, token_sha256, practitioner_id, device_sha256, made_at_ms, used_at_ms)
         values (?, ?, ?, ?, ?, ?)`,
      ).run(who, sha256(who), who, sha256(`device of ${who}`), NOON_MS, NOON_MS);
    }
    prepare(
      `insert into sign_in (id, token_sha256, practitioner_id, device_sha256, made_at_ms, used_at_ms, is_locked)
       values ('locked', ?, 'lena', 'a tablet', ?, ?, 1)`,
    ).run(sha256('locked'), NOON_MS, NOON_MS);
  });
}

/** A practice as it is copied for a test: the bytes of its file, and what its clock says. */
type Copied = { bytes: Buffer; nowMs: number };

let small: Promise<Copied> | undefined;

/** A migrated file with the practice in it, made once. */
async function makeSmall(): Promise<Copied> {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-template-'));
  const file = join(folder, 'template.sqlite');
  const orm = await openDatabase(file);
  const em = orm.em.fork();
  for (const [entity, data] of PRACTICE) em.create(entity as never, data as never);
  await em.flush();
  await signEverybodyIn(orm);
  // Everything into the one file that is copied.
  await orm.em.getConnection().execute('pragma wal_checkpoint(truncate)');
  await orm.close();
  const bytes = readFileSync(file);
  rmSync(folder, { recursive: true });
  return { bytes, nowMs: NOON_MS };
}

const after = new Map<unknown, Promise<{ copied: Copied; made: unknown }>>();

/**
 * The same as `startApi`, where something has happened already: it is done once, and copied from then on.
 * @param happens such as `measuredClient`; `made` is what it gives back, `clock` is where it left it
 */
export async function startAfter<T>(happens: (api: Api) => Promise<T>): Promise<{ api: Api; made: T }> {
  let done = after.get(happens) as Promise<{ copied: Copied; made: T }> | undefined;
  if (!done) {
    done = copyAfter(happens);
    after.set(happens, done);
  }
  const { copied, made } = await done;
  return { api: await startApi('test', copied), made: structuredClone(made) };
}

async function copyAfter<T>(happens: (api: Api) => Promise<T>): Promise<{ copied: Copied; made: T }> {
  const api = await startApi();
  const made = await happens(api);
  await api.sql('pragma wal_checkpoint(truncate)');
  return { copied: { bytes: readFileSync(api.file), nowMs: api.clock.nowMs }, made };
}

/**
 * The HTTP application over a new SQLite file with a small practice; both go when the test is over.
 * `clock.nowMs` is what the server takes for now; `clock.realMs` what sign-ins end by.
 */
export async function startApi(lasts: 'test' | 'file' = 'test', copied?: Copied) {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-api-'));
  const file = join(folder, 'test.sqlite');
  small ??= makeSmall();
  const { bytes, nowMs } = copied ?? (await small);
  writeFileSync(file, bytes);
  const clock = { nowMs, realMs: NOON_MS };
  const open = async () => {
    const opened = await openDatabase(file);
    // No test pulls the plug: waiting for the disk is left out.
    await opened.em.getConnection().execute('pragma synchronous = off');
    return opened;
  };
  let orm = await open();
  let practice = await practiceClock(orm, () => clock.nowMs);
  const printed: string[] = [];
  const makeApp = () =>
    createApp({
      orm,
      now: practice.now,
      realNow: () => clock.realMs,
      firstWord: FIRST_WORD,
      print: (path) => {
        printed.push(path);
        return Promise.resolve(new TextEncoder().encode('%PDF-'));
      },
      log: pino({ level: 'silent' }),
    });
  let app = makeApp();
  const end = async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  };
  if (lasts === 'test') onTestFinished(end);
  else afterAll(end);

  const call = async (method: string, path: string, json?: unknown, who: Who = 'clara') => {
    const answer = await app.request(`/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', ...cookieOf(who) },
      ...(json === undefined ? {} : { body: typeof json === 'string' ? json : JSON.stringify(json) }),
    });
    return { status: answer.status, body: answer.status === 204 ? null : await answer.json() };
  };
  return {
    clock,
    /** Every page that was printed, by its address. */
    printed,
    /** The answer as it comes, to a text or a file. */
    raw: (method: string, path: string, text?: string | Uint8Array<ArrayBuffer>, who: Who = 'clara') =>
      app.request(`/api${path}`, {
        method,
        headers: cookieOf(who),
        ...(text === undefined ? {} : { body: text }),
      }),
    sql: (statement: string): Promise<Record<string, string>[]> => orm.em.getConnection().execute(statement),
    /** Closes the file and opens it again, as a restart of the server does. */
    restart: async () => {
      await orm.close();
      orm = await open();
      practice = await practiceClock(orm, () => clock.nowMs);
      app = makeApp();
    },
    file,
    /** Every route there is, as it was written. */
    routes: () => app.routes,
    /** The same as `call`, with headers of one's own and the answer as it comes. */
    ask: (path: string, init: RequestInit = {}) =>
      app.request(`/api${path}`, {
        ...init,
        headers: { 'content-type': 'application/json', ...init.headers },
      }),
    get: async <T>(path: string) => (await call('GET', path)).body as T,
    call,
    /** Posts what must be accepted. */
    post: async <T = ClientRecord>(path: string, json: unknown, who: Who = 'clara'): Promise<T> => {
      const { status, body } = await call('POST', path, json, who);
      if (status >= 300) throw new Error(`${path}: ${status} ${JSON.stringify(body)}`);
      return body as T;
    },
    /** Reads what is not JSON. */
    text: async (path: string) => {
      const answer = await app.request(`/api${path}`, { headers: cookieOf('clara') });
      return { status: answer.status, text: await answer.text() };
    },
    /** Follows an event stream, message by message; what it says before the first one is passed over. */
    follow: async (path: string) => {
      const answer = await app.request(`/api${path}`, { headers: cookieOf('clara') });
      const reader = answer.body?.getReader();
      const decoder = new TextDecoder();
      let text = '';
      const next = async (): Promise<unknown> => {
        for (;;) {
          const message = /^data: (\{.*\})$/m.exec(text);
          if (message) {
            text = text.slice(message.index + message[0].length);
            return JSON.parse(message[1] ?? '');
          }
          const { value, done } = (await reader?.read()) ?? { done: true };
          if (done) throw new Error('The stream ended.');
          text += decoder.decode(value);
        }
      };
      // The stream says that it is connected before it says anything else.
      while (!text.includes('event: ready')) text += decoder.decode((await reader?.read())?.value);
      return { next, leave: async () => reader?.cancel() };
    },
    /** The first message of an event stream, which is then left. */
    firstOfStream: async (path: string): Promise<unknown> => {
      const answer = await app.request(`/api${path}`, { headers: cookieOf('clara') });
      const reader = answer.body?.getReader();
      const { value } = (await reader?.read()) ?? {};
      await reader?.cancel();
      return JSON.parse(new TextDecoder().decode(value).replace(/^data: /, ''));
    },
    /** Posts what must be refused. */
    refused: async (path: string, json: unknown, who: Who = 'clara') => {
      const { status, body } = await call('POST', path, json, who);
      return { status, problem: body as ProblemBody };
    },
  };
}

export type Api = Awaited<ReturnType<typeof startApi>>;

export const TRIAL = { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 };
const CALM = { systolicMmHg: 124, diastolicMmHg: 78 };
export const CLEAR = { yes: [], bloodPressures: [CALM, CALM] };
export const AGREED = { version: CONSENT_VERSION, decision: 'agreed', read: 'on-screen', guardian: null };
export const WELL = { notWell: [], painNow: 1, bloodPressure: null };
export const FIT = { kind: 'cuff', limb: 'left-thigh', girthCm: 55, cuffId: 'thigh-large' };
export const OCCLUSION = {
  limb: 'left-thigh',
  position: 'sitting',
  method: 'doppler',
  site: 'posterior-tibial',
  pumpId: 'pump',
  readingSchool: 'bracket',
  trials: [TRIAL, TRIAL],
} as const;

/** A person with every link up to Load in order. */
export async function measuredClient(api: Api): Promise<ClientRecord> {
  const { id } = await api.post('/clients', { name: 'Test Person' });
  await api.post(`/clients/${id}/screenings`, CLEAR);
  await api.post(`/clients/${id}/consents`, AGREED);
  await api.post(`/clients/${id}/fits`, FIT);
  await api.post(`/clients/${id}/occlusion-pressures`, OCCLUSION);
  return api.post(`/clients/${id}/strength-tests`, {
    exerciseId: 'knee-extension',
    side: 'left',
    loadKg: 30,
    reps: 8,
  });
}

/** One exercise for `client` that breaks no rule, changed by `changes`. */
export const exerciseFor = (client: ClientRecord, asked: TestChoices = {}): ExerciseChoice => {
  // A newcomer begins at the school's start (rule PRS-4).
  const changes = { percentLop: 40, ...asked };
  const [limb] = testExercise(changes).limbs;
  const occlusionId = client.facts.occlusions[0]?.id ?? '';
  const { percentOneRepMax = 25 } = changes;
  return testExercise(changes, {
    limbs: limb?.kind === 'measured' ? [{ ...limb, occlusionId }] : [],
    load: {
      kind: 'weighed',
      strengthTestId: client.facts.strengthTests[0]?.id ?? '',
      weightKitId: 'stack',
      percentOneRepMax,
    },
  });
};

/** A first version of a plan. */
export const NEW_PLAN: SignedFor = {
  kind: 'new-plan',
  name: 'Lower day',
  occasion: { kind: 'any-day' },
  untilMs: null,
};

/** The next version of the plan a person has. */
export const nextVersion = ({ facts }: ClientRecord): SignedFor => ({
  kind: 'next-version',
  coursePlanId: facts.coursePlans[0]?.id ?? '',
});

/** A prescription of one exercise for `client` that breaks no rule, changed by `changes`. */
export const prescriptionFor = (client: ClientRecord, changes: TestChoices = {}): NewPrescription => ({
  goal: 'size',
  schoolId: changes.schoolId ?? 'research-consensus',
  exercises: [exerciseFor(client, changes)],
  signedFor: NEW_PLAN,
});

export const SESSION_ID = '00000000-0000-4000-8000-000000000000';

/** Ten minutes: as long as the logs of `core/session` fixtures last. */
export const LASTS_MS = 600_000;

/** A session opened ten minutes ago, with the id the events of `core/session` fixtures carry. */
export async function openSession(api: Api): Promise<SessionView> {
  const client = await measuredClient(api);
  const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
  await api.post(`/clients/${client.id}/day-checks`, WELL);
  const prescriptionId = signed.facts.prescriptions[0]?.id;
  const view = await api.post<SessionView>('/sessions', { id: SESSION_ID, prescriptionId });
  api.clock.nowMs += LASTS_MS;
  return view;
}
