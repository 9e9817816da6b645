import { p } from '@mikro-orm/core';
import type { Measure } from '#core/outcomes';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';

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
