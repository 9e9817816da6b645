import { type Context, Hono } from 'hono';
import { type AttachedTo, type Attachment, newAttachmentSchema } from '#contract/attachments';
import { msg } from '#core/message';
import { attachedType, received } from '../attachments/received';
import type { Env } from '../context';
import { findClient } from '../db/client-facts';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { withAudit } from '../db/with-audit';
import { tellChange } from '../live/tell-change';
import { notFound, Problem } from '../problem';
import { attachmentRecord, keepAttachment, readAttachments, readContent } from '../record/attachment';
import { clearanceRecord } from '../record/clearance';
import { consentRecord } from '../record/consent';
import { momentOf } from '../record/define';
import { isKept } from '../record/kept';
import { findRows } from '../record/read';
import { sessionRecord } from '../record/session';
import { sha256 } from '../sha256';
import { query } from '../validate';

const ENTRIES = { clearance: clearanceRecord, consent: consentRecord, session: sessionRecord };

/** Attachments of a record. Every answer to a write is the list of them. */
export const attachmentRoutes = new Hono<Env>()
  .get('/:id/attachments', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    return c.json(await attachmentsOf(c, id));
  })

  /** The file is the body, as it is. */
  .post('/:id/attachments', query(newAttachmentSchema), async (c) => {
    const { id: clientId } = await findClient(c.var.em, c.req.param('id'));
    const { id, name, about, aboutId: asked } = c.req.valid('query');
    const { mediaType, content } = await received(Buffer.from(await c.req.arrayBuffer()));
    const aboutId = await withStatements(c.var.em, (prepare) => entryOf(prepare, clientId, about, asked));
    const attachment = {
      ...{ id, clientId, name, about, aboutId, mediaType },
      atMs: c.var.nowMs,
      sha256: sha256(content),
      practitionerId: c.var.practitioner.id,
    };
    const detail = { id, about, aboutId, mediaType, bytes: content.length, sha256: attachment.sha256 };
    await withAudit(c, { action: 'attached', subject: clientId, detail }, (prepare) => {
      if (!isKept(prepare, attachmentRecord, id, clientId)) keepAttachment(prepare, attachment, content);
    });
    await tellChange(c, clientId);
    return c.json(await attachmentsOf(c, clientId), 201);
  })

  .get('/:id/attachments/:attachmentId', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const attachment = await withStatements(c.var.em, (prepare) =>
      readContent(prepare, id, c.req.param('attachmentId')),
    );
    if (!attachment) throw notFound(msg('This attachment'));
    // A file of another practice may say of itself what it is not.
    if ((await attachedType(attachment.content)) !== attachment.mediaType)
      throw new Problem(
        409,
        msg('Not what it says'),
        msg('What is in this attachment is not of the kind it says. It is not shown.'),
      );
    c.header('content-type', attachment.mediaType);
    c.header('content-disposition', `inline; filename*=UTF-8''${encodeURIComponent(attachment.name)}`);
    return c.body(new Uint8Array(attachment.content));
  });

const attachmentsOf = (c: Context<Env>, clientId: string): Promise<Attachment[]> =>
  withStatements(c.var.em, (prepare) => readAttachments(prepare, clientId));

/** The entry that an attachment belongs to: the one that is named, or the newest of its kind. @throws Problem 404 where they have none */
function entryOf(
  prepare: Prepare,
  clientId: string,
  about: AttachedTo,
  asked: string | undefined,
): string | null {
  if (about === 'person') return null;
  const record = ENTRIES[about];
  const [entry] = findRows(
    prepare,
    record,
    asked === undefined ? { clientId } : { clientId, id: asked },
    ['id'],
    { order: `${momentOf(record)} desc, ${AS_WRITTEN} desc` },
  );
  if (!entry) throw notFound(msg('This entry'));
  return entry.id;
}
