import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import type { z } from 'zod';
import {
  endConditionsSchema,
  liftHoldSchema,
  type NewShelfLife,
  newClientSchema,
  newShelfLifeSchema,
  peopleQuerySchema,
} from '#contract/client';
import { lastReviewOfSchema } from '#contract/course-plan';
import { newFitSchema, newStrengthTestSchema } from '#contract/measurements';
import { checkTightness, tightnessSchema } from '#core/cuff';
import { hardFindings } from '#core/findings';
import { msg } from '#core/message';
import { libraryOf } from '#core/protocol';
import {
  type ClientFacts,
  type LastReview,
  lastReview,
  proceduresInForce,
  sessionsToReview,
  versionInForce,
  whyNotLift,
} from '#core/record';
import {
  CONSENT_TEXTS,
  clearanceSchema,
  consentSchema,
  dayCheckSchema,
  SCREEN_VERSION,
  screeningAnswersSchema,
  subjectOf,
} from '#core/screening';
import { checkTest } from '#core/strength';
import { passGuards } from '../access/guards';
import { asJson } from '../as-json';
import type { Env } from '../context';
import type { AuditNote } from '../db/audit';
import { findClient, readClient, readPeople, readToday } from '../db/client-facts';
import { withStatements } from '../db/dialect/connection';
import { readPracticeFacts } from '../db/read-practice';
import { withAudit } from '../db/with-audit';
import { happenedAtMs } from '../happened';
import { tellChange } from '../live/tell-change';
import { notFound, refusedByRules, refusedField } from '../problem';
import { clearanceRecord } from '../record/clearance';
import { clientRecord } from '../record/client';
import { endConditions } from '../record/commands/begin-conditions';
import { keepClient } from '../record/commands/keep-client';
import { keepDayCheck } from '../record/commands/keep-day-check';
import { checkFit, keepFit, rowOfFit } from '../record/commands/keep-fit';
import { keepScreening } from '../record/commands/keep-screening';
import { keepStrengthTest } from '../record/commands/keep-strength-test';
import { liftHolds } from '../record/commands/raise-holds';
import { readPast } from '../record/commands/summarise-session';
import { consentRecord } from '../record/consent';
import { findKit, readKit } from '../record/kit';
import { readRetention } from '../record/retention';
import { tightnessRecord } from '../record/tightness';
import { changeRows, keepRow } from '../record/write';
import { body, query } from '../validate';

