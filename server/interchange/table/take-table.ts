import { randomUUID } from 'node:crypto';
import { type RefusedRow, TABLE_ROWS, type TableAnswer } from '#contract/table';
import { TABLES, type TableKind } from '#core/table/tables';
import { Problem } from '../../problem';
import { type AddedRow, keepTakenIn } from '../taken-in-list';
import { KEEP, type KeepingRows, RefusedCell } from './keep-row';

const MOST_NAMED = 1_000;
/** No row of a table is longer, as the core reads it. */
export const LONGEST_ROW = 20_000;

/**
 * Keeps the rows of a table, each by the rules it would be typed in by, and keeps them as one. To be called in a transaction; a
 * row that is refused leaves nothing.
 * @param lines a row a line, as JSON (`TABLE_ROWS`)
 */
export function takeTable(
  kind: TableKind,
  lines: Iterable<string>,
  name: string,
  keeping: KeepingRows,
): TableAnswer {
  const { prepare, nowMs, practitionerId } = keeping;
  const id = randomUUID();
  const added: AddedRow[] = [];
  const refused: RefusedRow[] = [];
  let [row, taken, left] = [0, 0, 0];
  for (const line of lines) {
    row += 1;
    prepare('savepoint table_row').run();
    const came = keepLine(kind, line, keeping);
    if (came instanceof RefusedCell) {
      prepare('rollback to table_row').run();
      left += 1;
      if (refused.length < MOST_NAMED) refused.push({ row, field: came.field, reason: came.message });
    } else {
      taken += 1;
      added.push(...came);
    }
    prepare('release table_row').run();
  }
  const words = `${TABLES[kind].label} of ${name}`;
  if (taken > 0)
    keepTakenIn(prepare, { id, nowMs, practitionerId, words, clientIds: peopleIn(keeping, added) }, added);
  return { id, taken, refused: left, rows: refused };
}

function keepLine(kind: TableKind, line: string, keeping: KeepingRows): AddedRow[] | RefusedCell {
  const read = TABLE_ROWS[kind].safeParse(jsonOf(line));
  if (!read.success) {
    const [issue] = read.error.issues;
    return new RefusedCell(String(issue?.path[0] ?? ''), issue?.message ?? 'This is no row of such a table.');
  }
  try {
    return (KEEP[kind] as (row: unknown, keeping: KeepingRows) => AddedRow[])(read.data, keeping);
  } catch (error) {
    if (error instanceof RefusedCell) return error;
    if (error instanceof Problem) return new RefusedCell(error.errors[0]?.path ?? '', error.detail);
    throw error;
  }
}

function jsonOf(line: string): unknown {
  try {
    return line.length > LONGEST_ROW ? null : JSON.parse(line);
  } catch {
    return null;
  }
}

/** Whose records rows were added to. */
function peopleIn({ prepare }: KeepingRows, added: readonly AddedRow[]): string[] {
  const people = new Set<string>();
  for (const { kind, rowId } of added) {
    const table = OWNED_IN[kind];
    if (kind === 'client') people.add(rowId);
    else if (table) {
      const row = prepare(`select client_id as "clientId" from ${table} where id = ?`).get(rowId) as {
        clientId: string;
      };
      people.add(row.clientId);
    }
  }
  return [...people];
}

const OWNED_IN: Partial<Record<AddedRow['kind'], string>> = {
  fit: 'girth',
  'occlusion-pressure': 'lop',
  'strength-test': 'strength_test',
  outcome: 'outcome',
  session: 'session',
};
