import { p } from '@mikro-orm/core';
import type { HistoryPoint } from '#contract/history';
import type { Derived } from '#core/derivation';
import type { OcclusionFact, PulseMethod, PulseSite, ReadingSchool } from '#core/occlusion-pressure';
import type { TestedOnce } from '#core/outcomes';
import type { Limb, Position } from '#core/quantity';
import type { Prepare } from '../db/dialect/connection';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';
import { HISTORY_POINTS } from './history';
import { factsOf, NEWEST } from './read';

export const occlusionPressureRecord = defineRecord({
  name: 'OcclusionPressure',
  table: 'lop',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    position: p.string().$type<Position>(),
    cuffId: p.string(),
    cuffLabel: p.string(),
    widthCm: number(),
    girthCm: number(),
    method: p.string().$type<PulseMethod>(),
    site: p.string().$type<PulseSite>(),
    pumpId: p.string(),
    divisionMmHg: p.integer(),
    gaugeErrorMmHg: p.double().$type<number>().nullable(),
    readingSchool: p.string().$type<ReadingSchool>(),
    pressureMmHg: number(),
    pressure: p.json().$type<Derived>(),
    uncertaintyMmHg: p.integer(),
    steady: p.boolean(),
    trialsUsed: p.integer(),
    superseded: superseded(),
  },
  refers: { cuffId: 'kit', pumpId: 'kit' },
  at: ['atMs'],
  newestOf: ['clientId', 'limb', 'position', 'cuffId', 'widthCm'],
  retract: {
    kind: 'occlusion-pressure',
    content: jsonObject({
      limb: 'limb',
      position: 'position',
      pressureMmHg: 'pressure_mm_hg',
      label: 'cuff_label',
    }),
  },
  uses: { kit: ['cuffId', 'pumpId'] },
  archive: { kind: 'occlusion-pressure' },
  checks: ['pressure_mm_hg between 20 and 300'],
  indexes: [
    'lop (client_id, at_ms)',
    'lop (client_id, limb, position, cuff_id, width_cm) where superseded = 0',
  ],
});

/** Without its trials and quick checks, which are records of their own. */
export const occlusionFacts = factsOf(occlusionPressureRecord, {
  take: [
    'id',
    'limb',
    'position',
    'cuffId',
    'cuffLabel',
    'widthCm',
    'girthCm',
    'atMs',
    'method',
    'site',
    'pressure',
    'uncertaintyMmHg',
    'steady',
    'trialsUsed',
    'readingSchool',
    'divisionMmHg',
    'gaugeErrorMmHg',
  ],
  parts: [NEWEST],
  of: (row): OcclusionFact => ({ ...row, trials: [], quickChecks: [] }),
});

/** Pressures of one limb, position and cuff, in mmHg, newest first. */
export const readPressures = (
  prepare: Prepare,
  clientId: string,
  { limb, position, cuffId }: { limb: string; position: string; cuffId: string },
): HistoryPoint[] =>
  prepare(
    `select at_ms as "atMs", pressure_mm_hg as "value" from lop
     where client_id = ? and limb = ? and position = ? and cuff_id = ? and superseded <> 2 order by at_ms desc limit ${HISTORY_POINTS}`,
  ).all(clientId, limb, position, cuffId) as HistoryPoint[];

export const readAllPressures = (prepare: Prepare, clientId: string): TestedOnce[] =>
  (
    prepare(
      `select at_ms as "atMs", pressure_mm_hg as "value", limb, position, width_cm as "widthCm",
         uncertainty_mm_hg as "uncertaintyMmHg" from lop where client_id = ? order by at_ms`,
    ).all(clientId) as Omit<Extract<TestedOnce, { kind: 'lop' }>, 'kind'>[]
  ).map((row) => ({ kind: 'lop', ...row }));
