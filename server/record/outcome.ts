import { p } from '@mikro-orm/core';
import type { OutcomeOnRecord } from '#contract/outcomes';
import type { Reached } from '#core/aerobic';
import type { FirstAndLast, MeasureId } from '#core/outcomes';
import type { Limb } from '#core/quantity';
import { FITNESS_MEASURES, type FitnessFact, type FollowedFact, SESSIONS_COUNT_MS } from '#core/record';
import type { Prepare } from '../db/dialect/connection';
import { hasWithin, jsonAt, jsonLength } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number } from './define';
import { factsOf, read } from './read';

export const outcomeRecord = defineRecord({
  name: 'Outcome',
  table: 'outcome',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    measureId: p.string().$type<MeasureId>(),
    limb: p.string().$type<Limb>().nullable(),
    setting: p.string(),
    atMs: atMs(),
    repeats: p.json().$type<number[]>(),
    value: number(),
    note: p.string(),
    reached: p.json().$type<Reached>().nullable(),
    practitionerId: p.string(),
    withdrawn: p.string().nullable(),
  },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'], measure: ['measureId'] },
  archive: { kind: 'outcome' },
  indexes: ['outcome (client_id, at_ms)', 'outcome (measure_id, at_ms) where withdrawn is null'],
});

/** What is followed, and when it was measured last; the values are read where they are shown. */
export const followedFacts = factsOf(outcomeRecord, {
  take: ['measureId', 'limb'],
  also: { setting: 'max(setting)', atMs: 'max(at_ms)' },
  parts: [
    {
      when: 'withdrawn is null and at_ms >= ? group by client_id, measure_id, limb, lower(setting)',
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: (row): FollowedFact => row,
});

/** The newest of each test that says how fit a person is (chapter 6). */
export const fitnessFacts = factsOf(outcomeRecord, {
  take: ['measureId', 'atMs', 'value', 'reached'],
  parts: [
    {
      when: `withdrawn is null and measure_id in (${FITNESS_MEASURES.map((id) => `'${id}'`).join(', ')})
        and not exists (select 1 from outcome newer where newer.client_id = outcome.client_id and newer.measure_id = outcome.measure_id
          and newer.withdrawn is null and newer.at_ms > outcome.at_ms)`,
    },
  ],
  of: ({ measureId, ...row }): FitnessFact => ({ ...row, measureId: measureId as FitnessFact['measureId'] }),
});

/** Pairs of one measure that its error is made from: the newest, as people measure now. */
const MOST_PAIRS = 400;

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

const takenFacts = factsOf(outcomeRecord, {
  take: [
    'id',
    'measureId',
    'limb',
    'setting',
    'atMs',
    'repeats',
    'value',
    'note',
    'reached',
    'practitionerId',
    'withdrawn',
  ],
  parts: [],
  of: (row): OutcomeOnRecord => row,
});

/** All that was measured of a client, the newest first. */
export const readTaken = (prepare: Prepare, clientId: string): OutcomeOnRecord[] =>
  read(takenFacts, prepare(`${takenFacts.select} where client_id = ? order by at_ms desc`), clientId);
