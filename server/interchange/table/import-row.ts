import { randomUUID } from 'node:crypto';
import type { TableRow } from '#contract/table';
import { type Cuff, checkCuff, checkGirth } from '#core/cuff';
import type { Derived } from '#core/derivation';
import { type Finding, hardFindings } from '#core/findings';
import type { Pump } from '#core/kit';
import { msg, sentences } from '#core/message';
import { checkPlausibility, estimateOcclusionPressure, METHODS } from '#core/occlusion-pressure';
import { checkTaken } from '#core/outcomes';
import { setOrder } from '#core/plan';
import { isEqual, type Limb, limbKind } from '#core/quantity';
import { operatedOn } from '#core/record';
import { checkTest } from '#core/strength';
import type { TableKind } from '#core/table';
import type { Prepare } from '../../db/dialect/connection';
import { enterSession } from '../../record/commands/enter-session';
import { keepFit } from '../../record/commands/keep-fit';
import { keepOcclusionPressure } from '../../record/commands/keep-occlusion-pressure';
import { keepOutcome } from '../../record/commands/keep-outcome';
import { keepStrengthTest } from '../../record/commands/keep-strength-test';
import { conditionFacts } from '../../record/condition';
import { coursePlanRecord } from '../../record/course-plan';
import { fitRecord } from '../../record/fit';
import { occlusionPressureRecord } from '../../record/occlusion-pressure';
import { outcomeRecord } from '../../record/outcome';
import { versionAt } from '../../record/prescription';
import { findRow, findRows, read } from '../../record/read';
import { sessionRecord } from '../../record/session';
import { readLog, sessionEventRecord } from '../../record/session-event';
import { strengthTestRecord } from '../../record/strength-test';
import { keepPerson } from './import-person';
import { type Came, keepOnce, SAME } from './keep-once';
import { type KeepingRows, momentOf, RefusedCell, refuseToCome, SEVERAL } from './keeping';

type Keep<K extends TableKind> = (row: TableRow<K>, keeping: KeepingRows) => Came;

