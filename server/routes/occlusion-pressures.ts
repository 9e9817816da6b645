import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newOcclusionSchema, newQuickCheckSchema } from '#contract/measurements';
import { hardFindings } from '#core/findings';
import { msg } from '#core/message';
import {
  checkMethod,
  checkPlausibility,
  checkSteps,
  estimateOcclusionPressure,
  judgeQuickCheck,
} from '#core/occlusion-pressure';
import { restingPressureInForce } from '#core/record';
import type { Env } from '../context';
import type { AuditNote } from '../db/audit';
import { readClient, requireFittedCuff } from '../db/client-facts';
import { readPracticeSpread } from '../db/practice-spread';
import { withAudit } from '../db/with-audit';
import { tellChange } from '../live/tell-change';
import { notFound, refusedByRules, refusedField } from '../problem';
import { keepOcclusionPressure } from '../record/commands/keep-occlusion-pressure';
import { findKit } from '../record/kit';
import { quickCheckRecord } from '../record/quick-check';
import { keepRow } from '../record/write';
import { body } from '../validate';

/** Limb occlusion pressures: measured by trials, confirmed by quick checks. The server works every figure out again. */
export const occlusionPressureRoutes = new Hono<Env>()
  .post('/:id/occlusion-pressures', body(newOcclusionSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { trials, ...how } = c.req.valid('json');
    const wrongMethod = checkMethod(how.limb, how.method, how.site);
    if (wrongMethod.length > 0) throw refusedByRules(wrongMethod);
    const wrongSteps = hardFindings(checkSteps(trials, how.readingSchool));
    if (wrongSteps.length > 0) throw refusedByRules(wrongSteps);
    const fit = requireFittedCuff(client, how.limb);
    const gauge = await findKit(c.var.em, 'pumps', how.pumpId);
    const seen = await readPracticeSpread(c.var.em);
    const estimate = estimateOcclusionPressure(trials, gauge, how.readingSchool, how.method, seen);
    if (!estimate) {
      throw refusedField(
        msg('Inconsistent'),
        'trials',
        'LOP-2',
        msg('In no trial can rising and falling both be right.'),
        msg('Measure again.'),
      );
    }
    const refused = hardFindings(
      checkPlausibility(estimate.pressure.value, {
        ...fit,
        resting: restingPressureInForce(client.facts, c.var.nowMs),
      }),
    );
    if (refused.length > 0) throw refusedByRules(refused);
    const id = randomUUID();
    const note: AuditNote = { action: 'occlusion-pressure-measured', subject: client.id, detail: { id } };
    await withAudit(c, note, (prepare) =>
      keepOcclusionPressure(prepare, {
        id,
        clientId: client.id,
        atMs: c.var.nowMs,
        how,
        worn: fit,
        gauge,
        estimate,
        trials,
      }),
    );
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/quick-checks', body(newQuickCheckSchema), async (c) => {
    const { occlusionId, goneMmHg, stepMmHg } = c.req.valid('json');
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs, {
      occlusionIds: [occlusionId],
      testIds: [],
    });
    const stored = client.facts.occlusions.find(({ id }) => id === occlusionId);
    if (!stored) throw notFound(msg('This occlusion pressure'));
    const judged = judgeQuickCheck(stored.pressure.value, { goneMmHg, stepMmHg });
    const detail = { occlusionId, goneMmHg, stepMmHg, ...judged };
    await withAudit(c, { action: 'quick-checked', subject: client.id, detail }, (prepare) => {
      keepRow(prepare, quickCheckRecord, {
        id: randomUUID(),
        clientId: client.id,
        lopId: occlusionId,
        atMs: c.var.nowMs,
        goneMmHg,
        stepMmHg: stepMmHg ?? null,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  });
