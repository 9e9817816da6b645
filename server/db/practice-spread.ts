import type { EntityManager } from '@mikro-orm/libsql';
import { practiceSpread, type ReadingSchool, type Spread, type Trial } from '#core/occlusion-pressure';
import { type Prepare, withStatements } from './dialect/connection';

/** What was read last from a database, and what it was read from. */
const known = new WeakMap<object, { of: string; spread: Spread }>();

/** How the trials of all the practice's measurements spread; read again only once there are others (rule LOP-3). */
export const readPracticeSpread = (em: EntityManager): Promise<Spread> =>
  withStatements(em, (prepare) => {
    const database = em.getConnection();
    const of = whatThereIs(prepare);
    const last = known.get(database);
    if (last?.of === of) return last.spread;
    const spread = practiceSpread(readMeasurements(prepare));
    known.set(database, { of, spread });
    return spread;
  });

const whatThereIs = (prepare: Prepare): string =>
  JSON.stringify(
    prepare(
      `select (select count(*) from lop_trial) as trials,
              (select count(*) from lop where superseded <> 2) as measurements`,
    ).get(),
  );

function readMeasurements(prepare: Prepare): { readingSchool: ReadingSchool; trials: Trial[] }[] {
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
