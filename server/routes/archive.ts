import { type Context, Hono } from 'hono';
import { stream } from 'hono/streaming';
import { z } from 'zod';
import {
  type ArchiveOf,
  type ArchivePreview,
  archiveMatchesSchema,
  type SiteFingerprint,
} from '#contract/archive';
import { ARCHIVE_KINDS, type ArchiveKind } from '#contract/archive-rows';
import { issue, msg, sentences } from '#core/message';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { findClient } from '../db/client-facts';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { takeIn } from '../interchange/archive/import-archive';
import { LONGEST_LINE, NotAnArchive } from '../interchange/archive/read-archive';
import { siteKey } from '../interchange/archive/site-key';
import { takeBack } from '../interchange/archive/undo-import';
import { archiveRows, writeArchive } from '../interchange/archive/write-archive';
import { bundleOf } from '../interchange/clinical/bundle';
import { writeCsv } from '../interchange/csv-out';
import { linesOf, spooled } from '../interchange/spool';
import { tellPractice } from '../live/tell-change';
import { notFound, Problem } from '../problem';
import { clientRecord } from '../record/client';
import { readImports } from '../record/import-batch';
import { query } from '../validate';

const ARCHIVE = {
  // While it is imported, all or nothing, no other request is answered.
  mostMb: 16,
  else: msg('Take a larger one in with the server stopped: npm run archive -- in FILE'),
};

const takingInSchema = z.object({
  /** Which client of the archive is which one here, as JSON. */
  matches: z
    .string()
    .max(20_000)
    .default('{}')
    .transform((text, context) => {
      try {
        return archiveMatchesSchema.parse(JSON.parse(text));
      } catch {
        context.addIssue(
          issue(msg('Give the matches as JSON: {example}.', { example: '{"id there":"id here"}' })),
        );
        return z.NEVER;
      }
    }),
  /** What the file is called. */
  name: z.string().max(200).default('an archive'),
  /** The key of the site it comes from, as it was compared. */
  movedFrom: z.string().max(80).default(''),
});

const csvSchema = z.object({ separator: z.enum(['comma', 'semicolon']).default('comma') });

/** The whole practice or one person as a file, out and in (docs/archive-format.md). */
export const archiveRoutes = new Hono<Env>()
  .get('/', (c) => sendArchive(c, { kind: 'practice' }))

  .get('/site-key', async (c) => {
    const { fingerprint } = await inTransaction(c.var.em, siteKey);
    return c.json({ fingerprint } satisfies SiteFingerprint);
  })

  .get('/of/:clientId', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('clientId'));
    const { name } = await c.var.em.findOneOrFail(clientRecord.entity, { id });
    return sendArchive(c, { kind: 'client', clientId: id, name });
  })

  .get('/of/:clientId/fhir', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('clientId'));
    const bundle = bundleOf(archiveRows(fileOf(c), { kind: 'client', clientId: id, name: '' }));
    return sendLines(c, [JSON.stringify(bundle)], 'application/fhir+json; charset=utf-8', {
      action: 'archive-taken-out',
      subject: id,
    });
  })

  .get('/csv/:kind', query(csvSchema), async (c) => {
    const kind = c.req.param('kind') as ArchiveKind;
    if (!ARCHIVE_KINDS.includes(kind)) throw notFound(msg('This table'));
    const separator = c.req.valid('query').separator === 'semicolon' ? ';' : ',';
    return sendLines(c, writeCsv(fileOf(c), kind, separator), 'text/csv; charset=utf-8', {
      action: 'archive-taken-out',
      subject: kind,
    });
  })

  .get('/imports', async (c) => c.json(await withStatements(c.var.em, readImports)))

  .post('/preview', query(takingInSchema), async (c) => {
    const { id: _, ...preview } = await takeInBody(c, c.req.valid('query'), 'undo');
    return c.json(preview satisfies ArchivePreview);
  })

  .post('/', query(takingInSchema), async (c) => {
    const taken = await takeInBody(c, c.req.valid('query'), 'keep');
    return c.json(taken, 201);
  })

  .post('/imports/:id/undo', async (c) => {
    const by = { practitionerId: c.var.practitioner.id, nowMs: c.var.nowMs };
    await inTransaction(c.var.em, (prepare) => takeBack(prepare, c.req.param('id'), by));
    tellPractice(c);
    return c.json(await withStatements(c.var.em, readImports));
  });

/** So long no other request is answered while a file goes out. */
const PIECE_MS = 10;

const fileOf = (c: Context<Env>): string => String(c.var.em.config.get('dbName'));

async function sendArchive(c: Context<Env>, of: ArchiveOf): Promise<Response> {
  const sign = of.kind === 'practice' ? (await inTransaction(c.var.em, siteKey)).sign : undefined;
  return sendLines(c, writeArchive(fileOf(c), of, sign), 'application/x-ndjson; charset=utf-8', {
    action: 'archive-taken-out',
    subject: of.kind === 'client' ? of.clientId : 'practice',
  });
}

/** Sends lines as they are made, and says in the audit that they went out. */
async function sendLines(
  c: Context<Env>,
  lines: Iterable<string>,
  type: string,
  note: AuditNote,
): Promise<Response> {
  const by = { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs };
  await withStatements(c.var.em, (prepare) => writeAudit(prepare, note, by));
  c.header('content-type', type);
  c.header('cache-control', 'no-store');
  return stream(c, async (out) => {
    // Other requests are answered in between: a practice of years takes half a minute.
    let sinceMs = performance.now();
    let piece = '';
    for (const line of lines) {
      piece += line;
      if (performance.now() - sinceMs < PIECE_MS) continue;
      if (out.aborted) return;
      await out.write(piece);
      await new Promise(setImmediate);
      [piece, sinceMs] = ['', performance.now()];
    }
    await out.write(piece);
  });
}

async function takeInBody(
  c: Context<Env>,
  { matches, name, movedFrom }: z.output<typeof takingInSchema>,
  then: 'keep' | 'undo',
): Promise<ReturnType<typeof takeIn>> {
  const taking = {
    matches,
    words: name,
    practitionerId: c.var.practitioner.id,
    doer: c.var.practitioner,
    nowMs: c.var.nowMs,
    movedFrom,
  };
  return spooled(c.req.raw.body, ARCHIVE, async (file) => {
    try {
      return await inTransaction(
        c.var.em,
        (prepare) => takeIn(prepare, linesOf(file, LONGEST_LINE), taking),
        then,
      );
    } catch (error) {
      if (!(error instanceof NotAnArchive)) throw error;
      throw new Problem(422, msg('Not imported'), sentences(error.says, msg('Nothing was stored.')), [
        { path: `line.${error.line}`, message: error.says },
      ]);
    } finally {
      if (then === 'keep') tellPractice(c);
    }
  });
}
