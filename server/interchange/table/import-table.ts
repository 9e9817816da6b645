import { randomUUID } from 'node:crypto';
import { type RefusedRow, TABLE_ROWS, type TableAnswer } from '#contract/table';
import { messageOf, msg } from '#core/message';
import { TABLES, type TableKind } from '#core/table';
import type { Prepare } from '../../db/dialect/connection';
import { Problem } from '../../problem';
import { ARCHIVED } from '../../record/archived';
import { clientOf } from '../../record/archived-rows';
import { TABLES_OF_A_CLIENT } from '../../record/of-client';
import { isStorable } from '../../storable';
import { type AddedRow, addToImport, beginImport, endImport } from '../imports';
import { KEEP } from './import-row';
import type { Came } from './keep-once';
import { type KeepingRows, RefusedCell } from './keeping';

const MOST_NAMED = 1_000;
/** No row of a table is longer, as the core reads it. */
export const LONGEST_ROW = 20_000;

/** Rows kept in one go: what others ask waits no longer than these take. */
const AT_ONCE = 200;

type Taking = {
  kind: TableKind;
  /** A row a line, as JSON (`TABLE_ROWS`). */
  lines: Iterable<string>;
  name: string;
  keeping: Omit<KeepingRows, 'prepare'>;
  /** Only shows what would come of it. */
  isPreview: boolean;
};

/** Runs some work in a transaction of its own, and lets others work before it comes back; undone where it says so. */
export type InTurn = (work: (prepare: Prepare) => void, then: 'keep' | 'undo') => Promise<void>;

/**
 * Keeps the rows of a table, each by the rules it would be typed in by, and all as one list that can be taken back. They go in
 * some at a time, so that no request waits for them; a row that is refused leaves nothing.
 */
export async function importTable(
  { kind, lines, name, keeping, isPreview }: Taking,
  inTurn: InTurn,
): Promise<TableAnswer> {
  const { nowMs, practitionerId } = keeping;
  const words = msg('{kind} of {name}', { kind: TABLES[kind].label, name });
  const list = { id: randomUUID(), nowMs, practitionerId, words, clientIds: [] as string[] };
  const people = new Set<string>();
  const refused: RefusedRow[] = [];
  let [row, left, listed] = [0, 0, 0];
  const did = { added: 0, updated: 0, same: 0 };
  for (const slice of slicesOf(lines)) {
    await inTurn(
      (prepare) => {
        const added = slice.flatMap((line) => {
          row += 1;
          const came = keepApart(kind, line, { ...keeping, prepare });
          if (!(came instanceof RefusedCell)) {
            did[came.did] += 1;
            return came.added;
          }
          left += 1;
          if (refused.length < MOST_NAMED) refused.push({ row, field: came.field, reason: came.says });
          return [];
        });
        if (isPreview || added.length === 0) return;
        if (listed === 0) beginImport(prepare, list);
        addToImport(prepare, list.id, listed, added);
        listed += added.length;
        for (const clientId of peopleIn(prepare, added)) people.add(clientId);
      },
      isPreview ? 'undo' : 'keep',
    );
  }
  if (listed > 0) {
    await inTurn((prepare) => endImport(prepare, { ...list, clientIds: [...people] }, listed), 'keep');
  }
  const { added, updated, same } = did;
  return { id: list.id, taken: added + updated, updated, same, refused: left, rows: refused };
}

function* slicesOf(lines: Iterable<string>): Generator<string[]> {
  let slice: string[] = [];
  for (const line of lines) {
    slice.push(line);
    if (slice.length < AT_ONCE) continue;
    yield slice;
    slice = [];
  }
  if (slice.length > 0) yield slice;
}

/** Keeps a row, or nothing of it. */
function keepApart(kind: TableKind, line: string, keeping: KeepingRows): Came | RefusedCell {
  const { prepare } = keeping;
  prepare('savepoint table_row').run();
  const came = keepLine(kind, line, keeping);
  if (came instanceof RefusedCell) prepare('rollback to table_row').run();
  prepare('release table_row').run();
  return came;
}

function keepLine(kind: TableKind, line: string, keeping: KeepingRows): Came | RefusedCell {
  const read = TABLE_ROWS[kind].safeParse(jsonOf(line));
  if (!read.success) {
    const [issue] = read.error.issues;
    return new RefusedCell(
      String(issue?.path[0] ?? ''),
      issue ? messageOf(issue) : msg('This is no row of such a table.'),
    );
  }
  try {
    return (KEEP[kind] as (row: unknown, keeping: KeepingRows) => Came)(read.data, keeping);
  } catch (error) {
    if (error instanceof RefusedCell) return error;
    if (error instanceof Problem) return new RefusedCell(error.errors[0]?.path ?? '', error.says);
    throw error;
  }
}

function jsonOf(line: string): unknown {
  try {
    return line.length > LONGEST_ROW || !isStorable(line) ? null : JSON.parse(line);
  } catch {
    return null;
  }
}

/** Whose records rows were added to. */
function peopleIn(prepare: Prepare, added: readonly AddedRow[]): string[] {
  const people = new Set<string>();
  for (const { kind, rowId } of added) {
    const { table } = ARCHIVED[kind === 'withdrawal' ? 'outcome' : kind];
    if (kind === 'client') people.add(rowId);
    else if (TABLES_OF_A_CLIENT.includes(table)) {
      const clientId = clientOf(prepare, table, rowId);
      if (clientId) people.add(clientId);
    }
  }
  return [...people];
}
