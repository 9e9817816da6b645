import { Migration } from '@mikro-orm/migrations';

/**
 * Outcomes: what was measured of people, adverse events, each finished session in one line, so that a log of years is read
 * without a log of events, and what was seen with inflations, counted. Lines of older sessions are made once by `fillOld`.
 */
export class Outcomes extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  'alter table session add column log_line text null',
  `create table outcome (
     id text not null primary key, client_id text not null references client (id), measure_id text not null, limb text null,
     setting text not null, at_ms integer not null, repeats text not null, value real not null, note text not null,
     practitioner_id text not null, withdrawn text null)`,
  'create index outcome_client on outcome (client_id, at_ms)',
  'create index outcome_measure on outcome (measure_id, at_ms) where withdrawn is null',
  `create table adverse_event (
     id text not null primary key, client_id text not null references client (id), session_id text null references session (id),
     at_ms integer not null, what text not null, done text not null, outcome text not null, told text not null,
     practitioner_id text not null, written_at_ms integer not null)`,
  'create index adverse_event_client on adverse_event (client_id, at_ms)',
  // A report as it was issued: it says the same for ever.
  `create table report (
     id text not null primary key, client_id text not null references client (id), at_ms integer not null, content text not null,
     practitioner_id text not null)`,
  'create index report_client on report (client_id, at_ms)',
  // Inflations and what was seen with them, counted up as sessions finish: nobody's name is in it.
  `create table inflation_count (
     month text not null, limb text not null, percent_band text not null, minutes_band text not null, school_id text not null,
     cuff text not null, what text not null, count integer not null,
     primary key (month, limb, percent_band, minutes_band, school_id, cuff, what)) without rowid`,
  // Who has trained lately, without looking at who has not.
  'create index session_newest on session (opened_at_ms) where superseded = 0',
  'create index session_log on session (client_id, opened_at_ms) where finished_at_ms is not null',
];
