import { createHash } from 'node:crypto';
import Database from 'libsql';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveOf,
  type ArchiveRow,
  type ArchiveSignature,
} from '#contract/archive';
import { ARCHIVE_KINDS, type ArchiveKind } from '#contract/archive-rows';
import { RELEASE } from '#contract/release';
import { ARCHIVED, chosenColumns, fromDatabase } from '../../record/archived';
import { NOT_IN_ARCHIVES_SQL } from './about-archives';

type Row = Record<string, unknown>;

/**
 * An archive line by line: what it is, every row in an order in which it can be imported again, and last by what a file that was
 * cut short is known (docs/archive-format.md). It is read over a connection of its own, at one moment, while others write; the
 * same practice gives the same bytes.
 * @param sign signs it, by the SHA-256 of all lines before the last: for a whole practice
 */
export function* writeArchive(
  file: string,
  of: ArchiveOf,
  sign?: (sha256: string) => ArchiveSignature,
): Generator<string> {
  const hash = createHash('sha256');
  let rows = 0;
  const line = (value: unknown) => {
    const text = `${JSON.stringify(value)}\n`;
    hash.update(text);
    return text;
  };
  yield line({ format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, release: RELEASE, of });
  for (const row of archiveRows(file, of)) {
    rows += 1;
    yield line(row);
  }
  const sha256 = hash.digest('hex');
  const signed = sign ? { signed: sign(sha256) } : {};
  yield `${JSON.stringify({ end: { rows, sha256 }, ...signed })}\n`;
}

/** The rows of an archive, all of one moment. */
export function* archiveRows(file: string, of: ArchiveOf): Generator<ArchiveRow> {
  const database = new Database(file);
  try {
    database.exec('begin');
    for (const kind of ARCHIVE_KINDS) {
      for (const stored of rowsOf(database, kind, of)) yield { kind, row: fromDatabase(kind, stored) };
    }
  } finally {
    database.close();
  }
}

function rowsOf(database: Database.Database, kind: ArchiveKind, of: ArchiveOf): Iterable<Row> {
  const { table, ofClient, only, order } = ARCHIVED[kind];
  const conditions = [
    ...(kind === 'audit' ? [`action not in (${NOT_IN_ARCHIVES_SQL})`] : []),
    ...(only ? [only] : []),
    ...(of.kind === 'client' && ofClient ? [`(${ofClient})`] : []),
  ];
  if (of.kind === 'client' && !ofClient) return [];
  const where = conditions.length > 0 ? `where ${conditions.join(' and ')}` : '';
  return database
    .prepare(`select ${chosenColumns(kind)} from ${table} ${where} order by ${order}`)
    .iterate(...(of.kind === 'client' ? [of.clientId] : [])) as Iterable<Row>;
}
