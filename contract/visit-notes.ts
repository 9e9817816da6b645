import { z } from 'zod';
import { msg } from '#core/message';

/** A note of a visit, as it is typed. */
export const newVisitNoteSchema = z.object({
  /** Made by the device, so that a note that is sent twice is kept once. */
  id: z.uuid(),
  /** When the visit was, in ms since 1970. */
  atMs: z.number().int(),
  words: z.string().trim().min(1, msg('Write the note.')).max(4_000, msg('At most 4,000 characters.')),
  /** The note that it corrects, which is retracted with it; null for a new one. */
  corrects: z
    .object({
      id: z.string().min(1).max(80),
      reason: z.string().trim().min(1, msg('Say why.')).max(400, msg('At most 400 characters.')),
    })
    .nullable(),
});
export type NewVisitNote = z.infer<typeof newVisitNoteSchema>;

/** A note of a visit. A retracted one stays, struck through. */
export type VisitNote = {
  id: string;
  /** When the visit was. */
  atMs: number;
  writtenAtMs: number;
  /** Who signed it. */
  by: string;
  words: string;
  retracted: { atMs: number; by: string; reason: string } | null;
};
export type VisitNotes = { notes: VisitNote[]; hasMore: boolean };

export const visitNotesQuerySchema = z.object({
  beforeMs: z.coerce.number().int().default(Number.MAX_SAFE_INTEGER),
  /** Only notes that have all of these words in them; empty for every note. */
  search: z.string().trim().max(100).default(''),
});

/** Notes of all people that have some words in them. */
export const noteSearchSchema = z.object({ search: z.string().trim().min(2).max(100) });
/** One of them. @property words those around what was searched for */
export type FoundNote = { id: string; client: { id: string; name: string }; atMs: number; words: string };
