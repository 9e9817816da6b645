import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { expect, it, onTestFinished } from 'vitest';
import { compile, readPlan } from '#core/plan';
import { pacedReps } from '#core/protocol';
import { englishOf } from '#language/english-of.fixture';
import { prescriptionRecord } from '../../record/prescription';
import { ENTITIES } from '../../record/records';
import { sessionRecord } from '../../record/session';
import { openDatabase } from '../database';
import { FirstTables } from './001-first-tables';

// A plan as the first release froze it, cut to what a session needs.
const OLD_PLAN = {
  schoolId: 'research-consensus',
  gaugeDivisionMmHg: 2,
  exercises: [
    {
      exerciseId: 'knee-extension',
      label: 'Knee extension',
      cue: '',
      position: 'sitting',
      limbs: [
        {
          limb: 'left-thigh',
          cuffId: 'cuff',
          cuffLabel: 'Cuff',
          occlusion: { value: 174, unit: 'mmHg', working: [], rules: [] },
          uncertaintyMmHg: 5,
          measuredPosition: 'sitting',
          percentLop: 60,
          pressure: { value: 104, unit: 'mmHg', working: [], rules: [] },
          trueRange: { value: 59.8, unit: '%LOP', working: [], rules: [] },
        },
      ],
      oneRepMax: { value: 40, unit: 'kg', working: [], rules: [] },
      load: { value: 10, unit: 'kg', working: [], rules: [] },
      loadRecipe: 'pin at 10 kg',
      trueLoadPercent: 25,
      protocolId: 'standard-75',
      protocolLabel: 'Standard 75',
      reps: [30, 15, 15, 15],
      restMs: 30_000,
      inflation: 'continuous',
      reinflateLeadMs: 0,
      tempoId: '1-0-1',
      tempo: { upMs: 1000, holdMs: 0, downMs: 1000 },
    },
  ],
};

const ROWS = [
  `insert into person values ('clara', 'Clara', 'clinician', 0)`,
  `insert into kit values ('cuff', 'cuffs', '{}', null), ('pump', 'pumps', '{}', null)`,
  `insert into client values ('c', 'Old Hand', '', '4-weeks', 1)`,
  `insert into lop values ('lop', 'c', 1, 'left-thigh', 'sitting', 'cuff', 'Cuff', 11.5, 54, 'doppler',
    'posterior-tibial', 'pump', 2, 'bracket', 174, '{}', 5, 1, 2)`,
  `insert into strength_test values ('test', 'c', 1, 'knee-extension', 'left', 30, 8, 40, '{}')`,
  `insert into prescription values ('rx', 'c', 1, 'clara', 'lop', 'test', 'left', 'knee-extension', 'left-thigh',
    104, 10, '${JSON.stringify(OLD_PLAN)}', '[]', null)`,
  `insert into session values ('s', 'c', 'rx', 2, null, '${JSON.stringify(OLD_PLAN)}')`,
];

it('turns plans of the first release into plans of sets, losing nothing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-old-'));
  const file = join(folder, 'old.sqlite');
  const old = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: [{ name: '001-first-tables', class: FirstTables }],
      snapshot: false,
      silent: true,
    },
  });
  await old.getMigrator().up();
  for (const row of ROWS) await old.em.getConnection().execute(row);
  await old.close();

  const orm = await openDatabase(file);
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const em = orm.em.fork();
  const { plan: stored } = await em.findOneOrFail(prescriptionRecord.entity, { id: 'rx' });
  expect((await em.findOneOrFail(sessionRecord.entity, { id: 's' })).plan).toEqual(stored);
  const plan = readPlan(stored);
  const [exercise] = plan.exercises;
  expect(exercise?.sets.map(({ work, lastsMs }) => [pacedReps(work), lastsMs])).toEqual([
    [30, 60_000],
    [15, 30_000],
    [15, 30_000],
    [15, 30_000],
  ]);
  expect(englishOf(exercise?.load)).toMatchObject({
    kind: 'weighed',
    testId: 'test',
    testedSide: 'left',
    oneRepMax: { value: 40 },
    weightKitId: null,
  });
  expect(englishOf(exercise?.limbs[0])).toMatchObject({
    kind: 'measured',
    occlusionId: 'lop',
    divisionMmHg: 2,
  });
  // The same timeline as it had: 20 s settling, 75 × 2 s, three rests of 30 s.
  expect(compile(plan).lanes[0]?.inflations.map(({ toMs }) => toMs)).toEqual([260_000]);
});
