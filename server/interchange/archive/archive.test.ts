import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import fc from 'fast-check';
import { pino } from 'pino';
import { v4 as newId } from 'uuid';
import { describe, expect, it, onTestFinished } from 'vitest';
import {
  type ArchivePreview,
  archiveJsonSchema,
  type ImportBatch,
  type SiteFingerprint,
} from '#contract/archive';
import type { ClientRecord, PeoplePage } from '#contract/client';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { attackRuns } from '../../../tests/attack-runs';
import { signInHere } from '../../access/sign-in-here';
import {
  type Api,
  CLEAR,
  DAY_MS,
  measuredClient,
  prescriptionFor,
  SESSION_ID,
  startAfter,
  startApi,
  WELL,
  type Who,
} from '../../api.fixture';
import { createApp } from '../../app';
import { openDatabase } from '../../db/database';
import { inTransaction } from '../../db/dialect/connection';
import { demoDatabase } from '../../demo.fixture';
import { type Ready, ready, train } from '../../forbidden.fixture';
import { recountSuperseded } from '../../record/in-force';
import { sha256 } from '../../sha256';
import { takeIn } from './import-archive';
import { writeArchive } from './write-archive';

const NOW_MS = Date.UTC(2026, 4, 4, 12);
const OLD = join(import.meta.dirname, '../../db/old');

async function database(bytes?: Buffer) {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-archive-'));
  const file = join(folder, 'practice.sqlite');
  if (bytes) writeFileSync(file, bytes);
  const orm = await openDatabase(file);
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const lines = () => [...writeArchive(file, { kind: 'practice' })];
  return { orm, lines, em: orm.em.fork() };
}

async function demo() {
  const { orm, file } = await demoDatabase();
  return { lines: () => [...writeArchive(file, { kind: 'practice' })], em: orm.em.fork() };
}

/** After all that is in the files. */ import { withPresentNames } from './present-names';

const IMPORTED_MS = Date.UTC(2027, 5, 1);
const TAKING = {
  matches: {},
  words: 'test.ndjson',
  practitionerId: 'ines',
  doer: { role: 'clinician', isOwner: true } as const,
  nowMs: IMPORTED_MS,
  movedFrom: '',
};
const text = (lines: readonly string[]) => lines.map((line) => line.replace(/\n$/, ''));

describe('an archive of a whole practice', () => {
  it('comes out of an empty practice as it went in, byte by byte, and what follows from it is worked out again', async () => {
    const from = await demo();
    const out = from.lines();
    const into = await database();
    await inTransaction(into.em, (prepare) => takeIn(prepare, text(out), TAKING));
    expect(into.lines().join('')).toBe(out.join(''));
    for (const { table, columns } of FOLLOWS) {
      const read = `select ${columns} from ${table} order by ${columns}`;
      expect([table, await into.em.execute(read)]).toEqual([table, await from.em.execute(read)]);
    }
  });

  it.each(['after-001', 'after-002', 'after-003'])('takes one in that was written of %s', async (name) => {
    const from = await database(gunzipSync(readFileSync(join(OLD, `${name}.sqlite.gz`))));
    const into = await database();
    await inTransaction(into.em, (prepare) => takeIn(prepare, text(from.lines()), TAKING));
    expect(into.lines().join('')).toBe(from.lines().join(''));
  });
});

it('lets others be answered while a whole practice goes out', async () => {
  const { orm } = await demoDatabase();
  const app = createApp({ orm, now: () => IMPORTED_MS, log: pino({ level: 'silent' }) });
  const headers = await signInHere(orm, 'ines');
  const going = await app.request('/api/archive', { headers });
  const reader = going.body?.getReader();
  // Between two pieces whatever else waits gets its turn.
  let [pieces, turns] = [0, 0];
  const turn = () => {
    turns += 1;
    waiting = setImmediate(turn);
  };
  let waiting = setImmediate(turn);
  while (!((await reader?.read())?.done ?? true)) pieces += 1;
  clearImmediate(waiting);
  expect(pieces).toBeGreaterThan(3);
  // The first and the last go without one.
  expect(turns).toBeGreaterThanOrEqual(pieces - 3);
});

