import { Hono } from 'hono';
import {
  type FoundNote,
  newVisitNoteSchema,
  noteSearchSchema,
  type VisitNotes,
  visitNotesQuerySchema,
} from '#contract/visit-notes';
import { requirePermission } from '../access/practitioner';
import type { Env } from '../context';
import { findClient } from '../db/client-facts';
import { withStatements } from '../db/dialect/connection';
import { withAudit } from '../db/with-audit';
import { happenedAtMs } from '../happened';
import { tellChange } from '../live/tell-change';
import { retract } from '../record/corrections';
import { isKept } from '../record/kept';
import { keepVisitNote, readVisitNotes, searchVisitNotes, visitNoteRecord } from '../record/visit-note';
import { body, query } from '../validate';

/** Notes of visits: free text, dated and signed. Every answer to a write is the newest page of them. */
export const visitNoteRoutes = new Hono<Env>()
  .get('/notes', query(noteSearchSchema), async (c) => {
    const { search } = c.req.valid('query');
    const found: FoundNote[] = await withStatements(c.var.em, (prepare) => searchVisitNotes(prepare, search));
    return c.json(found);
  })

  .get('/:id/notes', query(visitNotesQuerySchema), async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const asked = c.req.valid('query');
    const notes: VisitNotes = await withStatements(c.var.em, (prepare) => readVisitNotes(prepare, id, asked));
    return c.json(notes);
  })

  .post('/:id/notes', body(newVisitNoteSchema), async (c) => {
    const { id: clientId } = await findClient(c.var.em, c.req.param('id'));
    const { corrects, ...typed } = c.req.valid('json');
    if (corrects) requirePermission(c.var.practitioner, 'correct-record');
    const by = { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs };
    const note = {
      ...typed,
      clientId,
      atMs: happenedAtMs(typed.atMs, c.var.nowMs, 'RUN-9'),
      writtenAtMs: c.var.nowMs,
      practitionerId: by.practitionerId,
    };
    const detail = { id: note.id, corrects: corrects?.id ?? null };
    await withAudit(c, { action: 'visit-note-kept', subject: clientId, detail }, (prepare) => {
      // One that was sent twice has retracted the other already.
      if (isKept(prepare, visitNoteRecord, note.id, clientId)) return;
      keepVisitNote(prepare, note);
      if (corrects) retract(prepare, clientId, { kind: 'visit-note', ...corrects }, by);
    });
    await tellChange(c, clientId);
    const asked = visitNotesQuerySchema.parse({});
    return c.json(await withStatements(c.var.em, (prepare) => readVisitNotes(prepare, clientId, asked)), 201);
  });
