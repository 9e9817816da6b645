import { p } from '@mikro-orm/core';
import type { Derived } from '#core/derivation';
import type { PulseMethod, PulseSite, ReadingSchool } from '#core/occlusion-pressure';
import type { Limb, Position } from '#core/quantity';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';

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
