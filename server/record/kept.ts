import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { Problem } from '../problem';
import type { attachmentRecord } from './attachment';
import { findRow } from './read';
import type { visitNoteRecord } from './visit-note';

/**
 * Whether an entry of a client is there already, as where a device sends it twice.
 * @throws refused, where the entry of this id is another person's: it would be lost without a word
 */
export function isKept(
  prepare: Prepare,
  record: typeof attachmentRecord | typeof visitNoteRecord,
  id: string,
  clientId: string,
): boolean {
  const kept = findRow(prepare, record, { id }, ['clientId']);
  if (kept && kept.clientId !== clientId)
    throw new Problem(
      409,
      msg('Of another person'),
      msg('This entry is on the record of another person. Nothing was kept: enter it again here.'),
    );
  return kept !== undefined;
}
