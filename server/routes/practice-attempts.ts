import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import {
  type NewPracticeAttempt,
  newPracticeAttemptSchema,
  type PracticeBench,
} from '#contract/practice-attempt';
import { agreementOf, makePracticeCase, scorePractice } from '#core/learning';
import type { Env } from '../context';
import { withAudit } from '../db/with-audit';
import { practiceAttemptRecord } from '../record/practice-attempt';
import { keepRow } from '../record/write';
import { body } from '../validate';

const LAST = 40;
/** Of colleagues, so many attempts are looked through for limbs to measure as well. */
const LOOKED_THROUGH = 60;
const SHARED_SHOWN = 5;

/** Attempts at the practice bench: one's own, and how far one is from colleagues on the same limbs; no colleague is named. */
export const practiceAttemptRoutes = new Hono<Env>()
  .get('/', async (c) => {
    const { em } = c.var;
    const practitionerId = c.var.practitioner?.id ?? '';
    const newest = { orderBy: { atMs: 'desc' } } as const;
    const own = await em.find(practiceAttemptRecord.entity, { practitionerId }, { ...newest, limit: LAST });
    const others = { practitionerId: { $ne: practitionerId } };
    const lately = await em.find(practiceAttemptRecord.entity, others, { ...newest, limit: LOOKED_THROUGH });
    const shared = await em.find(practiceAttemptRecord.entity, {
      ...others,
      seed: { $in: own.map(({ seed }) => seed) },
    });
    const mine = firstOfEach(own);
    const theirs = firstOfEach(shared);
    const bench: PracticeBench = {
      attempts: own
        .map(({ id, atMs, errorMmHg, points, answer }) => ({
          id,
          atMs,
          errorMmHg,
          points,
          method: answer.method ?? 'doppler',
        }))
        .reverse(),
      toShare: [...firstOfEach(lately)]
        .filter(([key]) => !mine.has(key))
        .slice(-SHARED_SHOWN)
        .map(([, { seed, method = 'doppler', limbs = 'any' }]) => ({ seed, method, limbs })),
      agreement: agreementOf(
        [...mine].flatMap(([key, { statedMmHg }]) => {
          const other = theirs.get(key);
          return other ? [statedMmHg - other.statedMmHg] : [];
        }),
      ),
    };
    return c.json(bench);
  })

  .post('/', body(newPracticeAttemptSchema), async (c) => {
    const answer = c.req.valid('json');
    const score = scorePractice(makePracticeCase(answer.seed, answer), answer);
    const { errorMmHg, points } = score;
    const id = randomUUID();
    await withAudit(
      c,
      { action: 'practised', subject: c.var.practitioner.id, detail: { id, points } },
      (prepare) => {
        keepRow(prepare, practiceAttemptRecord, {
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

type Kept = { atMs: number; answer: NewPracticeAttempt };

/** The first attempt at each limb: afterwards one knows the truth. Oldest first. */
function firstOfEach(attempts: readonly Kept[]): Map<string, NewPracticeAttempt> {
  const first = new Map<string, NewPracticeAttempt>();
  for (const { answer } of attempts.toSorted((a, b) => a.atMs - b.atMs)) {
    const key = `${answer.seed} ${answer.method ?? 'doppler'} ${answer.limbs ?? 'any'}`;
    if (!first.has(key)) first.set(key, answer);
  }
  return first;
}
