import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { pino } from 'pino';
import { describe, expect, it, onTestFinished } from 'vitest';
import type { AuditCheck } from '#contract/audit';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { SessionView } from '#contract/session';
import { doseOf, plannedKg } from '#core/plan';
import { correctedReps, fold, liveTimeline, mergeLogs } from '#core/session';
import { inEnglish } from '#language/render';
import { signInNew } from '../access/sign-in.fixture';
import { createApp } from '../app';
import { openDatabase } from './database';

// `old/after-NNN.sqlite.gz` is the demo practice as it was written by the release whose newest migration was NNN, and
// `after-NNN.records.json` what that release itself folded its sessions to.
type OldRecord = {
  id: string;
  exercises: { label: string; pressures: [string, number][]; loadKg: number | null }[];
  sets: { reps: number; effort: number | null }[];
  dose: {
    occludedMs: number;
    volumeKgReps: number;
    limbs: {
      limb: string;
      totalOcclusionMs: number;
      longestContinuousMs: number;
      percentLopMin: number | null;
    }[];
  };
};

const OLD = join(import.meta.dirname, 'old');

async function openOld(name: string) {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-old-'));
  const file = join(folder, 'old.sqlite');
  writeFileSync(file, gunzipSync(readFileSync(join(OLD, `${name}.sqlite.gz`))));
  const orm = await openDatabase(file);
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const signedIn = await signInNew(orm);
  const app = createApp({ orm, now: () => Date.now(), log: pino({ level: 'silent' }) });
  return {
    orm,
    get: async <T>(path: string): Promise<T> => {
      const answer = await app.request(`/api${path}`, { headers: signedIn });
      expect([path, answer.status]).toEqual([path, 200]);
      return (await answer.json()) as T;
    },
  };
}

function recordOf({ id, plan, events }: SessionView): OldRecord {
  const state = fold(plan, mergeLogs(events));
  const dose = doseOf(liveTimeline(plan, state, state.finishedAtMs ?? 0));
  return {
    id,
    exercises: plan.exercises.map(({ label, limbs, load }) => ({
      label: inEnglish(label),
      pressures: limbs.map((target) => [target.limb, target.kind === 'measured' ? target.pressure.value : 0]),
      loadKg: plannedKg(load),
    })),
    sets: state.sets.map((set) => ({ reps: correctedReps(set), effort: set.effort })),
    dose: {
      occludedMs: dose.occludedMs,
      volumeKgReps: dose.volumeKgReps,
      limbs: dose.limbs.map((one) => ({
        limb: one.limb,
        totalOcclusionMs: one.totalOcclusionMs,
        longestContinuousMs: one.longestContinuousMs,
        percentLopMin: one.relativePressureTimePercentLopMin,
      })),
    },
  };
}

describe.each(['after-001', 'after-002', 'after-003'])('a database %s', (name) => {
  const records = JSON.parse(readFileSync(join(OLD, `${name}.records.json`), 'utf8')) as OldRecord[];

  it('opens, and its sessions fold to the same record as before, with the plans they were run by', async () => {
    const { get } = await openOld(name);
    expect(records.length).toBeGreaterThan(2);
    for (const record of records) {
      expect(recordOf(await get<SessionView>(`/sessions/${record.id}`))).toEqual(record);
    }
  });

  it('shows everyone, what was signed for them, and what is in the way', async () => {
    const { get } = await openOld(name);
    const { people, total } = await get<PeoplePage>('/clients');
    expect([people.length > 3, total]).toEqual([true, people.length]);
    for (const { id } of people) {
      const { facts, chain } = await get<ClientRecord>(`/clients/${id}`);
      expect(chain).toHaveLength(6);
      for (const { plan } of facts.prescriptions) {
        for (const target of plan.exercises.flatMap(({ limbs }) => limbs)) {
          if (target.kind === 'measured') expect(target.pressure.value).toBeGreaterThan(20);
        }
      }
    }
    expect(await get('/practice')).toMatchObject({ practitioners: expect.any(Array) });
  });

  it('loses no row on its way', async () => {
    const { orm } = await openOld(name);
    const [events] = await orm.em.getConnection().execute('select count(*) as n from session_event');
    const [signed] = await orm.em.getConnection().execute('select count(*) as n from prescription');
    const counts = {
      'after-001': [63, 3],
      'after-002': [207, 5],
      'after-003': [258, 5],
    }[name];
    expect([events?.n, signed?.n]).toEqual(counts);
  });

  it('has an audit that is chained from its first entry on, and takes no change', async () => {
    const { get, orm } = await openOld(name);
    const { rows, broken } = await get<AuditCheck>('/audit/check');
    expect([rows > 10, broken]).toEqual([true, null]);
    const change = orm.em.getConnection().execute("update audit set subject = 'nobody' where id = 1");
    await expect(change).rejects.toThrow(/append-only/);
  });
});