/** Keeps a row of each kind by the rules that the same thing is kept by where it is typed in. @throws RefusedCell */
export const KEEP: { [K in TableKind]: Keep<K> } = {
  people: keepPerson,

  fits: ({ person, day, limb, girthCm, cuffId }, keeping) => {
    const { prepare, cuffs } = keeping;
    const cuff = cuffIn(keeping, cuffId);
    refuse('girthCm', checkGirth(limb, girthCm));
    refuse('cuffId', checkCuff(limb, girthCm, cuff, cuffs));
    const clientId = clientOf(keeping, person);
    const atMs = atNoon(day, keeping);
    return keepOnce(
      keeping,
      {
        ...{ kind: 'fit', clientId, day },
        rows: findRows(prepare, fitRecord, { clientId, limb, superseded: COUNTED }, [
          'id',
          'atMs',
          'girthCm',
          'kitId',
        ]),
        isSame: (fit) => fit.girthCm === girthCm && fit.kitId === cuff.id,
      },
      (id) => keepFit(prepare, { id, clientId, atMs, limb, girthCm, worn: cuff }),
    );
  },

  pressures: ({ person, day, limb, position, cuffId, method, pressureMmHg, stepMmHg }, keeping) => {
    const { prepare } = keeping;
    const clientId = clientOf(keeping, person);
    const cuff = cuffIn(keeping, cuffId);
    const atMs = atNoon(day, keeping);
    const girth = girthOf(prepare, clientId, limb, cuff.id);
    const [site] = METHODS[method].sites[limbKind(limb)];
    if (!site)
      throw new RefusedCell(
        'method',
        msg('{method} is not for this limb. Say how it was found.', { method: METHODS[method].label }),
      );
    // What a table says is the pressure at which the pulse went, read once from the coarsest gauge there is.
    const gauge = keeping.pumps.reduce<Pump | null>(
      (coarsest, pump) => (coarsest && coarsest.divisionMmHg >= pump.divisionMmHg ? coarsest : pump),
      null,
    );
    if (!gauge)
      throw new RefusedCell('pressureMmHg', msg('The practice has no gauge. Add one to the kit first.'));
    const step = stepMmHg ?? USUAL_STEP_MMHG;
    const trial = { goneMmHg: pressureMmHg, upMmHg: step, backMmHg: pressureMmHg - step, downMmHg: step };
    const estimate = estimateOcclusionPressure([trial], gauge, 'first-silence', method, keeping.spread);
    if (!estimate) throw new RefusedCell('pressureMmHg', msg('No pressure can be made of it.'));
    refuse(
      'pressureMmHg',
      checkPlausibility(estimate.pressure.value, { girthCm: girth, widthCm: cuff.widthCm }),
    );
    return keepOnce(
      keeping,
      {
        ...{ kind: 'occlusion-pressure', clientId, day },
        rows: findRows(
          prepare,
          occlusionPressureRecord,
          { clientId, limb, position, cuffId: cuff.id, superseded: COUNTED },
          ['id', 'atMs', 'method', 'pressureMmHg'],
        ),
        isSame: (one) => one.method === method && one.pressureMmHg === estimate.pressure.value,
      },
      (id) =>
        keepOcclusionPressure(prepare, {
          id,
          clientId,
          atMs,
          how: { limb, position, method, site, readingSchool: 'first-silence' },
          worn: { cuffId: cuff.id, label: cuff.label, widthCm: cuff.widthCm, girthCm: girth },
          gauge,
          estimate,
          pressure: fromATable(estimate.pressure),
          trials: [],
        }),
    );
  },

  'strength-tests': ({ person, day, exerciseId, side, loadKg, reps }, keeping) => {
    const { prepare, library } = keeping;
    const clientId = clientOf(keeping, person);
    const exercise = library[exerciseId];
    if (!exercise)
      throw new RefusedCell('exerciseId', msg('This exercise is not in the library. Add it first.'));
    const atMs = atNoon(day, keeping);
    refuse(
      'side',
      checkTest(exerciseId, exercise, { side, reps }, operatedAt(prepare, clientId, atMs)),
      'guards too',
    );
    return keepOnce(
      keeping,
      {
        ...{ kind: 'strength-test', clientId, day },
        rows: findRows(prepare, strengthTestRecord, { clientId, exerciseId, side, superseded: COUNTED }, [
          ...(['id', 'atMs', 'loadKg', 'reps'] as const),
        ]),
        isSame: (one) => one.loadKg === loadKg && one.reps === reps,
      },
      (id) => keepStrengthTest(prepare, { id, clientId, atMs, exerciseId, side, loadKg, reps }),
    );
  },

  outcomes: ({ person, day, measureId, limb, values, setting, note }, keeping) => {
    const { prepare, measures, practitionerId } = keeping;
    const clientId = clientOf(keeping, person);
    const measure = measures[measureId];
    if (!measure)
      throw new RefusedCell('measureId', msg('Nothing is measured by this name. Add the measure first.'));
    const taken = { measureId, limb, repeats: values, setting: setting ?? '', note: note ?? '' };
    const [wrong] = checkTaken(taken, measure);
    if (wrong) throw new RefusedCell(wrong.field === 'repeats' ? 'values' : wrong.field, wrong.message);
    const atMs = atNoon(day, keeping);
    return keepOnce(
      keeping,
      {
        ...{ kind: 'outcome', clientId, day },
        rows: findRows(prepare, outcomeRecord, { clientId, measureId, limb, withdrawn: null }, [
          ...(['id', 'atMs', 'repeats', 'setting'] as const),
        ]).filter((one) => one.setting === taken.setting),
        isSame: (one) => isEqual(one.repeats, values),
      },
      (id) => keepOutcome(prepare, { id, clientId, ...taken, atMs, practitionerId }, measure),
    );
  },

  sessions: ({ person, day, time, plan: name, reps, effort, jointPain }, keeping) => {
    const { prepare, nowMs, aheadMs, practitionerId } = keeping;
    const clientId = clientOf(keeping, person);
    const coursePlanId = planOf(prepare, clientId, name);
    const startedAtMs = momentOf(day, time ?? NOON);
    const places = setsThen(prepare, coursePlanId, startedAtMs);
    if (reps.length > places.length)
      throw new RefusedCell(
        'reps',
        msg('The plan has {length} sets; {length2} are written. Say which were done.', {
          length: places.length,
          length2: reps.length,
        }),
      );
    const done = places.flatMap((place, at) =>
      reps[at] ? [{ ...place, reps: reps[at] ?? 0, lastedMs: null }] : [],
    );
    const sets = done.map((set, at) => ({ ...set, effort: at === done.length - 1 ? effort : null }));
    if (sets.length === 0) throw new RefusedCell('reps', msg('No set was done. Take the row out.'));
    // A session on paper is entered once; what is wrong with it is corrected where it is.
    const there = findRow(
      prepare,
      sessionRecord,
      { clientId, superseded: COUNTED, openedAtMs: startedAtMs },
      ['id'],
    );
    if (
      there &&
      isEqual(
        repsDone(prepare, there.id),
        sets.map((set) => set.reps),
      )
    )
      return SAME;
    const id = randomUUID();
    enterSession(
      prepare,
      {
        id,
        coursePlanId,
        entered: { startedAtMs, sets, jointPain, signs: [] },
        planThen: ({ plan }) => plan,
      },
      { nowMs, aheadMs, practitionerId },
    );
    const events = findRows(prepare, sessionEventRecord, { sessionId: id }, ['id'], { order: 'seq' });
    return {
      did: 'added',
      added: [
        { kind: 'session', rowId: id },
        ...events.map((event) => ({ kind: 'event' as const, rowId: event.id })),
      ],
    };
  },
};