/** People and what is known of them. Every answer to a write is the whole record, with the chain judged again. */
export const clientRoutes = new Hono<Env>()
  .get('/', query(peopleQuerySchema), async (c) =>
    c.json(await readPeople(c.var.em, peopleAsked(c.req.valid('query')), c.var.lines, c.var.nowMs)),
  )

  .post('/', body(newClientSchema), async (c) => {
    const id = randomUUID();
    await withAudit(c, { action: 'client-added', subject: id }, (prepare) => {
      keepClient(prepare, { id, ...c.req.valid('json'), addedAtMs: c.var.nowMs });
    });
    return c.json(await tellChange(c, id, true), 201);
  })

  .get('/today', async (c) => c.json(await readToday(c.var.em, c.var.lines, c.var.nowMs)))

  /** Records that have been kept long enough; an owner erases them one by one. */
  .get('/retention', async (c) => {
    const { nowMs } = c.var;
    return c.json(
      await withStatements(c.var.em, (prepare) =>
        readRetention(prepare, nowMs, readPracticeFacts(prepare, nowMs).zoneOffsetMs),
      ),
    );
  })

  .get('/:id', async (c) => c.json(await readClient(c.var.em, c.req.param('id'), c.var.nowMs)))

  .get('/:id/last-review', query(lastReviewOfSchema), async (c) => {
    const { id, facts } = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { weightKits } = await readKit(c.var.em);
    const { coursePlanId } = c.req.valid('query');
    const prescribed = coursePlanId === undefined ? undefined : versionInForce(facts, coursePlanId);
    const past = await withStatements(c.var.em, (prepare) =>
      sessionsToReview(facts, prescribed, c.var.nowMs).map((fact) => readPast(prepare, id, fact)),
    );
    const review = lastReview(past, facts, prescribed, weightKits, c.var.nowMs);
    return asJson<LastReview>(c, JSON.stringify(review));
  })

  .post('/:id/shelf-life', body(newShelfLifeSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const detail = c.req.valid('json');
    await withAudit(c, { action: 'shelf-life-set', subject: client.id, detail }, (prepare) =>
      changeRows(prepare, clientRecord, { id: client.id }, shelfLivesWith(client.facts, detail)),
    );
    return c.json(await tellChange(c, client.id));
  })

  .post('/:id/screenings', body(screeningAnswersSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const screening = { version: SCREEN_VERSION, ...c.req.valid('json') };
    for (const [place, { atMs }] of screening.procedures.entries())
      happenedAtMs(atMs, c.var.nowMs, 'SCR-1', `procedures.${place}.atMs`);
    const id = randomUUID();
    const { id: practitionerId, role } = c.var.practitioner;
    await withAudit(c, { action: 'screened', subject: client.id, detail: screening }, (prepare) => {
      keepScreening(prepare, client, { id, ...screening }, { practitionerId, role, nowMs: c.var.nowMs });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/holds/:holdId/lift', body(liftHoldSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const hold = client.facts.holds.find(({ id }) => id === c.req.param('holdId'));
    if (!hold) throw notFound(msg('This hold'));
    const refused = whyNotLift(hold, c.var.nowMs);
    if (refused) {
      throw refusedField(
        msg('Not before the next day'),
        'holdId',
        'RUN-3',
        refused,
        msg('Wait for the next day.'),
      );
    }
    const { reason } = c.req.valid('json');
    const detail = { hold: hold.id, words: hold.words, reason };
    await withAudit(c, { action: 'hold-lifted', subject: client.id, detail }, (prepare) =>
      liftHolds(prepare, [hold.id], { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs, reason }),
    );
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/conditions/end', body(endConditionsSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { ids, reason } = c.req.valid('json');
    const ended = client.facts.conditions.filter(({ id }) => ids.includes(id));
    if (ended.length < ids.length) throw notFound(msg('This condition'));
    const detail = { subjects: [...new Set(ended.map((condition) => subjectOf(condition.detail)))], reason };
    await withAudit(c, { action: 'condition-ended', subject: client.id, detail }, (prepare) =>
      endConditions(prepare, client.id, ids, {
        practitionerId: c.var.practitioner.id,
        atMs: c.var.nowMs,
        reason,
      }),
    );
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/clearances', body(clearanceSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const given = c.req.valid('json');
    const givenAtMs = happenedAtMs(given.givenAtMs, c.var.nowMs, 'SCR-2', 'givenAtMs');
    const clearance = { ...given, givenAtMs };
    await withAudit(c, { action: 'clearance-recorded', subject: client.id, detail: clearance }, (prepare) => {
      keepRow(prepare, clearanceRecord, {
        id: randomUUID(),
        clientId: client.id,
        atMs: c.var.nowMs,
        clearance,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/consents', body(consentSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const consent = c.req.valid('json');
    if (!(consent.version in CONSENT_TEXTS)) throw notFound(msg('This version of the text'));
    await withAudit(c, { action: 'consent-recorded', subject: client.id, detail: consent }, (prepare) => {
      keepRow(prepare, consentRecord, {
        id: randomUUID(),
        clientId: client.id,
        atMs: c.var.nowMs,
        ...consent,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/day-checks', body(dayCheckSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const answers = c.req.valid('json');
    await withAudit(c, { action: 'checked-on-the-day', subject: client.id, detail: answers }, (prepare) => {
      const { nowMs } = c.var;
      const { role } = c.var.practitioner;
      keepDayCheck(prepare, client, { id: randomUUID(), atMs: nowMs, ...answers, by: role }, nowMs);
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/fits', body(newFitSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const fit = c.req.valid('json');
    const kit = await readKit(c.var.em);
    const worn =
      fit.kind === 'cuff'
        ? await findKit(c.var.em, 'cuffs', fit.cuffId)
        : await findKit(c.var.em, 'straps', fit.strapId);
    const fitted = { limb: fit.limb, girthCm: fit.girthCm, worn };
    const wrong = checkFit(fitted, kit.cuffs);
    if (wrong.length > 0) throw refusedByRules(wrong);
    const note: AuditNote = { action: 'fitted', subject: client.id, detail: rowOfFit(fitted) };
    await withAudit(c, note, (prepare) =>
      keepFit(prepare, { id: randomUUID(), clientId: client.id, atMs: c.var.nowMs, ...fitted }),
    );
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/tightness', body(tightnessSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const felt = c.req.valid('json');
    const strap = await findKit(c.var.em, 'straps', felt.strapId);
    const refused = hardFindings(checkTightness(felt, strap));
    if (refused.length > 0) throw refusedByRules(refused);
    const row = {
      limb: felt.limb,
      strapId: strap.id,
      strapLabel: strap.label,
      mark: felt.mark,
      counts: strap.counts,
      tension: strap.counts === 'turns' ? (felt.tension ?? '') : null,
      felt: felt.felt,
    };
    await withAudit(c, { action: 'tightened-by-feel', subject: client.id, detail: row }, (prepare) => {
      keepRow(prepare, tightnessRecord, { id: randomUUID(), clientId: client.id, atMs: c.var.nowMs, ...row });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/strength-tests', body(newStrengthTestSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { overrideReason, ...test } = c.req.valid('json');
    const exercise = libraryOf(client.facts.ownExercises)[test.exerciseId];
    if (!exercise) {
      throw refusedField(
        msg('Unknown exercise'),
        'exerciseId',
        'LOAD-1',
        msg('This exercise is not in the library.'),
        msg('Choose one that is, or add it first.'),
      );
    }
    const operated = proceduresInForce(client.facts, c.var.nowMs).map(({ limb }) => limb);
    const { guards, reason } = passGuards(
      checkTest(test.exerciseId, exercise, test, operated),
      c.var.practitioner,
      overrideReason,
    );
    const note: AuditNote = {
      action: guards.length > 0 ? 'strength-tested-past-guard' : 'strength-tested',
      subject: client.id,
      detail: { ...test, guards: guards.map(({ rule }) => rule), reason },
    };
    await withAudit(c, note, (prepare) =>
      keepStrengthTest(prepare, { id: randomUUID(), clientId: client.id, atMs: c.var.nowMs, ...test }),
    );
    return c.json(await tellChange(c, client.id), 201);
  });

/** The shelf lives of a person once one is set. */
function shelfLivesWith(
  { limbShelfLives }: Pick<ClientFacts, 'limbShelfLives'>,
  { limb, shelfLife }: NewShelfLife,
): Partial<Pick<ClientFacts, 'shelfLife' | 'limbShelfLives'>> {
  if (limb === null) return shelfLife === null ? {} : { shelfLife };
  const others = limbShelfLives.filter((own) => own.limb !== limb);
  return { limbShelfLives: shelfLife === null ? others : [...others, { limb, shelfLife }] };
}

const peopleAsked = ({ archived, ...asked }: z.output<typeof peopleQuerySchema>) => ({
  ...asked,
  archived: archived === 'yes',
});
