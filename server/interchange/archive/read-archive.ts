import { createHash } from 'node:crypto';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveOf,
  type ArchiveRow,
  archiveEndSchema,
  archiveHeadSchema,
} from '#contract/archive';
import { ARCHIVE_KIND_NAMES } from '#contract/archive-kind-names';
import { ARCHIVE_ROWS, type ArchiveKind } from '#contract/archive-rows';
import { type Message, MessageError, messageOf, msg } from '#core/message';
import { isStorable } from '../../storable';
import { withPresentNames } from './present-names';
import { fingerprintOf, isSignedBy } from './site-key';

/** What is wrong with an archive, on which of its lines from 1, and what to do. */
export class NotAnArchive extends MessageError {
  readonly code = 'not-an-archive';

  constructor(
    readonly line: number,
    what: Message,
  ) {
    super(msg('Line {line}: {what}', { line, what }));
  }
}

/** The end of an archive: the fingerprint of the site that signed it, null where none did. */
export type ArchiveSigned = { signedBy: string | null };

/** No line of an archive is longer: a plan has a few hundred figures. */
export const LONGEST_LINE = 1_000_000;

/**
 * Reads an archive as it comes, and gives its rows one by one; the first value is what it is of, the last who signed it. Nothing of
 * it is to be kept before it has been read to its end: only there is it known to be whole.
 * @throws NotAnArchive with the line and what to do
 */
export function* readArchive(lines: Iterable<string>): Generator<ArchiveOf | ArchiveRow | ArchiveSigned> {
  const hash = createHash('sha256');
  let at = 0;
  let rows = 0;
  let isWhole = false;
  for (const line of lines) {
    at += 1;
    if (isWhole)
      throw new NotAnArchive(at, msg('there is something after the end. Take the file as it was written.'));
    const value = jsonOf(line, at);
    if (at === 1) {
      hash.update(`${line}\n`);
      yield headOf(value);
    } else if ('end' in value) {
      const signedBy = checkEnd(value, at, rows, hash.digest('hex'));
      isWhole = true;
      yield { signedBy };
    } else {
      hash.update(`${line}\n`);
      rows += 1;
      yield rowOf(value, at);
    }
  }
  if (at === 0) throw new NotAnArchive(1, msg('the file is empty. Choose another.'));
  if (!isWhole)
    throw new NotAnArchive(at, msg('the file ends here, before its end. It was cut short: fetch it again.'));
}

function jsonOf(line: string, at: number): Record<string, unknown> {
  if (line.length > LONGEST_LINE)
    throw new NotAnArchive(at, msg('longer than any line of an archive. Choose another file.'));
  if (!isStorable(line))
    throw new NotAnArchive(
      at,
      msg('a text has a character that cannot be stored (U+0000, or half of a letter).'),
    );
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new NotAnArchive(
      at,
      at === 1
        ? msg('no archive of Nervato: it is no line of JSON. Choose another file.')
        : msg('not JSON. The file was cut short or changed: fetch it again.'),
    );
  }
  if (typeof value === 'object' && value !== null && !Array.isArray(value))
    return value as Record<string, unknown>;
  throw new NotAnArchive(at, msg('no line of an archive. Choose another file.'));
}

function headOf(value: Record<string, unknown>): ArchiveOf {
  if (value.format !== ARCHIVE_FORMAT)
    throw new NotAnArchive(1, msg('no archive of Nervato. Choose another file.'));
  if (typeof value.version === 'number' && value.version > ARCHIVE_VERSION) {
    throw new NotAnArchive(
      1,
      msg('written in version {version} of the format, by a newer release. Update this one.', {
        version: value.version,
      }),
    );
  }
  const head = archiveHeadSchema.safeParse(value);
  if (!head.success)
    throw new NotAnArchive(1, msg('it does not say whose it is. The file was changed: fetch it again.'));
  return head.data.of;
}

function rowOf(value: Record<string, unknown>, at: number): ArchiveRow {
  const kind = value.kind as ArchiveKind;
  if (typeof kind !== 'string' || !Object.hasOwn(ARCHIVE_ROWS, kind))
    throw new NotAnArchive(
      at,
      msg('there is no kind of row called {kind}.', {
        kind: String(JSON.stringify(value.kind)).slice(0, 60),
      }),
    );
  const row = withPresentNames(kind, value.row);
  const read = ARCHIVE_ROWS[kind].safeParse(row);
  if (read.success) return { kind, row: row as Record<string, unknown> };
  const [issue] = read.error.issues;
  throw new NotAnArchive(
    at,
    msg('this {kind} is none: {path}: {message}', {
      kind: ARCHIVE_KIND_NAMES[kind],
      path: issue?.path.join('.') || 'row',
      message: issue ? messageOf(issue) : '',
    }),
  );
}

function checkEnd(value: Record<string, unknown>, at: number, rows: number, sha256: string): string | null {
  const end = archiveEndSchema.safeParse(value);
  if (!end.success) throw new NotAnArchive(at, msg('the end is none. The file was changed: fetch it again.'));
  if (end.data.end.rows !== rows || end.data.end.sha256 !== sha256)
    throw new NotAnArchive(
      at,
      msg('it is not as it was written: its SHA-256 differs. Fetch the file again.'),
    );
  const { signed } = end.data;
  if (signed && !isSignedBy(signed, sha256))
    throw new NotAnArchive(at, msg('its signature is not of this file. Fetch the file again.'));
  return signed ? fingerprintOf(signed.key) : null;
}
