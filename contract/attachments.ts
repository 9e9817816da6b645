import { z } from 'zod';
import { msg } from '#core/message';

/** The kinds of files that are kept: what a file is follows from its content, not from its name. */
export const ATTACHED_TYPES = ['application/pdf', 'image/jpeg', 'image/png'] as const;
const mediaTypeSchema = z.enum(ATTACHED_TYPES);
export type AttachedType = z.infer<typeof mediaTypeSchema>;

export const MOST_ATTACHED_BYTES = 10 * 1024 * 1024;
/** A file is kept in parts of so many bytes: a line of an archive has a bound. */
export const PART_BYTES = 384 * 1024;

/** What an attachment belongs to: the person, or an entry of their record. */
export const attachedToSchema = z.enum(['person', 'clearance', 'consent', 'session']);
export type AttachedTo = z.infer<typeof attachedToSchema>;

const fileNameSchema = z
  .string()
  .trim()
  .min(1, msg('Give the file a name.'))
  .max(120, msg('At most 120 characters.'));

/** What comes with a file, after the question mark; the file itself is the body. */
export const newAttachmentSchema = z.object({
  id: z.uuid(),
  name: fileNameSchema,
  about: attachedToSchema,
  /** The entry; the newest of its kind where it is left out, none for an attachment of the person. */
  aboutId: z.string().min(1).max(80).optional(),
});

/** What an archive has of an attachment, beside its content. */
export const attachmentRowSchema = {
  about: attachedToSchema,
  aboutId: z.string().min(1).max(80).nullable(),
  name: fileNameSchema,
  mediaType: mediaTypeSchema,
  bytes: z.number().int().min(1).max(MOST_ATTACHED_BYTES),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
};

/** A part of a file, in base64. */
export const attachmentPartSchema = z.base64().max(Math.ceil(PART_BYTES / 3) * 4);

/** An attachment of a record. A retracted one stays, struck through. */
export type Attachment = {
  id: string;
  atMs: number;
  about: AttachedTo;
  aboutId: string | null;
  name: string;
  mediaType: AttachedType;
  bytes: number;
  by: string;
  isRetracted: boolean;
};