/** The repetitions of each set of a session, in their order. */
const repsDone = (prepare: Prepare, sessionId: string): number[] =>
  readLog(prepare, sessionId).flatMap((event) => (event.type === 'set-ended' ? [event.reps] : []));

/** What was not retracted, whether something newer has taken its place or not. */
const COUNTED = [0, 1] as const;

const NOON = '12:00';
/** How a pressure on paper was most likely come at, where it does not say. */
const USUAL_STEP_MMHG = 10;

/** When it was, of a day without a time; today’s was before now. @throws RefusedCell for a day that is to come */
function atNoon(day: string, { nowMs }: KeepingRows): number {
  refuseToCome('day', day, nowMs);
  return Math.min(momentOf(day, NOON), nowMs);
}

/** @throws RefusedCell where no client, or more than one, has this name */
function clientOf({ people }: KeepingRows, person: string): string {
  const [one, another] = people.get(person.toLowerCase()) ?? [];
  if (!one)
    throw new RefusedCell(
      'person',
      msg('No client is called {person}. Import the people first, or correct the name.', { person }),
    );
  if (another) throw new RefusedCell('person', SEVERAL({ person }));
  return one;
}

function cuffIn({ cuffs }: KeepingRows, cuffId: string): Cuff {
  const cuff = cuffs.find(({ id }) => id === cuffId);
  if (cuff) return cuff;
  throw new RefusedCell('cuffId', msg('This cuff is not in the kit. Add it first.'));
}

/** The girth under a cuff, as it was last fitted. @throws RefusedCell where it was not */
function girthOf(prepare: Prepare, clientId: string, limb: Limb, cuffId: string): number {
  const [fit] = findRows(
    prepare,
    fitRecord,
    { clientId, limb, kitId: cuffId, superseded: COUNTED },
    ['girthCm'],
    { order: 'at_ms desc', limit: 1 },
  );
  if (fit) return fit.girthCm;
  throw new RefusedCell(
    'limb',
    msg('No girth of this limb under this cuff is on record. Bring the girths in first.'),
  );
}

/** A pressure of one reading whose working says that it came from a table. */
const fromATable = (figure: Derived): Derived => ({
  ...figure,
  working: [
    {
      label: msg('From a table'),
      detail: msg('one reading, the pressure at which the pulse went; how it was reached was not said'),
    },
    // The one trial it was estimated by was not done: its line is left out.
    ...figure.working.slice(1),
  ],
});

/** Limbs of a person that were operated on lately, as of a day, whenever it was recorded. */
const operatedAt = (prepare: Prepare, clientId: string, atMs: number) =>
  operatedOn(
    read(
      conditionFacts,
      prepare(`${conditionFacts.select} where client_id = ? and ended_at_ms is null`),
      clientId,
    ),
    atMs,
  );

/** A plan of a person by its name, or the only one there is. */
function planOf(prepare: Prepare, clientId: string, name: string | null): string {
  const plans = findRows(prepare, coursePlanRecord, { clientId }, ['id', 'name']);
  const named =
    name === null ? plans : plans.filter((plan) => plan.name.toLowerCase() === name.toLowerCase());
  const [one, another] = named;
  if (!one)
    throw new RefusedCell(
      'plan',
      name === null
        ? msg('They have no plan. Sign one first.')
        : msg('They have no plan called {name}.', { name }),
    );
  if (another) throw new RefusedCell('plan', msg('They have several plans. Say which by its name.'));
  return one.id;
}

/** The sets of the version that was in force then, in their order. */
function setsThen(prepare: Prepare, coursePlanId: string, atMs: number) {
  const version = versionAt(prepare, coursePlanId, atMs);
  if (!version) throw new RefusedCell('day', msg('The plan was not signed yet then. Check the date.'));
  return setOrder(version.plan).map(({ exerciseIndex, setIndex }) => ({
    exerciseIndex,
    setIndex,
  }));
}

function refuse(
  field: string,
  findings: readonly Finding[],
  guards: 'guards too' | 'hard only' = 'hard only',
): void {
  const [wrong] =
    guards === 'guards too' ? findings.filter(({ level }) => level !== 'note') : hardFindings(findings);
  if (wrong) throw new RefusedCell(field, sentences(wrong.message, wrong.remedy));
}
