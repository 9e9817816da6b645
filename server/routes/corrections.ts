import { type Context, Hono } from 'hono';
import type { ClientRecord } from '#contract/client';
import {
  type Erased,
  entriesQuerySchema,
  eraseSchema,
  mergeSchema,
  personChangeSchema,
  type Retracted,
  retractionSchema,
  type Unsettled,
} from '#contract/corrections';
import { hardFindings } from '#core/findings';
import { msg } from '#core/message';
import { plansInForce, recheck } from '#core/record';
import type { Env } from '../context';
import { findClient, readClient } from '../db/client-facts';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { withAudit } from '../db/with-audit';
import { tellChange, tellPractice } from '../live/tell-change';
import { Problem } from '../problem';
import { clientRecord } from '../record/client';
import { erase, mergeInto, retract } from '../record/corrections';
import { readEntries } from '../record/entries';
import { readKit } from '../record/kit';
import { changeRows } from '../record/write';
import { body, query } from '../validate';

/** Mistakes are corrected and not hidden: what was wrong stays struck through, with who said so and why. */
export const correctionRoutes = new Hono<Env>()
  .get('/:id/entries', query(entriesQuerySchema), async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const { beforeMs } = c.req.valid('query');
    return c.json(await withStatements(c.var.em, (prepare) => readEntries(prepare, id, beforeMs)));
  })

  .post('/:id/retractions', body(retractionSchema), async (c) => {
    const before = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const kit = await readKit(c.var.em);
    await inTransaction(c.var.em, (prepare) => retract(prepare, before.id, c.req.valid('json'), actorOf(c)));
    const record = await tellChange(c, before.id);
    const unsettled = whatChanged(before, record, kit, c.var.nowMs);
    return c.json({ record, unsettled } satisfies Retracted, 201);
  })

  .post('/:id', body(personChangeSchema), async (c) => {
    const { id, name, story, about } = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const change = c.req.valid('json');
    const row = {
      name: change.name ?? name,
      story: change.story ?? story,
      about: change.about ?? about,
      ...(change.archived === undefined ? {} : { archivedAtMs: change.archived ? c.var.nowMs : null }),
    };
    const detail = { from: { name, story, about }, to: change };
    await withAudit(c, { action: 'person-changed', subject: id, detail }, (prepare) =>
      changeRows(prepare, clientRecord, { id }, row),
    );
    return c.json(await tellChange(c, id, true));
  })

  .post('/:id/merge', body(mergeSchema), async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const { otherId, reason } = c.req.valid('json');
    await inTransaction(c.var.em, (prepare) => mergeInto(prepare, id, otherId, reason, actorOf(c)));
    tellPractice(c);
    return c.json(await tellChange(c, id, true));
  })

  .post('/:id/erasure', body(eraseSchema), async (c) => {
    const { id, name } = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { name: typed, reason } = c.req.valid('json');
    if (typed.trim() !== name)
      throw new Problem(
        422,
        msg('Not this name'),
        msg('Type the name as it is on record: this cannot be taken back.'),
        [
          {
            path: 'name',
            message: msg('This is not the name on record.'),
            remedy: msg('Type it as it is there.'),
          },
        ],
      );
    const rows = await inTransaction(c.var.em, (prepare) => erase(prepare, id, reason, actorOf(c)));
    tellPractice(c);
    return c.json({ rows } satisfies Erased);
  });

const actorOf = (c: Context<Env>) => ({ practitionerId: c.var.practitioner.id, atMs: c.var.nowMs });

type Kit = Parameters<typeof recheck>[2];

/** Links of the chain and plans that held before, and do not hold now. */
function whatChanged(before: ClientRecord, after: ClientRecord, kit: Kit, nowMs: number): Unsettled[] {
  const links = after.chain.flatMap((link): Unsettled[] => {
    const was = before.chain.find(({ id }) => id === link.id);
    const worse = was?.state === 'good' && link.state !== 'good';
    return worse ? [{ what: 'link', id: link.id, words: link.reason }] : [];
  });
  const held = brokenPlans(before, kit, nowMs);
  const plans = [...brokenPlans(after, kit, nowMs)].flatMap(([id, { name, words }]): Unsettled[] =>
    held.has(id) ? [] : [{ what: 'plan', id, name, words }],
  );
  return [...links, ...plans];
}

/** Plans in force that would not open now, with why. */
function brokenPlans({ facts }: ClientRecord, kit: Kit, nowMs: number) {
  return new Map(
    plansInForce(facts, nowMs).flatMap(({ coursePlan, prescription }) => {
      const [hard] = hardFindings(recheck(prescription, facts, kit, nowMs).findings);
      return hard ? [[coursePlan.id, { name: coursePlan.name, words: hard.message }] as const] : [];
    }),
  );
}
