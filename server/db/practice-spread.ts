import type { EntityManager } from '@mikro-orm/libsql';
import { practiceSpread, type Spread } from '#core/occlusion-pressure';
import { readMeasurements, whatThereIs } from '../record/trial';
import { withStatements } from './dialect/connection';

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
