import type { ArchiveKind } from '#contract/archive-rows';
import { ARCHIVE_ROWS } from '#contract/archive-rows';
import { type Plan, readPlan } from '#core/plan';
import type { SessionEvent } from '#core/session';
import { NOTHING_DONE } from '../../db/session-log';

type Row = Record<string, unknown>;

/** Where rows of a kind are kept. */
export type ArchivedTable = {
  table: string;
  /** Columns kept as JSON text. */
  json?: readonly string[];
  /** Columns kept as 0 or 1. */
  flags?: readonly string[];
  /** Which rows go with one person, as a condition on `?1`; none go where there is none. */
  ofClient?: string;
  /** Which rows go at all, where some do not. */
  only?: string;
  /** Order in which rows were written, so that of two of the same moment the same one counts after an import. */
  order: string;
  /** Columns that follow from others, and are not in the archive. */
  follows?: (row: Row) => Row;
};

const CLIENTS = 'client_id = ?1';
const EVENTS_OF = 'session_id in (select id from session where client_id = ?1)';
const byTime = { ofClient: CLIENTS, order: 'at_ms, rowid' };

const clientsOf = (column: string, table: string) => `select ${column} from ${table} where ${CLIENTS}`;
const oneOf = (...selects: string[]) => `id in (${selects.join(' union ')})`;
/** Whether a plan of the person names what the row is. */
const inAPlan = (table: string) =>
  `exists (select 1 from prescription where ${CLIENTS} and instr(plan, '"' || ${table}.id || '"') > 0)`;

const WHO_WORKED = oneOf(
  clientsOf('signed_by', 'prescription'),
  clientsOf('kept_by', 'block'),
  clientsOf('lifted_by', 'hold'),
  clientsOf('ended_by', 'condition'),
  ...['rung_check', 'heavy_work', 'outcome', 'comparison', 'adverse_event', 'report', 'retraction'].map(
    (table) => clientsOf('practitioner_id', table),
  ),
  `select practitioner_id from session_event where ${EVENTS_OF}`,
);
const WHAT_WAS_USED = `${oneOf(
  clientsOf('kit_id', 'girth'),
  clientsOf('strap_id', 'tightness'),
  clientsOf('cuff_id', 'lop'),
  clientsOf('pump_id', 'lop'),
)} or ${inAPlan('kit')}`;
const WHAT_WAS_TRAINED = `${oneOf(clientsOf('exercise_id', 'strength_test'), clientsOf('exercise_id', 'heavy_work'))}
  or ${inAPlan('exercise')}`;
const WHAT_WAS_MEASURED = oneOf(
  clientsOf('measure_id', 'outcome'),
  clientsOf("json_extract(design, '$.measureId')", 'comparison'),
);

