import { p } from '@mikro-orm/core';
import type { ReadingSchool, Trial } from '#core/occlusion-pressure';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';

export const trialRecord = defineRecord({
  name: 'Trial',
  table: 'lop_trial',
  of: { through: 'lopId', table: 'lop' },
  properties: {
    id: id(),
    lopId: p.string().index(),
    place: p.integer(),
    readings: p.json().$type<Trial>(),
  },
  refers: { lopId: 'lop' },
  archive: { kind: 'trial', order: AS_WRITTEN },
  indexes: ['lop_trial (lop_id)'],
});

/** The single trials of an occlusion pressure, in their order. */
export const readTrials = (prepare: Prepare, lopId: string): Trial[] =>
  (
    prepare('select readings from lop_trial where lop_id = ? order by place').all(lopId) as {
      readings: string;
    }[]
  ).map(({ readings }) => JSON.parse(readings));

export const whatThereIs = (prepare: Prepare): string =>
  JSON.stringify(
    prepare(
      `select (select count(*) from lop_trial) as trials,
              (select count(*) from lop where superseded <> 2) as measurements`,
    ).get(),
  );

export function readMeasurements(prepare: Prepare): { readingSchool: ReadingSchool; trials: Trial[] }[] {
  const rows = prepare(
    `select lop_id as "id", reading_school as "readingSchool", readings
     from lop_trial join lop on lop.id = lop_id where superseded <> 2 order by lop_id, place`,
  ).all() as { id: string; readingSchool: ReadingSchool; readings: string }[];
  const measured = new Map<string, { readingSchool: ReadingSchool; trials: Trial[] }>();
  for (const { id, readingSchool, readings } of rows) {
    const one = measured.get(id) ?? { readingSchool, trials: [] };
    measured.set(id, one);
    one.trials.push(JSON.parse(readings));
  }
  return [...measured.values()];
}