/** Rows as tables bring them in: any practice that can be typed. */
const person = fc.constantFrom('Ada Wick', 'Bea Ö’Shea', 'Cay "C" 李');
const day = fc
  .integer({ min: 1, max: 300 })
  .map((ago) => new Date(NOW_MS - ago * DAY_MS).toISOString().slice(0, 10));
const typed = fc.array(
  fc.oneof(
    fc.record({
      kind: fc.constant('people' as const),
      row: fc.record({ person, story: fc.option(fc.string({ maxLength: 400 })) }),
    }),
    fc.record({
      kind: fc.constant('strength-tests' as const),
      row: fc.record({
        person,
        day,
        exerciseId: fc.constantFrom('knee-extension', 'leg-press'),
        side: fc.constantFrom('left', 'right', 'both'),
        loadKg: fc.double({ min: 1, max: 200, noNaN: true }),
        reps: fc.integer({ min: 1, max: 15 }),
      }),
    }),
    fc.record({
      kind: fc.constant('outcomes' as const),
      row: fc.record({
        person,
        day,
        measureId: fc.constant('body-mass'),
        limb: fc.constant(null),
        values: fc.array(fc.double({ min: 40, max: 120, noNaN: true }), { minLength: 1, maxLength: 3 }),
        setting: fc.constant(null),
        note: fc.option(fc.string({ maxLength: 200 })),
      }),
    }),
  ),
  { maxLength: 30 },
);

describe('an archive of any practice', () => {
  it('out, in and out again is the same', async () => {
    const from = await startApi();
    const into = await startApi();
    let run = 0;
    await fc.assert(
      fc.asyncProperty(typed, async (rows) => {
        run += 1;
        for (const { kind, row } of rows) {
          const named = JSON.stringify(row).replaceAll(
            /Ada Wick|Bea Ö’Shea|Cay/g,
            (name) => `${name} ${run}`,
          );
          await from.raw('POST', `/tables/${kind}?take=good&name=typed.csv`, named);
        }
        const out = await (await from.raw('GET', '/archive')).text();
        const { status } = await takeInBy(into, '/archive', out);
        expect(status).toBe(201);
        // All but the signature: each site has a key of its own.
        const bare = (file: string) => file.replace(/,"signed":\{[^}]*\}\}\n$/, '}\n');
        expect(bare(await (await into.raw('GET', '/archive')).text())).toBe(bare(out));
      }),
      { numRuns: 12 },
    );
  }, 120_000);
});

/** What is not in an archive because it follows from what is. */
const FOLLOWS = [
  { table: 'session', columns: 'id, finished_at_ms, superseded, summary, log_line' },
  { table: 'prescription', columns: 'id, exercise_id, limb, superseded' },
  ...['screening', 'day_check', 'girth', 'tightness', 'lop', 'strength_test', 'block'].map((table) => ({
    table,
    columns: 'id, superseded',
  })),
  {
    table: 'inflation_count',
    columns: 'month, limb, percent_band, minutes_band, school_id, cuff, what, count',
  },
  { table: 'client_search', columns: 'id, name, story' },
];

/** A person who was measured, signed for, trained, tested twice and held once. */
async function trainedPerson(api: Awaited<ReturnType<typeof startApi>>) {
  const person = await ready(api);
  await train(api, person, [], 3_600_000);
  const { id } = person.client;
  api.clock.nowMs += DAY_MS;
  await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['thrombosis'] });
  return id;
}

const archiveOf = async (api: Awaited<ReturnType<typeof startApi>>, id: string) =>
  (await api.raw('GET', `/archive/of/${id}`)).text();

const takeInBy = async <T>(
  api: Awaited<ReturnType<typeof startApi>>,
  path: string,
  body: string,
  matches: Record<string, string> = {},
) => {
  const asked = new URLSearchParams({ matches: JSON.stringify(matches), name: 'person.ndjson' });
  const answer = await api.raw('POST', `${path}?${asked}`, body);
  return { status: answer.status, body: (await answer.json()) as T };
};

