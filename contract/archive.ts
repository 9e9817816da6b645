import { z } from 'zod';
import type { Text } from '#core/message';
import { ARCHIVE_KINDS, ARCHIVE_ROWS, type ArchiveKind } from './archive-rows';

export const ARCHIVE_FORMAT = 'nervato-archive';
/** Rises when a kind of row changes in a way that its older rows no longer fit; older ones are read for ever. */
export const ARCHIVE_VERSION = 1;

/** What an archive holds: a practice with everyone in it, or one person. */
export const archiveOfSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('practice') }),
  z.object({ kind: z.literal('client'), clientId: z.string().min(1), name: z.string() }),
]);
export type ArchiveOf = z.infer<typeof archiveOfSchema>;

export const archiveHeadSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(ARCHIVE_VERSION),
  /** Of the app that wrote it; archives before 0.2.0 do not say. */
  release: z.string().max(40).optional(),
  of: archiveOfSchema,
});

/** A signature of the SHA-256 in the last line, with the key it was made by (Ed25519, as base64 of SPKI). */
export const archiveSignatureSchema = z.object({ key: z.string().max(200), value: z.string().max(200) });
export type ArchiveSignature = z.infer<typeof archiveSignatureSchema>;

/**
 * The last line, by which a file that was cut short or changed is known: rows before it, and the SHA-256 of all lines before it;
 * of a whole practice also the signature of the site that exported it.
 */
export const archiveEndSchema = z.object({
  end: z.object({ rows: z.number().int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  signed: archiveSignatureSchema.optional(),
});

const rowLine = <K extends ArchiveKind>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), row: ARCHIVE_ROWS[kind] });

const [firstKind, ...otherKinds] = ARCHIVE_KINDS.map(rowLine);
if (!firstKind) throw new Error('An archive without a kind of row.');

/** Any line of an archive; docs/archive.schema.json is made of it. */
export const archiveLineSchema = z.union([
  archiveHeadSchema,
  z.discriminatedUnion('kind', [firstKind, ...otherKinds]),
  archiveEndSchema,
]);

/** A row of an archive, as it was written: nothing is left out that a reader of it does not know. */
export type ArchiveRow = { kind: ArchiveKind; row: Record<string, unknown> };

/** What an archive would change here, shown before it does. */
export type ArchivePreview = {
  of: ArchiveOf;
  /** The practice takes the archive's own settings where it has no people yet. */
  takesSettings: boolean;
  /** The fingerprint of the site that signed it; null where none did. */
  signedBy: string | null;
  /** Whether it is a move: what was signed there counts as signed here (rule START-3). */
  isMove: boolean;
  people: { clientId: string; name: string; rows: number; match: Match }[];
  /** Rows by kind: new here, here already and the same, here already and otherwise. */
  counts: { kind: ArchiveKind; added: number; same: number; otherwise: number }[];
  /** Rows that differ from the row of the same id here, in words; what is here is kept. The first of many. */
  otherwise: { kind: ArchiveKind; words: string; here: string; there: string }[];
};

/** Which client here a client of an archive may be: the same record, one of the same name, or a new one. */
export type Match =
  | { kind: 'same-record'; name: string }
  | { kind: 'same-name'; people: { clientId: string; name: string; addedAtMs: number }[] }
  | { kind: 'new' };

/** Ids here of clients of an archive, by the archive's ids; a client that is not in it is added as a new one. */
export const archiveMatchesSchema = z.record(z.string().max(80), z.string().max(80));
export type ArchiveMatches = z.infer<typeof archiveMatchesSchema>;

/** The key a site signs exported practices with, as people compare it. */
export type SiteFingerprint = { fingerprint: string };

/** One import, which can be undone as one. */
export type ImportBatch = {
  id: string;
  atMs: number;
  practitionerId: string;
  /** What came in, in words: the name of the file, or what of a table. */
  words: Text;
  rows: number;
  undoneAtMs: number | null;
};

/** The JSON Schema of a line, as docs/archive.schema.json says it. */
export const archiveJsonSchema = (): object =>
  z.toJSONSchema(archiveLineSchema, { io: 'input', unrepresentable: 'any' });
