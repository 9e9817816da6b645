import { z } from 'zod';
import type { Counted } from '#core/cuff';
import { type Message, msg, type Text } from '#core/message';
import type { ExerciseId } from '#core/protocol';
import type { Limb, Position } from '#core/quantity';
import type { LinkId } from '#core/record';
import type { ClearanceSubject, Consent, ItemId } from '#core/screening';
import type { Side } from '#core/strength';
import { aboutSchema, type ClientRecord } from './client';

/** What can be retracted, by kind. Outcomes have a withdrawal of their own; plans and blocks have a next version. */
export const RETRACTABLE = [
  'screening',
  'clearance',
  'consent',
  'day-check',
  'fit',
  'tightness',
  'occlusion-pressure',
  'quick-check',
  'strength-test',
  'heavy-work',
  'session',
  'visit-note',
  'attachment',
] as const;
export type RetractableKind = (typeof RETRACTABLE)[number];

const reason = z.string().trim().min(1, msg('Say why.')).max(400, msg('At most 400 characters.'));

export const retractionSchema = z.object({
  kind: z.enum(RETRACTABLE),
  id: z.string().min(1).max(80),
  reason,
});

export const personChangeSchema = z
  .object({
    name: z
      .string()
      .trim()
      .min(1, msg('Give the person a name.'))
      .max(80, msg('At most 80 characters.'))
      .optional(),
    story: z.string().trim().max(400, msg('At most 400 characters.')).optional(),
    about: aboutSchema.optional(),
    /** Taken off the list of people, with all that is on record; and put back. */
    archived: z.boolean().optional(),
  })
  .refine(
    (change) => Object.values(change).some((part) => part !== undefined),
    msg('Say what is to be changed.'),
  );
export type PersonChange = z.infer<typeof personChangeSchema>;

export const mergeSchema = z.object({
  /** The other record of the same person: what is in it comes here. */
  otherId: z.string().min(1).max(80),
  reason,
});

export const eraseSchema = z.object({
  /** The person's name, typed again: this cannot be taken back. */
  name: z.string().max(200),
  reason,
});

/** The content of an entry, by its kind; the page that shows it chooses units and language. */
export type EntryContent =
  | { kind: 'screening'; yes: ItemId[] }
  | { kind: 'clearance'; subjects: ClearanceSubject[]; givenBy: string }
  | { kind: 'consent'; decision: Consent['decision']; read: Consent['read'] }
  | { kind: 'day-check'; painNow: number }
  | { kind: 'fit'; limb: Limb; girthCm: number; label: string }
  | {
      kind: 'tightness';
      limb: Limb;
      label: string;
      mark: number;
      counts: 'marks' | Counted;
      tension: string | null;
      felt: number;
    }
  | { kind: 'occlusion-pressure'; limb: Limb; position: Position; pressureMmHg: number; label: string }
  | { kind: 'quick-check'; limb: Limb; goneMmHg: number }
  | { kind: 'strength-test'; exerciseId: ExerciseId; side: Side; loadKg: number; reps: number }
  | { kind: 'heavy-work'; exerciseId: ExerciseId; side: Side; sets: number; loadKg: number; reps: number }
  | { kind: 'session'; plan: string; state: 'running' | 'finished' }
  | { kind: 'visit-note'; words: string }
  | { kind: 'attachment'; name: string };

/** An entry of a record; struck through where it was retracted. */
export type RecordEntry = {
  id: string;
  atMs: number;
  content: EntryContent;
  retracted: { atMs: number; by: string; reason: string } | null;
};
export type RecordEntries = { entries: RecordEntry[]; hasMore: boolean };
export const entriesQuerySchema = z.object({
  beforeMs: z.coerce.number().int().default(Number.MAX_SAFE_INTEGER),
});

/** What a retraction has changed beside the entry: links of the chain and plans that held before and do not hold now. */
export type Unsettled =
  | { what: 'link'; id: LinkId; words: Message }
  | { what: 'plan'; id: string; name: Text; words: Message };
export type Retracted = { record: ClientRecord; unsettled: Unsettled[] };

/** What erasing has left: counts without a name. */
export type Erased = { rows: number };