describe('one person moved between two practices', () => {
  it('is shown before, comes whole, and is the same record there', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const id = await trainedPerson(from);
    into.clock.nowMs = from.clock.nowMs;
    const other = await into.post('/clients', { name: 'Other Person' });
    const file = await archiveOf(from, id);

    const { body: preview } = await takeInBy<ArchivePreview>(into, '/archive/preview', file);
    expect(preview.people).toMatchObject([{ clientId: id, name: 'Test Person', match: { kind: 'new' } }]);
    expect(preview.takesSettings).toBe(false);
    expect((await into.get<PeoplePage>('/clients')).people.map((one) => one.id)).toEqual([other.id]);

    await takeInBy(into, '/archive', file);
    const here = await from.get<ClientRecord>(`/clients/${id}`);
    const there = await into.get<ClientRecord>(`/clients/${id}`);
    const { holds, prescriptions, ...facts } = there.facts;
    const { holds: holdsThere, prescriptions: signedThere, ...factsThere } = here.facts;
    expect(facts).toEqual(factsThere);
    expect(await archiveOf(into, id)).toBe(file);
    // A clinician looks through it first, and signs what was signed elsewhere (START-3).
    expect(holds.map(({ rule, words }) => `${rule} ${inEnglish(words)}`)).toEqual([
      ...holdsThere.map(({ rule, words }) => `${rule} ${inEnglish(words)}`),
      'START-3 Records came from a file',
    ]);
    expect(prescriptions).toEqual(signedThere.map((one) => ({ ...one, isSignedElsewhere: true })));
    expect(there.chain[0]?.state).toBe('held');
  });

  it('is taken back as one, as long as the record was not used since', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const id = await trainedPerson(from);
    await into.post('/clients', { name: 'Other Person' });
    const counted = () => into.sql('select sum(count) as n from inflation_count');
    const before = await counted();
    const file = await archiveOf(from, id);
    await takeInBy(into, '/archive', file);
    const [list] = await into.get<ImportBatch[]>('/archive/imports');
    expect(englishOf(list)).toMatchObject({
      words: 'person.ndjson',
      practitionerId: 'clara',
      undoneAtMs: null,
    });
    await into.post(`/clients/${id}/day-checks`, WELL);
    const refused = await into.refused(`/archive/imports/${list?.id}/undo`, {});
    expect(englishOf(refused)).toMatchObject({
      status: 409,
      problem: { detail: expect.stringContaining('Test Person') },
    });

    const again = await startApi();
    await takeInBy(again, '/archive', file);
    const [second] = await again.get<ImportBatch[]>('/archive/imports');
    await again.post(`/archive/imports/${second?.id}/undo`, {});
    expect((await again.get<PeoplePage>('/clients')).total).toBe(0);
    expect(await again.sql('select count(*) as n from session_event')).toEqual([{ n: 0 }]);
    expect(await again.sql('select coalesce(sum(count), 0) as n from inflation_count')).toEqual([{ n: 0 }]);
    expect(before).toEqual([{ n: null }]);
    const audit = await again.sql("select action from audit where action like 'taken-%'");
    expect(audit.map(({ action }) => action)).toEqual(['taken-in', 'taken-back']);
    // It can come again.
    expect((await takeInBy(again, '/archive', file)).status).toBe(201);
  });

  it('names who worked there without letting them work here', async () => {
    const [from, into] = [await startApi(), await startApi()];
    await into.post('/clients', { name: 'Other Person' });
    await from.sql(
      "insert into person (id, name, role, list_order) values ('petra', 'Petra', 'clinician', 2)",
    );
    const id = await trainedPerson(from);
    await from.sql(
      `update hold set lifted_by = 'petra', lifted_at_ms = 1, lift_reason = '"x"' where client_id = '${id}'`,
    );
    await takeInBy(into, '/archive', await archiveOf(from, id));
    const { practitioners } = await into.get<{ practitioners: object[] }>('/practice');
    expect(practitioners).toContainEqual({
      id: 'petra',
      name: 'Petra',
      role: 'clinician',
      isOwner: false,
      elsewhere: true,
    });
    expect((await into.raw('POST', '/clients', '{}', 'petra' as never)).status).toBe(401);
  });

  it('brings no one who works here, though no one is here yet', async () => {
    const [from, into] = [await startApi(), await startApi()];
    await from.sql(
      "insert into person (id, name, role, list_order) values ('petra', 'Petra', 'clinician', 2)",
    );
    const id = await trainedPerson(from);
    await from.sql(`update outcome set practitioner_id = 'petra'`);
    await from.sql(`update hold set lifted_by = 'petra', lifted_at_ms = 1, lift_reason = '"x"'`);
    const { body } = await takeInBy<ArchivePreview>(into, '/archive', await archiveOf(from, id));
    expect(body.takesSettings).toBe(false);
    expect((await into.raw('POST', '/clients', '{}', 'petra' as never)).status).toBe(401);
  });

  it('brings a session in which nothing has happened yet', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const person = await ready(from);
    await from.post('/sessions', { id: SESSION_ID, prescriptionId: person.prescriptionId });
    await takeInBy(into, '/archive', await archiveOf(from, person.client.id));
    const read = (api: typeof from) => api.get<ClientRecord>(`/clients/${person.client.id}`);
    expect((await read(into)).facts.sessions).toEqual((await read(from)).facts.sessions);
    expect((await read(into)).chain.slice(1, 4)).toEqual((await read(from)).chain.slice(1, 4));
  });

  it('goes into the record of a namesake where the user says so, and adds nothing twice', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const id = await trainedPerson(from);
    const namesake = await measuredClient(into);
    const file = await archiveOf(from, id);
    const { body: preview } = await takeInBy<ArchivePreview>(into, '/archive/preview', file);
    expect(preview.people[0]?.match).toMatchObject({
      kind: 'same-name',
      people: [{ clientId: namesake.id }],
    });
    const matches = { [id]: namesake.id };
    await takeInBy(into, '/archive', file, matches);
    const { facts } = await into.get<ClientRecord>(`/clients/${namesake.id}`);
    expect(facts.sessions).toHaveLength(1);
    expect((await into.get<PeoplePage>('/clients')).total).toBe(1);
    const again = await takeInBy<ArchivePreview>(into, '/archive', file, matches);
    expect(again.body.counts.filter(({ added }) => added > 0)).toEqual([]);
  });

  it('shows what differs from what is here, and leaves it', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const id = await trainedPerson(from);
    await into.sql(`update kit set item = json_set(item, '$.widthCm', 13) where id = 'thigh-large'`);
    const { body } = await takeInBy<ArchivePreview>(into, '/archive', await archiveOf(from, id));
    expect(body.otherwise).toMatchObject([
      {
        kind: 'kit',
        words: 'thigh-large',
        here: expect.stringContaining('13'),
        there: expect.stringContaining('11.5'),
      },
    ]);
    const { cuffs } = await into.get<{ cuffs: { id: string; widthCm: number }[] }>('/practice');
    expect(cuffs.find((cuff) => cuff.id === 'thigh-large')?.widthCm).toBe(13);
  });

  it('is for clinicians', async () => {
    const api = await startApi();
    for (const [method, path] of [
      ['GET', '/archive'],
      ['GET', '/archive/of/x'],
      ['POST', '/archive'],
      ['POST', '/archive/preview'],
      ['POST', '/archive/imports/x/undo'],
    ] as const) {
      const answer = await api.raw(method, path, method === 'POST' ? '{}' : undefined, 'colin');
      expect([path, answer.status]).toEqual([path, 403]);
    }
    expect((await api.raw('GET', '/archive', undefined, 'signed-out')).status).toBe(401);
  });
});

