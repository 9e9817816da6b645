import type { EntityManager } from '@mikro-orm/libsql';
import { type Context, Hono } from 'hono';
import { type RespondersView, respondersOfSchema, type SurveillanceView } from '#contract/outcomes';
import {
  CLINICIANS_KIT,
  type Kit,
  type KitList,
  kitItemSchema,
  ownExerciseSchema,
  ownMeasureSchema,
  type PracticeSettings,
  type PracticeView,
  practiceSettingsSchema,
  retireKitSchema,
  retireSchema,
  templateSchema,
} from '#contract/practice';
import { mayDo } from '#core/access';
import { list, type Message, msg, type Text } from '#core/message';
import { changesFigures, MEASURES, type Measure, type MeasureId, measureBook } from '#core/outcomes';
import { readSessionChoice, whyForClinicians } from '#core/plan';
import { EXERCISES } from '#core/protocol';
import type { OwnPlace } from '#core/quantity';
import { requirePermission } from '../access/practitioner';
import type { Env } from '../context';
import { readWeek } from '../db/client-facts';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { readPracticeSpread } from '../db/practice-spread';
import { withAudit } from '../db/with-audit';
import { tellPractice } from '../live/tell-change';
import { notFound, Problem, refusedField } from '../problem';
import { countAdverseEvents } from '../record/adverse-event';
import { exerciseRecord, readOwnExercises } from '../record/exercise';
import { readTallies } from '../record/inflation-count';
import { findKit, kitRecord, readKit } from '../record/kit';
import { measureRecord, ownMeasures } from '../record/measure';
import { outcomeRecord, readFirstAndLast, readPairs } from '../record/outcome';
import { practiceRecord } from '../record/practice';
import { readPractitioners } from '../record/practitioner';
import { hasRow } from '../record/read';
import { templateRecord } from '../record/template';
import { changeRows, replaceRow } from '../record/write';
import { body, query } from '../validate';

/** The practice, its people, settings and kit. Every answer to a write is the whole practice. */
export const practiceRoutes = new Hono<Env>()
  .get('/week', async (c) => c.json(await readWeek(c.var.em, c.var.nowMs)))

  .get('/responders', query(respondersOfSchema), async (c) => {
    const { measureId } = c.req.valid('query');
    const view: RespondersView = await withStatements(c.var.em, (prepare) => ({
      rows: readFirstAndLast(prepare, measureId),
      pairs: readPairs(prepare, measureId),
    }));
    return c.json(view);
  })

  .get('/surveillance', async (c) => {
    const view: SurveillanceView = await withStatements(c.var.em, (prepare) => ({
      tallies: readTallies(prepare),
      adverseEvents: countAdverseEvents(prepare),
    }));
    return c.json(view);
  })

  .get('/', async (c) => c.json(await readPractice(c)))
  /** How its trials have spread so far, which the uncertainty of the next pressure goes by (rule LOP-3). */
  .get('/spread', async (c) => c.json(await readPracticeSpread(c.var.em)))

  .post('/settings', body(practiceSettingsSchema), async (c) => {
    const settings = c.req.valid('json');
    const before = await c.var.em.findOneOrFail(practiceRecord.entity, { id: 'practice' });
    if (settings.arbitraryUpToMmHg !== (before.arbitraryUpToMmHg ?? null))
      requirePermission(c.var.practitioner, 'allow-arbitrary');
    refuseKitWithoutPlace(await readKit(c.var.em), settings, before.places);
    await withAudit(c, { action: 'settings-changed', subject: 'practice', detail: settings }, (prepare) =>
      changeRows(prepare, practiceRecord, { id: 'practice' }, settings),
    );
    return c.json(await answerWithPractice(c));
  })

  .post('/kit', body(kitItemSchema), async (c) => {
    const { list, item } = c.req.valid('json');
    keepsKit(c.var.practitioner, list);
    await withAudit(c, { action: 'kit-kept', subject: item.id, detail: { list, item } }, (prepare) =>
      replaceRow(prepare, kitRecord, { id: item.id, list, item, retiredAtMs: null }),
    );
    return c.json(await answerWithPractice(c));
  })

  .post('/kit/retire', body(retireKitSchema), async (c) => {
    const { list, id, isRetired } = c.req.valid('json');
    keepsKit(c.var.practitioner, list);
    const { label } = await findKit(c.var.em, list, id);
    return retire(c, 'kit', { id, label, isRetired }, (prepare, mark) =>
      changeRows(prepare, kitRecord, { id, list }, mark),
    );
  })

  .post('/exercises', body(ownExerciseSchema), async (c) => {
    const { id, exercise } = c.req.valid('json');
    keepsExercise(c.var.practitioner, id);
    await withAudit(c, { action: 'exercise-kept', subject: id, detail: { exercise } }, (prepare) =>
      replaceRow(prepare, exerciseRecord, { id, exercise, retiredAtMs: null }),
    );
    return c.json(await answerWithPractice(c));
  })

  .post('/exercises/retire', body(retireSchema), async (c) => {
    const { id, isRetired } = c.req.valid('json');
    keepsExercise(c.var.practitioner, id);
    const kept = await c.var.em.findOne(exerciseRecord.entity, { id });
    if (!kept) throw notFound(msg('This exercise'));
    return retire(c, 'exercise', { id, label: kept.exercise.label, isRetired }, (prepare, mark) =>
      changeRows(prepare, exerciseRecord, { id }, mark),
    );
  })

  .post('/measures', body(ownMeasureSchema), async (c) => {
    const { id, measure } = c.req.valid('json');
    await keepsFigures(c.var.em, id, measure);
    await withAudit(c, { action: 'measure-described', subject: id, detail: { measure } }, (prepare) =>
      replaceRow(prepare, measureRecord, { id, measure }),
    );
    return c.json(await answerWithPractice(c));
  })

  .post('/templates', body(templateSchema), async (c) => {
    const template = c.req.valid('json');
    const why = whyForClinicians(template.session);
    if (why && !mayDo(c.var.practitioner, 'keep-limits'))
      throw new Problem(403, msg('Not for this account'), why, [
        {
          path: 'session',
          message: why,
          remedy: msg('Ask a clinician to keep it.'),
          rule: 'SCR-4',
          level: 'hard',
        },
      ]);
    const row = { ...template, keptBy: c.var.practitioner.id, keptAtMs: c.var.nowMs, retiredAtMs: null };
    await withAudit(c, { action: 'template-kept', subject: template.id, detail: template }, (prepare) =>
      replaceRow(prepare, templateRecord, row),
    );
    return c.json(await answerWithPractice(c));
  })

  .post('/templates/retire', body(retireSchema), async (c) => {
    const { id, isRetired } = c.req.valid('json');
    const kept = await c.var.em.findOne(templateRecord.entity, { id });
    if (!kept) throw notFound(msg('This template'));
    return retire(c, 'template', { id, label: kept.name, isRetired }, (prepare, mark) =>
      changeRows(prepare, templateRecord, { id }, mark),
    );
  });

