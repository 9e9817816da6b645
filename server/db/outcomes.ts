import type {
  AdverseEvent,
  ComparisonOnRecord,
  OutcomeOnRecord,
  OutcomesView,
  RepeatPairs,
} from '#contract/outcomes';
import type { FirstAndLast, KeptBlock, MeasureId, TestedOnce } from '#core/outcomes';
import type { Prepare } from './dialect/connection';
import { hasWithin, jsonAt, jsonLength } from './dialect/sql';

/** Pairs of one measure that its error is made from: the newest, as people measure now. */
const MOST_PAIRS = 400;

const OUTCOME = `id, measure_id as "measureId", limb, setting, at_ms as "atMs", repeats, value, note,
  practitioner_id as "practitionerId", withdrawn`;

/** All that was measured of a person, and the practice's own repeats of those measures. */
export function readOutcomes(prepare: Prepare, clientId: string): OutcomesView {
  const rows = prepare(`select ${OUTCOME} from outcome where client_id = ? order by at_ms desc`).all(
    clientId,
  ) as (Omit<OutcomeOnRecord, 'repeats'> & { repeats: string })[];
  const taken = rows.map((row) => ({ ...row, repeats: JSON.parse(row.repeats) as number[] }));
  const measures = [...new Set(taken.map(({ measureId }) => measureId))];
  return {
    taken,
    tested: [...readOneRepMaxes(prepare, clientId), ...readPressures(prepare, clientId)],
    pairs: Object.fromEntries(measures.map((id) => [id, readPairs(prepare, id)])) satisfies RepeatPairs,
    adverseEvents: readAdverseEvents(prepare, clientId),
    comparisons: readComparisons(prepare, clientId),
    blocks: readBlocks(prepare, clientId),
  };
}

export const readPairs = (prepare: Prepare, measureId: MeasureId): [number, number][] =>
  (
    prepare(
      `select ${jsonAt('repeats', '[0]')} as a, ${jsonAt('repeats', '[1]')} as b from outcome
       where measure_id = ? and withdrawn is null and ${jsonLength('repeats')} > 1
       order by at_ms desc limit ${MOST_PAIRS}`,
    ).all(measureId) as { a: number; b: number }[]
  ).map(({ a, b }) => [a, b]);

/** The first and the last of a measure of all who have two, with the sessions of that limb finished between them. */
export const readFirstAndLast = (prepare: Prepare, measureId: MeasureId): FirstAndLast[] =>
  (
    prepare(
      `with ranked as (
         select client_id, limb, lower(setting) as setting, at_ms, value,
           row_number() over (partition by client_id, limb, lower(setting) order by at_ms, id) as up,
           row_number() over (partition by client_id, limb, lower(setting) order by at_ms desc, id desc) as down
         from outcome where measure_id = ? and withdrawn is null)
       select client.id as "clientId", client.name, earliest.limb, earliest.setting, earliest.at_ms as "firstMs", earliest.value as "firstValue",
         latest.at_ms as "lastMs", latest.value as "lastValue",
         (select count(*) from session where session.client_id = client.id and finished_at_ms is not null and session.superseded <> 2
            and opened_at_ms between earliest.at_ms and latest.at_ms
            and (earliest.limb is null or ${hasWithin('log_line', `'"limb":"' || earliest.limb || '"'`)})) as sessions,
         (select ${jsonAt('prescription.plan', 'goal')} from session
          join prescription on prescription.id = session.prescription_id
          where session.client_id = client.id and finished_at_ms is not null and session.superseded <> 2
            and opened_at_ms between earliest.at_ms and latest.at_ms
          order by opened_at_ms desc limit 1) as goal
       from ranked earliest
       join ranked latest on latest.client_id = earliest.client_id and latest.setting = earliest.setting and latest.down = 1
         and coalesce(latest.limb, '') = coalesce(earliest.limb, '')
       join client on client.id = earliest.client_id
       where earliest.up = 1 and latest.at_ms > earliest.at_ms`,
    ).all(measureId) as FirstAndLastRow[]
  ).map(({ firstMs, firstValue, lastMs, lastValue, ...who }) => ({
    ...who,
    first: { atMs: firstMs, value: firstValue },
    last: { atMs: lastMs, value: lastValue },
  }));

type FirstAndLastRow = Omit<FirstAndLast, 'first' | 'last'> & {
  firstMs: number;
  firstValue: number;
  lastMs: number;
  lastValue: number;
};

const readOneRepMaxes = (prepare: Prepare, clientId: string): TestedOnce[] =>
  (
    prepare(
      `select at_ms as "atMs", one_rep_max_kg as "value", exercise_id as "exerciseId", side from strength_test
       where client_id = ? order by at_ms`,
    ).all(clientId) as Omit<Extract<TestedOnce, { kind: 'one-rep-max' }>, 'kind'>[]
  ).map((row) => ({ kind: 'one-rep-max', ...row }));

const readPressures = (prepare: Prepare, clientId: string): TestedOnce[] =>
  (
    prepare(
      `select at_ms as "atMs", pressure_mm_hg as "value", limb, position, width_cm as "widthCm",
         uncertainty_mm_hg as "uncertaintyMmHg" from lop where client_id = ? order by at_ms`,
    ).all(clientId) as Omit<Extract<TestedOnce, { kind: 'lop' }>, 'kind'>[]
  ).map((row) => ({ kind: 'lop', ...row }));

/** Those of before blocks had plans have no first day of their own, and are left out. */
const readBlocks = (prepare: Prepare, clientId: string): KeptBlock[] =>
  prepare(
    `select at_ms as "atMs", ${jsonAt('wish', 'startsOn')} as "startsOn", ${jsonAt('wish', 'weeks')} as weeks,
       ${jsonLength('sessions')} as "plannedSessions" from block
     where client_id = ? and ${jsonAt('wish', 'startsOn')} is not null order by at_ms`,
  ).all(clientId) as KeptBlock[];

const readComparisons = (prepare: Prepare, clientId: string): ComparisonOnRecord[] =>
  (
    prepare(
      'select id, at_ms as "atMs", design, ended_why as "ended" from comparison where client_id = ? order by at_ms desc',
    ).all(clientId) as (Omit<ComparisonOnRecord, 'design'> & { design: string })[]
  ).map(({ design, ...row }) => ({ ...row, design: JSON.parse(design) }));

const readAdverseEvents = (prepare: Prepare, clientId: string): AdverseEvent[] =>
  prepare(
    `select id, session_id as "sessionId", at_ms as "atMs", what, done, outcome, notified, practitioner_id as "practitionerId",
       written_at_ms as "writtenAtMs" from adverse_event where client_id = ? order by at_ms desc`,
  ).all(clientId) as AdverseEvent[];

/**
 * Every finished session of a person as the text of one answer, the newest first: lines are handed on as they are stored,
 * nothing of them is parsed on the way.
 */
export function readLogText(prepare: Prepare, clientId: string): string {
  const rows = prepare(
    `select session.id, opened_at_ms as "startedAtMs", course_plan_id as "coursePlanId", log_line as "line" from session
     join prescription on prescription.id = session.prescription_id
     where session.client_id = ? and finished_at_ms is not null and log_line is not null and session.superseded <> 2
     order by opened_at_ms desc`,
  ).all(clientId) as { id: string; startedAtMs: number; coursePlanId: string; line: string }[];
  const sessions = rows.map(({ line, ...head }) => `{${JSON.stringify(head).slice(1, -1)},"line":${line}}`);
  return `{"sessions":[${sessions.join(',')}]}`;
}
