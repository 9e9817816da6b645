import { randomUUID } from 'node:crypto';
import type { ArchiveMatches, ArchiveOf, ArchivePreview, ArchiveRow, Match } from '#contract/archive';
import { ARCHIVE_KINDS, type ArchiveKind } from '#contract/archive-rows';
import type { Doer } from '#core/access';
import { msg } from '#core/message';
import type { NewHold } from '#core/record';
import type { SessionEvent } from '#core/session';
import { type AuditRow, appendAudit } from '../../db/audit';
import type { Prepare } from '../../db/dialect/connection';
import { isForeignKeyClash, isUniqueClash } from '../../db/dialect/errors';
import { fillConditionsOf, fillLettersOf } from '../../db/fill-old';
import { ARCHIVED, propertiesOf, toDatabase } from '../../record/archived';
import { clientOf, insertArchived, replaceArchived, rowIdOf, standing } from '../../record/archived-rows';
import { clientRecord, readNamed } from '../../record/client';
import { raiseHolds } from '../../record/commands/raise-holds';
import { summarise } from '../../record/commands/summarise-session';
import { findRow, hasRow } from '../../record/read';
import { readHead, sessionRecord } from '../../record/session';
import { sessionEventRecord } from '../../record/session-event';
import { putTimesRight } from '../../record/times';
import { changeRows } from '../../record/write';
import { sameJson } from '../../same-json';
import { type AddedRow, keepImport } from '../imports';
import { checkOcclusion, refuseUnlessAllowed, withoutClaimedRole } from './claims';
import { NotAnArchive, readArchive } from './read-archive';
import { isSameFingerprint } from './site-key';

type Row = Record<string, unknown>;

/** Who takes it in, when, and what it is called in the list of what was. */
export type TakingIn = {
  matches: ArchiveMatches;
  words: string;
  practitionerId: string;
  /** Rows that are for others to bring are refused. */
  doer: Doer;
  nowMs: number;
  /** The fingerprint that the site shows which it comes from, as it was typed; empty where it was not compared. */
  movedFrom: string;
};

/** How many rows that differ here are shown. */
const MOST_SHOWN = 50;

/**
 * Takes an archive in: what is new here is added, what is here stays as it is. To be called in a transaction, which is rolled
 * back where only its preview is wanted: the preview is what would be done.
 * @throws NotAnArchive with the line and what to do
 */
export function takeIn(
  prepare: Prepare,
  lines: Iterable<string>,
  { matches, words, practitionerId, doer, nowMs, movedFrom }: TakingIn,
): ArchivePreview & { id: string } {
  const id = randomUUID();
  // One person brings neither the settings nor the practitioners of where they were.
  const isEmpty = !hasRow(prepare, clientRecord, 'all');
  let takesSettings = false;
  const counts = new Map<ArchiveKind, { added: number; same: number; otherwise: number }>();
  const people = new Map<string, ArchivePreview['people'][number]>();
  const otherwise: ArchivePreview['otherwise'] = [];
  const grown = new Set<string>();
  const added: AddedRow[] = [];
  const pressures: { row: Row; at: number }[] = [];
  const sessions = new Set<string>();
  let of: ArchiveOf | null = null;
  let signedBy: string | null = null;
  let at = 0;
  for (const read of readArchive(lines)) {
    at += 1;
    if ('signedBy' in read) {
      signedBy = read.signedBy;
      continue;
    }
    if (!('row' in read)) {
      of = read;
      takesSettings = isEmpty && of.kind === 'practice';
      continue;
    }
    if (read.kind === 'client') people.set(String(read.row.id), personOf(prepare, read.row, matches));
    countRow(people, read);
    refuseUnlessAllowed(read.kind, read.row, doer, at);
    const row = withoutClaimedRole(read.kind, placed(read, matches, takesSettings), doer);
    const came = keep(prepare, read.kind, row, {
      at,
      takesSettings,
      isMatched: isMatchedClient(read, matches),
    });
    const count = counts.get(read.kind) ?? { added: 0, same: 0, otherwise: 0 };
    counts.set(read.kind, { ...count, [came.kind]: count[came.kind] + 1 });
    if (came.kind === 'otherwise' && otherwise.length < MOST_SHOWN) {
      otherwise.push({ kind: read.kind, words: wordsOf(row), ...came.differs });
    }
    if (came.kind !== 'added') continue;
    if (read.kind === 'occlusion-pressure') pressures.push({ row, at });
    if (read.kind === 'session') sessions.add(String(row.id));
    if (read.kind === 'event') refuseIntoSession(sessions, row, at);
    if (read.kind === 'event') grown.add((row.event as SessionEvent).sessionId);
    if (!NOT_TAKEN_BACK.has(read.kind)) added.push({ kind: read.kind, rowId: rowIdOf(read.kind, row) });
  }
  const isMove = takesSettings && isMoveFrom(movedFrom, signedBy, at);
  for (const { row, at: line } of pressures) checkOcclusion(prepare, row, line);
  for (const sessionId of grown) growSession(prepare, sessionId);
  const clientIds = [...people.keys()].map((clientId) => matches[clientId] ?? clientId);
  // An archive of an earlier release says only in its screenings what people have, and less in its letters.
  for (const clientId of clientIds) {
    fillConditionsOf(prepare, clientId, 'ended-here-only');
    fillLettersOf(prepare, clientId);
  }
  // Nothing happened after it was received.
  putTimesRight(prepare, nowMs);
  if (added.length > 0)
    for (const clientId of clientIds) raiseHolds(prepare, clientId, [holdOfImport(id, clientId, nowMs)]);
  keepImport(prepare, { id, nowMs, practitionerId, words, clientIds, isMove }, added);
  return {
    id,
    of: of ?? { kind: 'practice' },
    takesSettings,
    signedBy,
    isMove,
    people: [...people.values()],
    counts: ARCHIVE_KINDS.flatMap((kind) => {
      const count = counts.get(kind);
      return count ? [{ kind, ...count }] : [];
    }),
    otherwise,
  };
}

