import { p } from '@mikro-orm/core';
import type { ArchiveKind } from '#contract/archive-rows';
import { defineRecord } from './define';

/** A row that an import added; or an outcome that it withdrew. */
export type ImportedKind = ArchiveKind | 'withdrawal';

/** What an import did, row by row. */
export const importRowRecord = defineRecord({
  name: 'ImportRow',
  table: 'import_row',
  of: 'site',
  properties: {
    importId: p.string().primary(),
    place: p.integer().primary(),
    kind: p.string().$type<ImportedKind>(),
    rowId: p.string(),
  },
  refers: { importId: 'import_batch' },
  indexes: [
    'import_row (row_id)',
    "import_row (row_id) where kind = 'event'",
    "import_row (row_id) where kind = 'prescription'",
  ],
});
