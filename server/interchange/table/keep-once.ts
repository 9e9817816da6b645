import { randomUUID } from 'node:crypto';
import type { RetractableKind } from '#contract/corrections';
import { msg } from '#core/message';
import { retract } from '../../record/corrections';
import { importRowRecord } from '../../record/import-row';
import { outcomeRecord } from '../../record/outcome';
import { hasRow } from '../../record/read';
import { changeRows } from '../../record/write';
import type { AddedRow } from '../imports';
import { type KeepingRows, momentOf, RefusedCell } from './keeping';

/** What came of a row: something new, something in the place of what an earlier table said, or nothing, as it is on record. */
export type Came = { did: 'added' | 'updated' | 'same'; added: AddedRow[] };
export const SAME: Came = { did: 'same', added: [] };

type Entry = { id: string; atMs: number };
type Kind = Extract<RetractableKind, 'fit' | 'occlusion-pressure' | 'strength-test'> | 'outcome';

/**
 * Keeps what a row of a table says once: a table that is brought in again doubles nothing. What an earlier table said of the same thing
 * on the same day is retracted where it says something else now; what was typed in stays.
 * @param rows what is on record of the same thing, of any day, but for what was retracted
 * @param keep keeps it under the id it is given
 */
export function keepOnce<T extends Entry>(
  keeping: KeepingRows,
  {
    kind,
    clientId,
    day,
    rows,
    isSame,
  }: {
    kind: Kind;
    clientId: string;
    day: string;
    rows: readonly T[];
    isSame: (row: T) => boolean;
  },
  keep: (id: string) => void,
): Came {
  const { prepare } = keeping;
  const [fromMs, toMs] = [momentOf(day, '00:00'), momentOf(day, '24:00')];
  const thatDay = rows.filter(({ atMs }) => atMs >= fromMs && atMs < toMs);
  if (thatDay.some(isSame)) return SAME;
  const before = thatDay.find(({ id }) => hasRow(prepare, importRowRecord, { rowId: id }));
  const gone = before ? [takeAway(keeping, kind, clientId, before.id)] : [];
  const id = randomUUID();
  keep(id);
  return { did: before ? 'updated' : 'added', added: [...gone, { kind, rowId: id }] };
}

/** Retracts an entry of an earlier table. @returns what brings it back where this import is undone */
function takeAway(
  { prepare, practitionerId, nowMs, mayCorrect }: KeepingRows,
  kind: Kind,
  clientId: string,
  id: string,
): AddedRow {
  if (!mayCorrect)
    throw new RefusedCell(
      'day',
      msg('An earlier table says something else of that day. A clinician brings in what corrects it.'),
    );
  const reason = 'Another table says something else of that day';
  if (kind === 'outcome') {
    changeRows(prepare, outcomeRecord, { id }, { withdrawn: reason });
    return { kind: 'withdrawal', rowId: id };
  }
  const retractionId = retract(prepare, clientId, { kind, id, reason }, { practitionerId, atMs: nowMs });
  return { kind: 'retraction', rowId: retractionId };
}