/**
 * Whether a practice comes from the site whose fingerprint was compared: then what was signed there counts here
 * (rule START-3). @throws NotAnArchive where another one has signed it
 */
function isMoveFrom(movedFrom: string, signedBy: string | null, at: number): boolean {
  if (movedFrom.trim() === '') return false;
  if (signedBy !== null && isSameFingerprint(signedBy, movedFrom)) return true;
  throw new NotAnArchive(
    at,
    msg(
      'it is signed by {signedBy}, and not by {movedFrom}. Compare the key with what the other site shows, or leave it empty.',
      { signedBy: signedBy ?? msg('no site'), movedFrom },
    ),
  );
}

/** What came from a file opens nothing before a clinician has looked through it (rule START-3). */
const holdOfImport = (id: string, clientId: string, nowMs: number): NewHold => ({
  cause: `import ${id} ${clientId}`,
  words: msg('Records came from a file'),
  rule: 'START-3',
  atMs: nowMs,
  limb: null,
  subject: null,
  ends: { by: 'clinician', notBeforeMs: nowMs },
});

/** A session that is on record here is what its devices said: a file adds nothing to it. */
function refuseIntoSession(sessions: ReadonlySet<string>, row: Row, at: number): void {
  if (sessions.has((row.event as SessionEvent).sessionId)) return;
  throw new NotAnArchive(at, msg('this event is of a session that is on record here, and says more of it.'));
}

/** What stays where an archive is taken back: what was said of people, and what the practice is called. */
const NOT_TAKEN_BACK: ReadonlySet<ArchiveKind> = new Set(['audit', 'practice']);

/** Which client here a client of an archive may be. */
function personOf(prepare: Prepare, row: Row, matches: ArchiveMatches): ArchivePreview['people'][number] {
  const clientId = String(row.id);
  return { clientId, name: String(row.name), rows: 0, match: matchOf(prepare, row, matches) };
}

function matchOf(prepare: Prepare, row: Row, matches: ArchiveMatches): Match {
  const same = findRow(prepare, clientRecord, { id: matches[String(row.id)] ?? String(row.id) }, ['name']);
  if (same) return { kind: 'same-record', name: same.name };
  const people = readNamed(prepare, String(row.name));
  return people.length > 0 ? { kind: 'same-name', people } : { kind: 'new' };
}

/** Counts what comes for a person; what hangs on a session or a measurement is counted with it. */
function countRow(people: Map<string, ArchivePreview['people'][number]>, { row }: ArchiveRow): void {
  const person = people.get(String(row.clientId));
  if (person) person.rows += 1;
}

