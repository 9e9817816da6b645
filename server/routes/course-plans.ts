import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import {
  type CoursePlanChange,
  coursePlanChangeSchema,
  newHeavyWorkSchema,
  newRungCheckSchema,
} from '#contract/course-plan';
import type { CoursePlan } from '#core/course';
import { msg } from '#core/message';
import { libraryOf } from '#core/protocol';
import { checkRungEntry, daysSinceProcedure, SESSIONS_COUNT_MS, versionInForce } from '#core/record';
import { passGuards } from '../access/guards';
import { requirePermission } from '../access/practitioner';
import type { Env } from '../context';
import { readClient } from '../db/client-facts';
import { withAudit } from '../db/with-audit';
import { happenedAtMs } from '../happened';
import { tellChange } from '../live/tell-change';
import { notFound, refusedField } from '../problem';
import { coursePlanRecord } from '../record/course-plan';
import { heavyWorkRecord } from '../record/heavy-work';
import { rungCheckRecord } from '../record/rung-check';
import { changeRows, keepRow } from '../record/write';
import { body } from '../validate';

/** The plans of a person as plans: their names, when they are for, whether they count; and the heavy work beside them. */
export const coursePlanRoutes = new Hono<Env>()
  .post('/:id/course-plans/:coursePlanId', body(coursePlanChangeSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const coursePlan = client.facts.coursePlans.find(({ id }) => id === c.req.param('coursePlanId'));
    if (!coursePlan) throw notFound(msg('This plan'));
    const change = c.req.valid('json');
    if (prolongs(change, coursePlan) && versionInForce(client.facts, coursePlan.id)?.role === 'clinician') {
      requirePermission(c.var.practitioner, 'prolong-signed');
    }
    const next = {
      ...(change.name === undefined ? {} : { isNamed: change.name !== null }),
      ...(change.name ? { name: change.name } : {}),
      occasion: change.occasion ?? coursePlan.occasion,
      state: change.state ?? coursePlan.state,
      untilMs: change.untilMs === undefined ? coursePlan.untilMs : change.untilMs,
    };
    const detail = { coursePlanId: coursePlan.id, from: coursePlan, change };
    await withAudit(c, { action: 'plan-changed', subject: client.id, detail }, (prepare) =>
      changeRows(prepare, coursePlanRecord, { id: coursePlan.id }, next),
    );
    return c.json(await tellChange(c, client.id));
  })

  .post('/:id/rung-checks', body(newRungCheckSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { limb, answers, rung, overrideReason } = c.req.valid('json');
    if (answers.clinicianAgrees) requirePermission(c.var.practitioner, 'give-word');
    const findings = checkRungEntry(client.facts, { limb, rung, answers }, c.var.nowMs);
    const { reason } = passGuards(findings, c.var.practitioner, overrideReason);
    const id = randomUUID();
    const row = {
      limb,
      answers: { ...answers, daysSinceSurgery: daysSinceProcedure(client.facts, limb, c.var.nowMs) },
      rung,
      reason,
    };
    const detail = { id, ...row, missing: findings.map(({ message }) => message) };
    await withAudit(c, { action: 'rung-entered', subject: client.id, detail }, (prepare) => {
      keepRow(prepare, rungCheckRecord, {
        id,
        clientId: client.id,
        atMs: c.var.nowMs,
        practitionerId: c.var.practitioner.id,
        ...row,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/heavy-work', body(newHeavyWorkSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const work = c.req.valid('json');
    if (!libraryOf(client.facts.ownExercises)[work.exerciseId]) {
      throw refusedField(
        msg('Unknown exercise'),
        'exerciseId',
        'PRO-4',
        msg('This exercise is not in the library.'),
        msg('Choose one that is, or add it first.'),
      );
    }
    const atMs = happenedAtMs(work.atMs, c.var.nowMs, 'PRO-4');
    if (atMs < c.var.nowMs - SESSIONS_COUNT_MS) {
      throw refusedField(
        msg('When was it?'),
        'atMs',
        'PRO-4',
        msg('Heavy work is kept for half a year.'),
        msg('Choose the day it was done.'),
      );
    }
    const id = randomUUID();
    await withAudit(
      c,
      { action: 'heavy-work-kept', subject: client.id, detail: { id, ...work } },
      (prepare) => {
        keepRow(prepare, heavyWorkRecord, {
          id,
          clientId: client.id,
          practitionerId: c.var.practitioner.id,
          ...work,
          atMs,
        });
      },
    );
    return c.json(await tellChange(c, client.id), 201);
  });

/** Whether a change lets a plan be run for longer than it was to be. */
const prolongs = ({ untilMs }: CoursePlanChange, coursePlan: CoursePlan): boolean =>
  untilMs !== undefined && coursePlan.untilMs !== null && (untilMs === null || untilMs > coursePlan.untilMs);