/** A database table for every kind; a row that is missing here does not compile. */
export const ARCHIVED: Record<ArchiveKind, ArchivedTable> = {
  practice: { table: 'practice', json: ['stricter'], order: 'id', follows: () => ({ id: 'practice' }) },
  practitioner: { table: 'person', flags: ['elsewhere'], ofClient: WHO_WORKED, order: 'list_order, id' },
  kit: { table: 'kit', json: ['item'], ofClient: WHAT_WAS_USED, order: 'rowid' },
  exercise: { table: 'exercise', json: ['exercise'], ofClient: WHAT_WAS_TRAINED, order: 'rowid' },
  measure: { table: 'measure', json: ['measure'], ofClient: WHAT_WAS_MEASURED, order: 'rowid' },
  template: { table: 'template', json: ['session'], order: 'rowid' },
  'practice-attempt': { table: 'practice_attempt', json: ['answer'], order: 'at_ms, rowid' },
  'session-attempt': { table: 'session_attempt', json: ['answer'], order: 'at_ms, rowid' },
  client: {
    table: 'client',
    json: ['limbShelfLives', 'about'],
    ofClient: 'id = ?1',
    // What was on record twice goes as the one it was brought together in.
    only: 'merged_into is null',
    order: 'rowid',
  },
  screening: {
    table: 'screening',
    json: ['yes', 'bloodPressures', 'procedures', 'places', 'medicines'],
    ...byTime,
  },
  clearance: { table: 'clearance', json: ['clearance'], ...byTime },
  consent: { table: 'consent', ...byTime },
  'day-check': { table: 'day_check', json: ['answers'], ...byTime },
  fit: { table: 'girth', ...byTime },
  tightness: { table: 'tightness', ...byTime },
  'occlusion-pressure': { table: 'lop', json: ['pressure'], flags: ['steady'], ...byTime },
  trial: {
    table: 'lop_trial',
    json: ['readings'],
    ofClient: 'lop_id in (select id from lop where client_id = ?1)',
    order: 'rowid',
  },
  'quick-check': { table: 'lop_quick_check', ...byTime },
  'strength-test': { table: 'strength_test', json: ['oneRepMax'], ...byTime },
  'course-plan': { table: 'course_plan', json: ['occasion'], ofClient: CLIENTS, order: 'rowid' },
  prescription: {
    table: 'prescription',
    json: ['plan', 'findings', 'changes'],
    ...byTime,
    follows: (row) => searchedBy(readPlan(row.plan)),
  },
  block: { table: 'block', json: ['wish', 'sessions'], ...byTime },
  session: {
    table: 'session',
    json: ['plan'],
    ofClient: CLIENTS,
    order: 'opened_at_ms, rowid',
    follows: () => ({ summary: JSON.stringify(NOTHING_DONE) }),
  },
  event: {
    table: 'session_event',
    json: ['event'],
    ofClient: EVENTS_OF,
    order: 'rowid',
    follows: ({ event }) => {
      const { id, sessionId, deviceId, seq, atMs, type } = event as SessionEvent;
      return { id, sessionId, deviceId, seq, atMs, type };
    },
  },
  'rung-check': { table: 'rung_check', json: ['answers'], ...byTime },
  'heavy-work': { table: 'heavy_work', ...byTime },
  outcome: { table: 'outcome', json: ['repeats'], ...byTime },
  comparison: { table: 'comparison', json: ['design'], ...byTime },
  'adverse-event': { table: 'adverse_event', ...byTime },
  report: { table: 'report', json: ['content'], ...byTime },
  condition: { table: 'condition', json: ['detail'], ...byTime },
  hold: {
    table: 'hold',
    json: ['words', 'ends', 'liftReason'],
    flags: ['isEmergency'],
    // That records came from a file is for the site they came to.
    only: "rule <> 'START-3'",
    ...byTime,
  },
  retraction: { table: 'retraction', ...byTime },
  audit: {
    table: 'audit',
    json: ['detail'],
    // Entries about who was forgotten say nothing any more.
    only: "detail <> ''",
    ofClient: 'subject = ?1 or subject in (select id from session where client_id = ?1)',
    order: 'at_ms, id',
  },
};

const searchedBy = ({ exercises: [exercise] }: Plan): Row => ({
  exerciseId: exercise?.exerciseId ?? '',
  limb: exercise?.limbs[0]?.limb ?? '',
});

/** What a column is called in the database. @example columnOf('divisionMmHg') //=> '"division_mm_hg"' */
export const columnOf = (property: string): string =>
  `"${property.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)}"`;

/** The properties of a row of a kind, in the order they are written. */
export const propertiesOf = (kind: ArchiveKind): string[] => Object.keys(ARCHIVE_ROWS[kind].shape);

/** A row as the archive has it, of a row as the database has it. */
export function fromDatabase(kind: ArchiveKind, stored: Row): Row {
  const { json = [], flags = [] } = ARCHIVED[kind];
  return Object.fromEntries(
    propertiesOf(kind).map((property) => {
      const value = stored[property];
      if (json.includes(property)) return [property, value === null ? null : JSON.parse(String(value))];
      return [property, flags.includes(property) ? value === 1 : value];
    }),
  );
}

/** The columns to write of a row of an archive, with what follows from it. */
export function toDatabase(kind: ArchiveKind, row: Row): Row {
  const { json = [], flags = [], follows } = ARCHIVED[kind];
  const written = propertiesOf(kind).map((property) => {
    const value = row[property] ?? null;
    if (json.includes(property)) return [property, JSON.stringify(value)];
    return [property, flags.includes(property) ? Number(value) : value];
  });
  return { ...Object.fromEntries(written), ...follows?.(row) };
}

/** What is chosen of a kind's table, under the names of the archive. */
export const chosenColumns = (kind: ArchiveKind): string =>
  propertiesOf(kind)
    .map((property) => `${columnOf(property)} as "${property}"`)
    .join(', ');
