import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newClientSchema, newScreeningSchema } from '#contract/client';
import { newFitSchema, newOcclusionSchema, newStrengthTestSchema } from '#contract/measurements';
import { newest } from '#core/chain/facts';
import { checkCuff, checkGirth } from '#core/cuff/fit';
import { estimateOcclusionPressure } from '#core/occlusion-pressure/estimate';
import { checkPlausibility } from '#core/occlusion-pressure/plausibility';
import { hardFindings } from '#core/rules/finding';
import { oneRepMax } from '#core/strength/one-rep-max';
import type { Env } from '../context';
import { readClient, readRoster } from '../db/client-facts';
import {
  ClientEntity,
  CuffEntity,
  GirthEntity,
  OcclusionPressureEntity,
  PracticeEntity,
  ScreeningEntity,
  StrengthTestEntity,
  TrialEntity,
} from '../db/entities';
import { withAudit } from '../db/with-audit';
import { notFound, Problem, refusedByRules } from '../problem';
import { body } from '../validate';

/** People and what is measured on them. Every answer to a write is the whole record, with the chain judged anew. */
export const clientRoutes = new Hono<Env>()
  .get('/', async (c) => c.json(await readRoster(c.var.em, c.var.nowMs)))

  .post('/', body(newClientSchema), async (c) => {
    const id = randomUUID();
    await withAudit(c, { action: 'client-added', subject: id }, (em) => {
      em.create(ClientEntity, { id, ...c.req.valid('json'), addedAtMs: c.var.nowMs });
    });
    return c.json(await readClient(c.var.em, id, c.var.nowMs), 201);
  })

  .get('/:id', async (c) => c.json(await readClient(c.var.em, c.req.param('id'), c.var.nowMs)))

  .post('/:id/screenings', body(newScreeningSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const screening = c.req.valid('json');
    await withAudit(c, { action: 'screened', subject: client.id, detail: screening }, (em) => {
      em.create(ScreeningEntity, { id: randomUUID(), clientId: client.id, atMs: c.var.nowMs, ...screening });
    });
    return c.json(await readClient(c.var.em, client.id, c.var.nowMs), 201);
  })

  .post('/:id/fits', body(newFitSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { limb, girthCm, cuffId } = c.req.valid('json');
    const cuffs = (await c.var.em.findAll(CuffEntity)).map(({ spec }) => spec);
    const cuff = cuffs.find((candidate) => candidate.id === cuffId);
    if (!cuff) throw notFound('This cuff');
    const wrongGirth = checkGirth(limb, girthCm);
    const findings = wrongGirth.length > 0 ? wrongGirth : checkCuff(limb, girthCm, cuff, cuffs);
    if (findings.length > 0) throw refusedByRules(findings);
    const fit = { limb, girthCm, cuffId, cuffLabel: cuff.label, widthCm: cuff.widthCm };
    await withAudit(c, { action: 'fitted', subject: client.id, detail: fit }, (em) => {
      em.create(GirthEntity, { id: randomUUID(), clientId: client.id, atMs: c.var.nowMs, ...fit });
    });
    return c.json(await readClient(c.var.em, client.id, c.var.nowMs), 201);
  })

  .post('/:id/occlusion-pressures', body(newOcclusionSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { trials, ...how } = c.req.valid('json');
    const fit = newest(client.facts.fits.filter((fact) => fact.limb === how.limb));
    if (!fit) {
      throw new Problem(
        422,
        'Fit first',
        'No cuff is fitted to this limb: record its girth and choose a cuff first.',
        [
          {
            path: 'limb',
            message: 'No cuff is fitted to this limb.',
            remedy: 'Record its girth and choose a cuff first.',
            rule: 'FIT-1',
          },
        ],
      );
    }
    const { gaugeDivisionMmHg } = await c.var.em.findOneOrFail(PracticeEntity, { id: 'practice' });
    const estimate = estimateOcclusionPressure(trials, gaugeDivisionMmHg, how.readingSchool);
    if (!estimate) {
      throw new Problem(
        422,
        'Inconsistent',
        'In no trial can rising and falling both be right: measure again.',
        [
          {
            path: 'trials',
            message: 'In no trial can rising and falling both be right.',
            remedy: 'Measure again.',
            rule: 'LOP-2',
          },
        ],
      );
    }
    const refused = hardFindings(checkPlausibility(estimate.pressure.value, fit.girthCm, fit.widthCm));
    if (refused.length > 0) throw refusedByRules(refused);
    const id = randomUUID();
    await withAudit(
      c,
      { action: 'occlusion-pressure-measured', subject: client.id, detail: { id } },
      async (em) => {
        em.create(OcclusionPressureEntity, {
          id,
          clientId: client.id,
          atMs: c.var.nowMs,
          ...how,
          cuffId: fit.cuffId,
          cuffLabel: fit.cuffLabel,
          widthCm: fit.widthCm,
          girthCm: fit.girthCm,
          pressureMmHg: estimate.pressure.value,
          pressure: estimate.pressure,
          uncertaintyMmHg: estimate.uncertaintyMmHg,
          steady: estimate.steady,
          trialsUsed: estimate.trialsUsed,
        });
        await em.flush();
        trials.forEach((readings, place) => {
          em.create(TrialEntity, { id: randomUUID(), lopId: id, place, readings });
        });
      },
    );
    return c.json(await readClient(c.var.em, client.id, c.var.nowMs), 201);
  })

  .post('/:id/strength-tests', body(newStrengthTestSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const test = c.req.valid('json');
    const result = oneRepMax(test);
    await withAudit(c, { action: 'strength-tested', subject: client.id, detail: test }, (em) => {
      em.create(StrengthTestEntity, {
        id: randomUUID(),
        clientId: client.id,
        atMs: c.var.nowMs,
        ...test,
        oneRepMaxKg: result.value,
        oneRepMax: result,
      });
    });
    return c.json(await readClient(c.var.em, client.id, c.var.nowMs), 201);
  });
