import { Hono } from 'hono';
import type { PracticeView } from '#contract/practice';
import type { Env } from '../context';
import { CuffEntity, PracticeEntity, PractitionerEntity, WeightKitEntity } from '../db/entities';

export const practiceRoutes = new Hono<Env>().get('/', async (c) => {
  const { em } = c.var;
  const { name, gaugeDivisionMmHg, schoolId } = await em.findOneOrFail(PracticeEntity, { id: 'practice' });
  const practitioners = await em.findAll(PractitionerEntity, { orderBy: { listOrder: 'asc' } });
  const view: PracticeView = {
    settings: { name, gaugeDivisionMmHg, schoolId },
    practitioners: practitioners.map(({ id, name, role }) => ({ id, name, role })),
    cuffs: (await em.findAll(CuffEntity)).map(({ spec }) => spec),
    weightKits: (await em.findAll(WeightKitEntity)).map(({ spec }) => spec),
  };
  return c.json(view);
});