const isMatchedClient = ({ kind, row }: ArchiveRow, matches: ArchiveMatches): boolean =>
  kind === 'client' && matches[String(row.id)] !== undefined;

/** A row as it will be stored here: of the client it is matched with; practitioners of another practice do not work here. */
function placed({ kind, row }: ArchiveRow, matches: ArchiveMatches, takesSettings: boolean): Row {
  if (kind === 'client') return { ...row, id: matches[String(row.id)] ?? row.id };
  if (kind === 'practitioner') return takesSettings ? row : { ...row, elsewhere: true };
  if (kind === 'audit') return { ...row, subject: matches[String(row.subject)] ?? row.subject };
  return 'clientId' in row ? { ...row, clientId: matches[String(row.clientId)] ?? row.clientId } : row;
}

type Came =
  | { kind: 'added' }
  | { kind: 'same' }
  | { kind: 'otherwise'; differs: { here: string; there: string } };

/** Adds a row that is not here; one that is stays as it is. */
function keep(
  prepare: Prepare,
  kind: ArchiveKind,
  row: Row,
  { at, takesSettings, isMatched }: { at: number; takesSettings: boolean; isMatched: boolean },
): Came {
  if (isMatched) return { kind: 'same' };
  const here = standing(prepare, kind, row);
  if (here && kind === 'practice' && takesSettings) {
    replaceArchived(prepare, kind, row);
    return { kind: 'same' };
  }
  if (here) return compared(kind, here, row);
  insert(prepare, kind, row, at);
  return { kind: 'added' };
}

function compared(kind: ArchiveKind, here: Row, there: Row): Came {
  // Whether a person works here is for the practice to say.
  const differing = propertiesOf(kind).find(
    (property) =>
      property !== 'elsewhere' && property !== 'listOrder' && !sameJson(here[property], there[property]),
  );
  if (differing === undefined) return { kind: 'same' };
  const shown = (row: Row) => `${differing}: ${JSON.stringify(row[differing] ?? null).slice(0, 120)}`;
  return { kind: 'otherwise', differs: { here: shown(here), there: shown(there) } };
}

function insert(prepare: Prepare, kind: ArchiveKind, row: Row, at: number): void {
  refuseOfAnother(prepare, kind, row, at);
  if (kind === 'audit') {
    appendAudit(prepare, { ...row, detail: toDatabase(kind, row).detail } as AuditRow);
    return;
  }
  try {
    insertArchived(prepare, kind, row);
  } catch (error) {
    if (isForeignKeyClash(error))
      throw new NotAnArchive(
        at,
        msg('this {kind} names something that is neither in the file nor here.', { kind }),
      );
    if (isUniqueClash(error))
      throw new NotAnArchive(at, msg('this {kind} takes the place of another that is here.', { kind }));
    throw error;
  }
}

/** A file that was put together by hand does not hang one person's record on another's. */
function refuseOfAnother(prepare: Prepare, kind: ArchiveKind, row: Row, at: number): void {
  const named = ARCHIVED[kind].ofTheSame;
  const id = named && row[named.property];
  if (!named || id === null || id === undefined) return;
  const whose = clientOf(prepare, named.table, id);
  if (whose !== undefined && whose !== row.clientId)
    throw new NotAnArchive(
      at,
      msg('this {kind} belongs to the record of another person. Fetch the file again.', { kind }),
    );
}

/** What a row is about, in words a person knows it by. */
function wordsOf(row: Row): string {
  const item = (row.item ?? row.exercise ?? row.measure ?? {}) as { label?: string };
  return String(item.label ?? row.name ?? row.label ?? row.what ?? row.id ?? '');
}

/** A session whose log has grown: whether it is over, and what later ones ask of it. */
function growSession(prepare: Prepare, sessionId: string): void {
  const finished = findRow(prepare, sessionEventRecord, { sessionId, type: 'session-finished' }, ['atMs'], {
    order: 'at_ms',
  });
  changeRows(prepare, sessionRecord, { id: sessionId }, { finishedAtMs: finished?.atMs ?? null });
  const head = readHead(prepare, sessionId);
  if (head) summarise(prepare, head);
}
