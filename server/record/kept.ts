import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { Problem } from '../problem';
import type { Definition } from './define';

/**
 * Whether an entry of a client is there already, as where a device sends it twice.
 * @throws refused, where the entry of this id is another person's: it would be lost without a word
 */
export function isKept(
  prepare: Prepare,
  { table }: Pick<Definition, 'table'>,
  id: string,
  clientId: string,
): boolean {
  const kept = prepare(`select client_id as "clientId" from "${table}" where id = ?`).get(id) as
    | { clientId: string }
    | undefined;
  if (kept && kept.clientId !== clientId)
    throw new Problem(
      409,
      msg('Of another person'),
      msg('This entry is on the record of another person. Nothing was kept: enter it again here.'),
    );
  return kept !== undefined;
}
