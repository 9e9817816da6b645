import { Migration } from '@mikro-orm/migrations';

/**
 * Several plans in force for one person: each signed version is one of a plan with a name, and takes the place of its own
 * earlier version only. What was signed before is the versions of one plan, named after its limb. Heavy work, the ladder, and
 * the clock of a demonstration.
 */
export class SeveralPlans extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table course_plan (
     id text not null primary key, client_id text not null references client (id), name text not null, occasion text not null,
     state text not null, until_ms integer null)`,
  "create index course_plan_client on course_plan (client_id) where state <> 'ended'",
  `insert into course_plan (id, client_id, name, occasion, state, until_ms)
     select id, client_id, upper(substr(limb, 1, 1)) || replace(substr(limb, 2), '-', ' '), '{"kind":"any-day"}', 'in-force', null
     from prescription where superseded = 0`,
  `alter table prescription add column course_plan_id text references course_plan (id)`,
  `alter table prescription add column changes text not null default '[]'`,
  `update prescription set course_plan_id = (
     select course_plan.id from course_plan where course_plan.client_id = prescription.client_id)`,
  'drop trigger prescription_supersedes',
  'drop index prescription_now',
  'create index prescription_now on prescription (client_id) where superseded = 0',
  'create index prescription_course_plan on prescription (course_plan_id, at_ms)',
  `create trigger prescription_supersedes after insert on prescription begin
     update prescription set superseded = 1
       where course_plan_id = new.course_plan_id and superseded = 0 and id <> new.id and at_ms <= new.at_ms;
     update prescription set superseded = 1
       where id = new.id and exists (
         select 1 from prescription as other
         where other.course_plan_id = new.course_plan_id and other.superseded = 0 and other.id <> new.id);
   end`,
  // A block schedules plans, not bare days.
  'alter table programme rename column days to sessions',
  `create table heavy_work (
     id text not null primary key, client_id text not null references client (id), at_ms integer not null, exercise_id text not null,
     side text not null, sets integer not null, reps integer not null, load_kg real not null, effort integer null,
     practitioner_id text not null)`,
  'create index heavy_work_client on heavy_work (client_id, at_ms)',
  `create table rung_check (
     id text not null primary key, client_id text not null references client (id), limb text not null, at_ms integer not null,
     practitioner_id text not null, answers text not null, rung text not null, reason text null)`,
  'create index rung_check_client on rung_check (client_id, at_ms)',
  // How far a demonstration's clock was moved on; an ordinary practice has no way to.
  'alter table practice add column clock_ahead_ms integer not null default 0',
];
