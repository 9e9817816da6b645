import { fileTypeFromBuffer } from 'file-type';
import { ATTACHED_TYPES, type AttachedType } from '#contract/attachments';
import { type Message, msg } from '#core/message';
import { Problem } from '../problem';
import { jpegWithoutMetadata } from './jpeg';
import { pdfInProcess } from './pdf-process';
import { pngWithoutMetadata } from './png';

const WITHOUT_METADATA: Record<AttachedType, (file: Buffer) => Buffer | Promise<Buffer>> = {
  'application/pdf': pdfInProcess,
  'image/jpeg': jpegWithoutMetadata,
  'image/png': pngWithoutMetadata,
};

const WHAT_TO_DO: Record<AttachedType, Message> = {
  'application/pdf': msg(
    'It cannot be read as a PDF. Where it asks for a password, save it without one; else print it to a PDF again.',
  ),
  'image/jpeg': msg('It cannot be read as a JPEG: it was cut short or changed. Take the picture again.'),
  'image/png': msg('It cannot be read as a PNG: it was cut short or changed. Save it again.'),
};

/** What a file is, by its content; null for one of another kind. */
export async function attachedType(file: Buffer): Promise<AttachedType | null> {
  const type = await fileTypeFromBuffer(file);
  return ATTACHED_TYPES.find((one) => one === type?.mime) ?? null;
}

/**
 * A file as it is kept: of a kind that its content shows, without metadata and scripts.
 * @throws Problem 422 for a file of another kind, and for one that cannot be read
 */
export async function received(file: Buffer): Promise<{ mediaType: AttachedType; content: Buffer }> {
  const mediaType = await attachedType(file);
  if (mediaType === null)
    throw new Problem(
      422,
      msg('Not a PDF or a picture'),
      msg(
        'An attachment is a PDF, a JPEG or a PNG: what this file has in it is none of them, whatever it is called.',
      ),
    );
  try {
    return { mediaType, content: await WITHOUT_METADATA[mediaType](file) };
  } catch {
    throw new Problem(422, msg('Not readable'), WHAT_TO_DO[mediaType]);
  }
}
