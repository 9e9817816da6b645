import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newPracticeAttemptSchema, type PracticeAttempt } from '#contract/practice-attempt';
import { makePracticeCase } from '#core/simulation/practice-case';
import { scorePractice } from '#core/simulation/practice-score';
import type { Env } from '../context';
import { PracticeAttemptEntity } from '../db/entities';
import { withAudit } from '../db/with-audit';
import { body } from '../validate';

const LAST = 40;

/** Attempts at the practice bench, each practitioner's own. */
export const practiceAttemptRoutes = new Hono<Env>()
  .get('/', async (c) => {
    const practitionerId = c.var.practitioner?.id ?? '';
    const rows = await c.var.em.find(
      PracticeAttemptEntity,
      { practitionerId },
      { orderBy: { atMs: 'desc' }, limit: LAST },
    );
    const attempts: PracticeAttempt[] = rows
      .map(({ id, atMs, errorMmHg, points }) => ({ id, atMs, errorMmHg, points }))
      .reverse();
    return c.json(attempts);
  })

  .post('/', body(newPracticeAttemptSchema), async (c) => {
    const answer = c.req.valid('json');
    const score = scorePractice(makePracticeCase(answer.seed), answer);
    const { errorMmHg, points } = score;
    const id = randomUUID();
    await withAudit(
      c,
      { action: 'practised', subject: c.var.practitioner.id, detail: { id, points } },
      (em) => {
        em.create(PracticeAttemptEntity, {
          id,
          practitionerId: c.var.practitioner.id,
          atMs: c.var.nowMs,
          seed: answer.seed,
          errorMmHg,
          points,
          answer,
        });
      },
    );
    return c.json(score, 201);
  });
