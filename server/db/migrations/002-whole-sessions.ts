import { Migration } from '@mikro-orm/migrations';

/**
 * Sessions of several exercises: a plan names its own measurements and describes each set, so a prescription no longer
 * has columns for one of each. Adds the practice's own exercises, templates and blocks of training.
 */
export class WholeSessions extends Migration {
  override async up(): Promise<void> {
    const prescriptions = (await this.execute(
      'select id, plan, occlusion_id, strength_test_id, side from prescription',
    )) as OldPrescription[];
    const sessions = (await this.execute('select id, prescription_id, plan from session')) as OldSession[];
    for (const row of prescriptions) {
      await this.execute('update prescription set plan = ? where id = ?', [
        upgradePlan(row.plan, row),
        row.id,
      ]);
    }
    for (const { id, prescription_id, plan } of sessions) {
      const signed = prescriptions.find((row) => row.id === prescription_id);
      if (signed)
        await this.execute('update session set plan = ? where id = ?', [upgradePlan(plan, signed), id]);
    }
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

type OldPrescription = {
  id: string;
  plan: string;
  occlusion_id: string;
  strength_test_id: string;
  side: string;
};
type OldSession = { id: string; prescription_id: string; plan: string };
type OldExercise = {
  reps: number[];
  restMs: number;
  inflation: string;
  tempo: { upMs: number; holdMs: number; downMs: number };
  oneRepMax: unknown;
  limbs: object[];
  trueLoadPercent: number;
};

/** A plan of the first release, one exercise with one rest and one way to inflate, as a plan of sets. */
function upgradePlan(json: string, from: OldPrescription): string {
  const plan = JSON.parse(json) as { exercises: OldExercise[] };
  const exercises = plan.exercises.map(({ reps, restMs, inflation, oneRepMax, limbs, ...exercise }) => {
    const { upMs, holdMs, downMs } = exercise.tempo;
    return {
      ...exercise,
      mode: 'resistance',
      limbs: limbs.map((limb) => ({
        ...limb,
        occlusionId: from.occlusion_id,
        byFeel: null,
        primingMmHg: [],
      })),
      // Which kit was loaded was not kept; the next draft chooses one anew.
      strength: {
        testId: from.strength_test_id,
        side: from.side,
        oneRepMax,
        percentOneRepMax: exercise.trueLoadPercent,
        weightKitId: '',
      },
      sets: reps.map((count, place) => ({
        reps: count,
        workMs: count * (upMs + holdMs + downMs),
        restMs: place === reps.length - 1 ? 60_000 : restMs,
        release: place === reps.length - 1 || inflation === 'release-each-rest',
        untilFailure: false,
      })),
    };
  });
  return JSON.stringify({ goal: 'size', ...plan, exercises });
}

const STATEMENTS = [
  "alter table practice add column phone text not null default ''",
  'alter table prescription drop column occlusion_id',
  'alter table prescription drop column strength_test_id',
  'alter table prescription drop column side',
  `create table exercise (id text primary key, exercise text not null, retired_at_ms integer) strict`,
  `create table template (
    id text primary key, name text not null, session text not null,
    kept_by text not null references person (id), kept_at_ms integer not null, retired_at_ms integer
  ) strict`,
  `create table programme (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    kept_by text not null references person (id), wish text not null, days text not null, override_reason text
  ) strict`,
  `create index programme_client on programme (client_id)`,
];
