import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newSessionAttemptSchema, type SessionAttempt } from '#contract/practice-attempt';
import { makeSessionCase, playSession, scoreSession } from '#core/learning';
import type { Env } from '../context';
import { withAudit } from '../db/with-audit';
import { sessionAttemptRecord } from '../record/session-attempt';
import { keepRow } from '../record/write';
import { body } from '../validate';

const LAST = 40;

/** Simulated sessions that were run to learn, each practitioner's own. */
export const sessionAttemptRoutes = new Hono<Env>()
  .get('/', async (c) => {
    const rows = await c.var.em.find(
      sessionAttemptRecord.entity,
      { practitionerId: c.var.practitioner?.id ?? '' },
      { orderBy: { atMs: 'desc' }, limit: LAST },
    );
    const attempts: SessionAttempt[] = rows.map(({ id, atMs, points }) => ({ id, atMs, points })).reverse();
    return c.json(attempts);
  })

  .post('/', body(newSessionAttemptSchema), async (c) => {
    const answer = c.req.valid('json');
    const session = makeSessionCase(answer.seed);
    const score = scoreSession(session, playSession(session, answer.actions, answer.endMs));
    const id = randomUUID();
    await withAudit(
      c,
      { action: 'practised', subject: c.var.practitioner.id, detail: { id, points: score.points } },
      (prepare) => {
        keepRow(prepare, sessionAttemptRecord, {
          id,
          practitionerId: c.var.practitioner.id,
          atMs: c.var.nowMs,
          seed: answer.seed,
          points: score.points,
          answer,
        });
      },
    );
    return c.json(score, 201);
  });