describe('a file that is none', () => {
  const cases: [string, (lines: string[]) => string, RegExp][] = [
    ['empty', () => '', /Line 1: the file is empty/],
    ['no JSON', () => 'name,girth\nA,55', /Line 1: no archive/],
    ['another format', () => '{"format":"else"}', /Line 1: no archive/],
    ['a newer version', ([head = '']) => head.replace('"version":1', '"version":9'), /newer release/],
    ['cut short', (lines) => lines.slice(0, -3).join('\n'), /cut short/],
    ['cut in a line', (lines) => lines.join('\n').slice(0, -300), /cut short|SHA-256|fetch it again/],
    ['a line left out', (lines) => lines.filter((_, place) => place !== 1).join('\n'), /SHA-256|neither/],
    ['a letter changed', (lines) => lines.join('\n').replace('Test Person', 'Text Person'), /SHA-256/],
    ['something after the end', (lines) => [...lines, '{}'].join('\n'), /after the end/],
    ['a line too long', ([head]) => `${head}\n{"kind":"${'x'.repeat(1_100_000)}`, /longer than any line/],
    ['an unknown kind', ([head]) => `${head}\n{"kind":"secret","row":{}}`, /no kind of row/],
    ['a kind of the language', ([head]) => `${head}\n{"kind":"constructor","row":{}}`, /no kind of row/],
  ];
  it.each(cases)('%s: says what and where, and stores nothing', async (_, spoil, words) => {
    const api = await startApi();
    const id = await trainedPerson(api);
    const lines = (await archiveOf(api, id)).trimEnd().split('\n');
    const into = await startApi();
    const { status, body } = await takeInBy<{ detail: string }>(into, '/archive', spoil(lines));
    expect([status, body.detail]).toEqual([422, expect.stringMatching(words)]);
    expect(await into.sql('select count(*) as n from client')).toEqual([{ n: 0 }]);
    expect(await into.sql('select count(*) as n from audit')).toEqual([{ n: 0 }]);
  });

  it('a session with a forged plan or event is refused with its line', async () => {
    const api = await startApi();
    const id = await trainedPerson(api);
    const lines = (await archiveOf(api, id)).trimEnd().split('\n');
    const spoilt = [
      lines.map((line) => line.replace('"primingMmHg":[]', '"primingMmHg":[900]')),
      lines.map((line) => line.replace('"type":"session-started"', '"type":"session-begun"')),
    ];
    for (const forged of spoilt) {
      const { status, body } = await takeInBy<{ detail: string }>(
        await startApi(),
        '/archive',
        forged.join('\n'),
      );
      expect([status, body.detail]).toEqual([
        422,
        expect.stringMatching(/^Line \d+: this (prescription|event) is none/),
      ]);
    }
  });

  it('a session that belongs to the record of another person is refused', async () => {
    const [from, into] = [await startApi(), await startApi()];
    const id = await trainedPerson(from);
    const file = await archiveOf(from, id);
    await takeInBy(into, '/archive', file);
    const [other, session] = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'];
    const lines = file.trimEnd().split('\n');
    const renamed = lines
      .filter((line) => /^\{"kind":"(client|session)"/.test(line))
      .map((line) =>
        line
          .replaceAll(id, other)
          .replace(/"row":\{"id":"[^"]+","clientId"/, `"row":{"id":"${session}","clientId"`),
      );
    const { status, body } = await takeInBy<{ detail: string }>(
      into,
      '/archive',
      [lines[0], ...renamed].join('\n'),
    );
    expect([status, body.detail]).toEqual([
      422,
      expect.stringMatching(/belongs to the record of another person/),
    ]);
  });

  it('mutated in any way is imported whole or refused, and never breaks the server', async () => {
    const api = await startApi();
    const file = await archiveOf(api, await trainedPerson(api));
    const into = await startApi();
    const runs = attackRuns(30);
    await fc.assert(
      fc.asyncProperty(mutation, async (mutate) => {
        const { status } = await takeInBy(into, '/archive/preview', mutate(file));
        expect([200, 422]).toContain(status);
      }),
      { numRuns: runs },
    );
    expect(await into.sql('select count(*) as n from client')).toEqual([{ n: 0 }]);
  }, 3_600_000);
});

/** A file with letters put in, cut out, doubled or moved. */
const mutation = fc
  .array(
    fc.record({
      at: fc.double({ min: 0, max: 1, noNaN: true }),
      length: fc.nat(40),
      put: fc.oneof(
        fc.string(),
        fc.constantFrom('"', '{', '}', '\u0000', '\n', '\\ud800', '-1e308', 'null', '[]'),
      ),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map(
    (cuts) => (text: string) =>
      cuts.reduce((now, { at, length, put }) => {
        const place = Math.floor(at * now.length);
        return now.slice(0, place) + put + now.slice(place + length);
      }, text),
  );

describe('the JSON Schema of a line', () => {
  it('is in docs as the server checks by it now', () => {
    const written = readFileSync(join(import.meta.dirname, '../../../docs/archive.schema.json'), 'utf8');
    expect(JSON.parse(written)).toEqual(JSON.parse(JSON.stringify(archiveJsonSchema())));
  });
});

describe('what counts now after a deletion', () => {
  it('is what the triggers would have kept', async () => {
    const from = await demo();
    const read = () => from.em.execute(`${NOW_COUNTS} order by 1, 2`);
    const kept = await read();
    const clients = (await from.em.execute('select id from client')) as { id: string }[];
    await inTransaction(from.em, (prepare) => {
      for (const { id } of clients) recountSuperseded(prepare, id);
    });
    expect(await read()).toEqual(kept);
  });
});

const NOW_COUNTS = [
  'screening',
  'day_check',
  'girth',
  'lop',
  'strength_test',
  'prescription',
  'block',
  'session',
]
  .map((table) => `select '${table}' as t, id, superseded from ${table}`)
  .join(' union all ');

describe('what a file claims is compared, and let in by the roles of a screen (START-3)', () => {
  /** The archive of a person who is ready to train, with lines changed. */
  async function forged(change: (line: { kind?: string; row?: Record<string, unknown> }) => unknown) {
    const from = await startApi();
    const person = await ready(from);
    const lines = (await archiveOf(from, person.client.id)).trimEnd().split('\n').slice(0, -1);
    const changed = lines.flatMap((line) => {
      const made = change(JSON.parse(line));
      return [made].flat().map((one) => `${JSON.stringify(one)}\n`);
    });
    const end = { rows: changed.length - 1, sha256: sha256(changed.join('')) };
    return { id: person.client.id, file: `${changed.join('')}${JSON.stringify({ end })}\n` };
  }
  const of =
    (kind: string, change: (row: Record<string, unknown>) => Record<string, unknown>) =>
    (line: { kind?: string; row?: Record<string, unknown> }) =>
      line.kind === kind && line.row ? { ...line, row: change(line.row) } : line;
  const refusedTo = async (file: string, who: Who) => {
    const into = await startApi();
    const answer = await into.raw('POST', '/archive?name=x', file, who);
    expect((await into.sql('select count(*) as n from client'))[0]?.n).toBe(0);
    return [answer.status, ((await answer.json()) as { detail: string }).detail];
  };

  it('refuses an LOP of 280 whose own trials say 174, and one that is surer than they are', async () => {
    const high = await forged(of('occlusion-pressure', (row) => ({ ...row, pressureMmHg: 280 })));
    expect(await refusedTo(high.file, 'clara')).toEqual([
      422,
      expect.stringContaining('its own trials make 174'),
    ]);
    const sure = await forged(of('occlusion-pressure', (row) => ({ ...row, uncertaintyMmHg: 1 })));
    expect(await refusedTo(sure.file, 'clara')).toEqual([422, expect.stringContaining('says ± 1 mmHg')]);
  });

  it('refuses an owner without the role a clearance, a standard exercise, a cuff and a lifted hold', async () => {
    const { id, file } = await forged((line) => line);
    const clearanceRow = {
      kind: 'clearance',
      row: {
        id: 'c',
        clientId: id,
        atMs: NOW_MS,
        clearance: {
          subjects: ['thrombosis'],
          givenBy: 'Dr Unknown',
          byPhysician: true,
          givenAtMs: NOW_MS,
          untilMs: null,
          maxPercentLop: 80,
          limbs: ['left-thigh'],
          modes: [],
          highestRung: null,
          ranges: [],
          note: '',
        },
      },
    };
    // Her own kit comes along: an owner who is an assistant brings none of it.
    expect(await refusedTo(file, 'olga')).toEqual([422, expect.stringContaining('Only a clinician')]);
    const withClearance = await forged((line) =>
      line.kind === 'kit' ? [] : line.kind === 'consent' ? [clearanceRow, line] : line,
    );
    expect((await refusedTo(withClearance.file, 'olga'))[0]).toBe(422);
  });

  it('opens nothing: not by a copy without its holds, nor on a signature of elsewhere', async () => {
    const { id, file } = await forged((line) => (line.kind === 'hold' ? [] : line));
    const into = await startApi();
    await into.post('/clients', { name: 'Other Person' });
    await takeInBy(into, '/archive', file);
    const open = async () => {
      const { facts } = await into.get<ClientRecord>(`/clients/${id}`);
      const prescriptionId = facts.prescriptions[0]?.id;
      return into.refused('/sessions', { id: SESSION_ID, prescriptionId, overrideReason: 'I insist' });
    };
    await into.post(`/clients/${id}/day-checks`, WELL);
    expect((await open()).problem.detail).toContain('Records came from a file');
    const { facts } = await into.get<ClientRecord>(`/clients/${id}`);
    for (const hold of facts.holds)
      await into.post(`/clients/${id}/holds/${hold.id}/lift`, { reason: 'Looked through with them' });
    const refused = await open();
    expect([refused.status, refused.problem.detail]).toEqual([
      422,
      expect.stringContaining('signed elsewhere'),
    ]);
    await into.post(`/clients/${id}/prescriptions`, {
      ...prescriptionFor(await into.get<ClientRecord>(`/clients/${id}`)),
      signedFor: { kind: 'next-version', coursePlanId: facts.coursePlans[0]?.id },
    });
    const signed = (await into.get<ClientRecord>(`/clients/${id}`)).facts.prescriptions[0]?.id;
    expect((await into.call('POST', '/sessions', { id: SESSION_ID, prescriptionId: signed })).status).toBe(
      201,
    );
  });

  describe('a move of a whole practice into an empty site', () => {
    const moved = async (change: (file: string) => string, movedFrom: (key: string) => string) => {
      const { api: from, made: person } = await startAfter(ready);
      const { fingerprint } = await from.get<SiteFingerprint>('/archive/site-key');
      const file = change(await (await from.raw('GET', '/archive')).text());
      const into = await startApi();
      const asked = new URLSearchParams({ movedFrom: movedFrom(fingerprint) });
      const answer = await into.raw('POST', `/archive?${asked}`, file);
      const body = (await answer.json()) as ArchivePreview & { detail: string };
      return { into, person, status: answer.status, body };
    };
    const signedElsewhere = async (into: Api, { client }: Ready) =>
      (await into.get<ClientRecord>(`/clients/${client.id}`)).facts.prescriptions.map(
        ({ isSignedElsewhere }) => isSignedElsewhere === true,
      );

    it('brings what was signed where its key was compared, and opens nothing before it was looked through', async () => {
      const { into, person, status, body } = await moved(
        (file) => file,
        (key) => key.toUpperCase().replaceAll(' ', '-'),
      );
      expect([status, body.isMove]).toEqual([201, true]);
      expect(await signedElsewhere(into, person)).toEqual([false]);
      const open = { id: SESSION_ID, prescriptionId: person.prescriptionId };
      const { problem } = await into.refused('/sessions', open);
      expect(problem.detail).toContain('Records came from a file');
    });

    it('is a file like any other where its key was not compared', async () => {
      const { into, person, status, body } = await moved(
        (file) => file,
        () => '',
      );
      expect([status, body.isMove, body.signedBy]).toEqual([
        201,
        false,
        expect.stringMatching(/^(\w{4} ){4}\w{4}$/),
      ]);
      expect(await signedElsewhere(into, person)).toEqual([true]);
    });

    const lastLine = (file: string) => file.trimEnd().split('\n').at(-1) ?? '';
    const unsigned = (file: string) => {
      const { end } = JSON.parse(lastLine(file));
      return file.replace(lastLine(file), JSON.stringify({ end }));
    };
    it.each([
      ['not signed', unsigned, (key: string) => key, 'it is signed by no site'],
      [
        'another site has signed',
        (file: string) => file,
        () => '0000 1111 2222 3333 4444',
        'not by 0000 1111',
      ],
      [
        'is not as it was signed',
        (file: string) => forgedEnd(file),
        (key: string) => key,
        'signature is not of this file',
      ],
    ])('is refused where %s it', async (_, change, movedFrom, words) => {
      const { status, body } = await moved(change, movedFrom);
      expect([status, body.detail]).toEqual([422, expect.stringContaining(words)]);
    });

    /** A file with another name in it and its sum made again, under the old signature. */
    function forgedEnd(file: string): string {
      const lines = file.trimEnd().split('\n').slice(0, -1);
      const changed = lines.map((line) => line.replace('Test Person', 'Test Other'));
      const text = `${changed.join('\n')}\n`;
      const { end, signed } = JSON.parse(lastLine(file));
      return `${text}${JSON.stringify({ end: { ...end, sha256: sha256(text) }, signed })}\n`;
    }
  });

  it('takes a letter of an earlier release as one that limits neither rung nor range', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    const given = {
      subjects: ['diabetes'],
      givenBy: 'Dr Test',
      byPhysician: true,
      givenAtMs: api.clock.nowMs,
      untilMs: null,
      maxPercentLop: 60,
      limbs: [],
      modes: [],
      note: '',
    };
    await api.post(`/clients/${id}/clearances`, given);
    const lines = (await archiveOf(api, id)).trimEnd().split('\n').slice(0, -1);
    const earlier = lines.map((line) => line.replace('"highestRung":null,', '').replace('"ranges":[],', ''));
    expect(earlier.join('')).not.toContain('"ranges":[]');
    const text = `${earlier.join('\n')}\n`;
    const end = { end: { rows: earlier.length - 1, sha256: sha256(text) } };
    const into = await startApi();
    expect((await takeInBy(into, '/archive', `${text}${JSON.stringify(end)}\n`)).status).toBe(201);
    const { facts } = await into.get<ClientRecord>(`/clients/${id}`);
    expect(facts.clearances).toMatchObject([{ maxPercentLop: 60, highestRung: null, ranges: [] }]);
  });

  it('reads what earlier releases called otherwise under the names of now', async () => {
    const from = await startApi();
    const id = await trainedPerson(from);
    await from.post(`/clients/${id}/adverse-events`, {
      id: newId(),
      sessionId: null,
      atMs: from.clock.nowMs - 1_000,
      what: 'Bruise',
      done: 'Ice',
      outcome: '',
      notified: 'The client',
    });
    const file = await archiveOf(from, id);
    const rows = file.trimEnd().split('\n').slice(0, -1);
    const earlier = rows.map((line) => `${line.replace('"notified":', '"told":')}\n`).join('');
    expect(earlier).toContain('"told":"The client"');
    const end = { end: { rows: rows.length - 1, sha256: sha256(earlier) } };
    const into = await startApi();
    expect((await takeInBy(into, '/archive', `${earlier}${JSON.stringify(end)}\n`)).status).toBe(201);
    expect(await into.sql('select notified from adverse_event')).toEqual([{ notified: 'The client' }]);
    expect(withPresentNames('session-attempt', { id: 'a', answer: { seed: 1, deeds: [] } })).toEqual({
      id: 'a',
      answer: { seed: 1, actions: [] },
    });
    expect(
      withPresentNames('event', { event: { type: 'beside-noted', what: 'ice' }, receivedAtMs: 1 }),
    ).toEqual({
      event: { type: 'adjunct-noted', what: 'ice' },
      receivedAtMs: 1,
    });
  });

  it('adds no event to a session that is on record here', async () => {
    const from = await startApi();
    const id = await trainedPerson(from);
    const file = await archiveOf(from, id);
    const into = await startApi();
    await takeInBy(into, '/archive', file);
    const lines = file.trimEnd().split('\n').slice(0, -1);
    const last = lines.findLast((line) => line.includes('"cuff-inflated"')) ?? '';
    const more = last
      .replace(/"id":"[^"]*"/, `"id":"${newId()}"`)
      .replace(/"pressureMmHg":\d+/, '"pressureMmHg":400')
      .replace(/"seq":\d+/, '"seq":999');
    const at = lines.indexOf(last);
    const grown = [...lines.slice(0, at + 1), more, ...lines.slice(at + 1)]
      .map((line) => `${line}\n`)
      .join('');
    const end = `${JSON.stringify({ end: { rows: lines.length, sha256: sha256(grown) } })}\n`;
    const answer = await into.raw('POST', '/archive?name=x', grown + end, 'clara');
    expect([answer.status, ((await answer.json()) as { detail: string }).detail]).toEqual([
      422,
      expect.stringContaining('on record here'),
    ]);
  });
});
