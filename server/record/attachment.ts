import { p } from '@mikro-orm/core';
import { type AttachedTo, type AttachedType, type Attachment, PART_BYTES } from '#contract/attachments';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, retracted } from './define';
import { findRow } from './read';
import { keepRow } from './write';

/** An attachment of a record: a letter, a signed consent, a photographed sheet. Its content is in parts. */
export const attachmentRecord = defineRecord({
  name: 'Attachment',
  table: 'attachment',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    about: p.string().$type<AttachedTo>(),
    /** The clearance, consent or session it belongs to; null for the person. */
    aboutId: p.string().nullable(),
    name: p.string(),
    mediaType: p.string().$type<AttachedType>(),
    bytes: p.integer(),
    /** Of the content as it is kept. */
    sha256: p.string(),
    practitionerId: p.string(),
    retracted: retracted(),
  },
  at: ['atMs'],
  retract: { kind: 'attachment', content: jsonObject({ name: 'name' }) },
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'attachment' },
  checks: ["media_type in ('application/pdf', 'image/jpeg', 'image/png')"],
  indexes: ['attachment (client_id, at_ms)'],
});

/** A part of the content of an attachment, in base64. */
export const attachmentPartRecord = defineRecord({
  name: 'AttachmentPart',
  table: 'attachment_part',
  of: { through: 'attachmentId', table: 'attachment' },
  properties: {
    id: id(),
    attachmentId: p.string().index(),
    place: p.integer(),
    content: p.text(),
  },
  refers: { attachmentId: 'attachment' },
  archive: { kind: 'attachment-part', order: AS_WRITTEN },
  indexes: ['attachment_part (attachment_id, place)'],
});

/** Attachments of a client, the newest first, without their content. */
export const readAttachments = (prepare: Prepare, ofClient: string): Attachment[] =>
  (
    prepare(
      `select attachment.id, at_ms as "atMs", about, about_id as "aboutId", attachment.name, media_type as "mediaType",
         bytes, coalesce(person.name, '') as "by", retracted
       from attachment left join person on person.id = practitioner_id
       where client_id = ? order by at_ms desc, attachment.${AS_WRITTEN} desc`,
    ).all(ofClient) as (Omit<Attachment, 'isRetracted'> & { retracted: number })[]
  ).map(({ retracted: isRetracted, ...attachment }) => ({ ...attachment, isRetracted: isRetracted === 1 }));

/** The content of an attachment of a client; undefined where they have none of this id. */
export function readContent(
  prepare: Prepare,
  ofClient: string,
  attachmentId: string,
): { name: string; mediaType: AttachedType; content: Buffer } | undefined {
  const row = findRow(prepare, attachmentRecord, { id: attachmentId, clientId: ofClient }, [
    'name',
    'mediaType',
  ]);
  if (!row) return undefined;
  const parts = prepare('select content from attachment_part where attachment_id = ? order by place').all(
    attachmentId,
  ) as { content: string }[];
  return { ...row, content: Buffer.concat(parts.map(({ content }) => Buffer.from(content, 'base64'))) };
}

/** Keeps an attachment with its content. To be called in a transaction. */
export function keepAttachment(
  prepare: Prepare,
  attachment: {
    id: string;
    clientId: string;
    atMs: number;
    about: AttachedTo;
    aboutId: string | null;
    name: string;
    mediaType: AttachedType;
    sha256: string;
    practitionerId: string;
  },
  content: Buffer,
): void {
  keepRow(prepare, attachmentRecord, { ...attachment, bytes: content.length });
  for (let place = 0; place * PART_BYTES < content.length; place += 1) {
    const part = content.subarray(place * PART_BYTES, (place + 1) * PART_BYTES);
    keepRow(prepare, attachmentPartRecord, {
      id: `${attachment.id} ${place}`,
      attachmentId: attachment.id,
      place,
      content: part.toString('base64'),
    });
  }
}
