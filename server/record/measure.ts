import { p } from '@mikro-orm/core';
import type { Measure, MeasureBook } from '#core/outcomes';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';
import { findRows } from './read';

export const measureRecord = defineRecord({
  name: 'Measure',
  table: 'measure',
  of: 'practice',
  properties: {
    id: id(),
    measure: p.json().$type<Measure>(),
  },
  archive: { kind: 'measure', order: AS_WRITTEN, ofClient: { usedAs: 'measure' } },
});

/** Measures of the practice's own, and what it says otherwise of standard ones. */
export const ownMeasures = (prepare: Prepare): MeasureBook =>
  Object.fromEntries(
    findRows(prepare, measureRecord, 'all', ['id', 'measure']).map(({ id, measure }) => [id, measure]),
  );
