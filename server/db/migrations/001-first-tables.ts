import { Migration } from '@mikro-orm/migrations';

/** The tables of the first release. Event log and audit refuse to be changed or emptied. */
export class FirstTables extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table practice (
    id text primary key, name text not null, school_id text not null,
    mass_unit text not null check (mass_unit in ('kg', 'lb')),
    length_unit text not null check (length_unit in ('cm', 'in')), stricter text not null
  ) strict`,
  `create table person (
    id text primary key, name text not null, role text not null check (role in ('clinician', 'coach')),
    list_order integer not null
  ) strict`,
  `create table kit (
    id text primary key, list text not null check (list in ('cuffs', 'pumps', 'weightKits', 'straps')),
    item text not null, retired_at_ms integer
  ) strict`,
  `create table client (
    id text primary key, name text not null, story text not null, shelf_life text not null,
    added_at_ms integer not null
  ) strict`,
  `create table screening (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    version integer not null, yes text not null, blood_pressures text not null, note text not null
  ) strict`,
  `create index screening_client on screening (client_id)`,
  `create table clearance (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    clearance text not null
  ) strict`,
  `create index clearance_client on clearance (client_id)`,
  `create table day_check (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    answers text not null
  ) strict`,
  `create index day_check_client on day_check (client_id)`,
  `create table girth (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    limb text not null, girth_cm real not null check (girth_cm > 0),
    kind text not null check (kind in ('cuff', 'strap')), kit_id text not null references kit (id),
    label text not null, width_cm real not null
  ) strict`,
  `create index girth_client on girth (client_id)`,
  `create table tightness (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    limb text not null, strap_id text not null references kit (id), strap_label text not null,
    mark real not null, felt integer not null check (felt between 0 and 10)
  ) strict`,
  `create index tightness_client on tightness (client_id)`,
  `create table lop (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    limb text not null, position text not null, cuff_id text not null references kit (id),
    cuff_label text not null, width_cm real not null, girth_cm real not null, method text not null,
    site text not null, pump_id text not null references kit (id), division_mm_hg integer not null, reading_school text not null,
    pressure_mm_hg real not null check (pressure_mm_hg between 20 and 300), pressure text not null,
    uncertainty_mm_hg integer not null, steady integer not null, trials_used integer not null
  ) strict`,
  `create index lop_client on lop (client_id)`,
  `create table lop_trial (
    id text primary key, lop_id text not null references lop (id), place integer not null, readings text not null
  ) strict`,
  `create index lop_trial_lop on lop_trial (lop_id)`,
  `create table lop_quick_check (
    id text primary key, client_id text not null references client (id), lop_id text not null references lop (id),
    at_ms integer not null, gone_mm_hg real not null
  ) strict`,
  `create index lop_quick_check_client on lop_quick_check (client_id)`,
  `create table practice_attempt (
    id text primary key, practitioner_id text not null references person (id), at_ms integer not null,
    seed integer not null, error_mm_hg real not null, points integer not null, answer text not null
  ) strict`,
  `create index practice_attempt_practitioner on practice_attempt (practitioner_id)`,
  `create table strength_test (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    exercise_id text not null, side text not null, load_kg real not null, reps integer not null,
    one_rep_max_kg real not null, one_rep_max text not null
  ) strict`,
  `create index strength_test_client on strength_test (client_id)`,
  `create table prescription (
    id text primary key, client_id text not null references client (id), at_ms integer not null,
    signed_by text not null references person (id), occlusion_id text not null references lop (id),
    strength_test_id text not null references strength_test (id), side text not null, exercise_id text not null,
    limb text not null, pressure_mm_hg real not null, load_kg real not null, plan text not null,
    findings text not null, override_reason text
  ) strict`,
  `create index prescription_client on prescription (client_id)`,
  `create table session (
    id text primary key, client_id text not null references client (id),
    prescription_id text not null references prescription (id), opened_at_ms integer not null,
    finished_at_ms integer, plan text not null
  ) strict`,
  `create index session_client on session (client_id)`,
  `create table session_event (
    id text primary key, session_id text not null references session (id), device_id text not null,
    seq integer not null, at_ms integer not null, type text not null, event text not null,
    received_at_ms integer not null, practitioner_id text not null references person (id),
    unique (session_id, device_id, seq)
  ) strict`,
  `create table audit (
    id integer primary key autoincrement, at_ms integer not null, practitioner_id text not null,
    action text not null, subject text not null, detail text not null
  ) strict`,
  ...['session_event', 'audit'].flatMap((table) =>
    ['update', 'delete'].map(
      (change) =>
        `create trigger ${table}_no_${change} before ${change} on ${table}
         begin select raise(abort, '${table} is append-only'); end`,
    ),
  ),
];