/**
 * Takes something the practice keeps out of use, or brings it back. It is marked and nothing else, so that what was changed of it
 * since is not written over.
 */
async function retire(
  c: Context<Env>,
  what: 'kit' | 'exercise' | 'template',
  { id, label, isRetired }: { id: string; label: Text; isRetired: boolean },
  write: (prepare: Prepare, mark: { retiredAtMs: number | null }) => unknown,
) {
  const action = `${what}-${isRetired ? 'retired' : 'brought-back'}` as const;
  await withAudit(c, { action, subject: id, detail: { label } }, (prepare) =>
    write(prepare, { retiredAtMs: isRetired ? c.var.nowMs : null }),
  );
  return c.json(await answerWithPractice(c));
}

// What a pressure rests on is a clinician's to change; weights, straps and exercises of one's own are not (rule SCR-4).
function keepsKit(practitioner: Env['Variables']['practitioner'], list: KitList): void {
  if (CLINICIANS_KIT.includes(list)) requirePermission(practitioner, 'keep-limits');
}

function keepsExercise(practitioner: Env['Variables']['practitioner'], id: string): void {
  if (id in EXERCISES) requirePermission(practitioner, 'keep-limits');
}

/** A measure that has figures, or that every practice has, keeps what they say (rule OUT-1). */
async function keepsFigures(em: EntityManager, id: MeasureId, measure: Measure): Promise<void> {
  const { known, hasFigures } = await withStatements(em, (prepare) => ({
    known: measureBook(ownMeasures(prepare))[id],
    hasFigures: hasRow(prepare, outcomeRecord, { measureId: id }),
  }));
  if (!known || (!hasFigures && !(id in MEASURES))) return;
  const [field] = changesFigures(known, measure);
  if (field) {
    throw refusedField(
      msg('Figures would say something else'),
      field,
      'OUT-1',
      msg('{known} is taken already: its {field} stays.', {
        known: known.label,
        field: FIGURE_WORDS[field] ?? field,
      }),
      msg('Add another measure for it.'),
    );
  }
}

const FIGURE_WORDS: Partial<Record<keyof Measure, Message>> = {
  better: msg('direction'),
  of: msg('limb'),
  take: msg('way of counting several'),
  isAsked: msg('way of asking'),
  isSize: msg('first day'),
};

/** The practice after a write, which every device is sent. */
function answerWithPractice(c: Context<Env>): Promise<PracticeView> {
  tellPractice(c);
  return readPractice(c);
}

async function readPractice({ var: { em: shared, print } }: Context<Env>): Promise<PracticeView> {
  // A fresh unit of work sees what a write beside the identity map has just changed.
  const em = shared.fork();
  const {
    id: _,
    arbitraryUpToMmHg,
    keepYears,
    ...settings
  } = await em.findOneOrFail(practiceRecord.entity, {
    id: 'practice',
  });
  const templates = await em.find(templateRecord.entity, { retiredAtMs: null }, { orderBy: { name: 'asc' } });
  return {
    settings: { ...settings, arbitraryUpToMmHg: arbitraryUpToMmHg ?? null, keepYears: keepYears ?? null },
    practitioners: await withStatements(em, readPractitioners),
    ownExercises: await readOwnExercises(em),
    ownMeasures: await withStatements(em, ownMeasures),
    canPrint: print !== null,
    templates: templates.flatMap(({ id, name, session: kept }) => {
      const session = readSessionChoice(kept);
      return session ? [{ id, name, session }] : [];
    }),
    ...(await readKit(em)),
  };
}

/** A place that kit is at is not removed: the kit would be nowhere. */
function refuseKitWithoutPlace(
  { cuffs, pumps, weightKits, straps }: Kit,
  { places }: PracticeSettings,
  before: readonly OwnPlace[],
): void {
  const gone = before.filter(({ id }) => !places.some((place) => place.id === id));
  const there = [...cuffs, ...pumps, ...weightKits, ...straps].filter((item) =>
    gone.some(({ id }) => item.places?.includes(id)),
  );
  if (there.length === 0) return;
  throw refusedField(
    msg('Kit is there'),
    'places',
    'LOAD-4',
    msg('Still there: {kit}.', {
      kit: list(
        there.map(({ label }) => label),
        ', ',
      ),
    }),
    msg('Say of each where it is now; then remove the place.'),
  );
}
