import { v5 as uuidFrom } from 'uuid';
import type { ArchiveRow } from '#contract/archive';
import type { ArchiveKind } from '#contract/archive-rows';
import { RELEASE } from '#contract/release';
import type { Cuff } from '#core/cuff';
import { list, type Message, mass, msg, type Text } from '#core/message';
import { METHODS, type PulseMethod } from '#core/occlusion-pressure';
import { type MeasureBook, type MeasureId, measureBook, sessionLine } from '#core/outcomes';
import { exerciseWords, type LimbTarget, type Plan, readPlan, targetWords } from '#core/plan';
import { type Library, libraryOf, rangeWords } from '#core/protocol';
import { LIMB_NAMES, type Limb } from '#core/quantity';
import { type Clearance, type ItemId, type Procedure, SCREEN_ITEMS } from '#core/screening';
import { fold, mergeLogs, type SessionEvent } from '#core/session';
import { inEnglish } from '#language/render';
import { loinc, quantity } from './codes';

type Row = Record<string, unknown>;
export type Resource = { resourceType: string } & Record<string, unknown>;

/** What resources are made from in addition to their own row. */
type Around = {
  subject: { reference: string };
  measures: MeasureBook;
  library: Library;
  /** Plans as they were signed, by prescription. */
  plans: ReadonlyMap<string, Plan>;
  events: ReadonlyMap<string, SessionEvent[]>;
};

/** Names of resources are made from ours, so that the same record gives the same bundle. */
const NAMESPACE = 'b7f4c1ce-6a0f-4e0f-9d0c-2f6a1f5a3d11';
const idOf = (type: string, id: unknown): string => uuidFrom(`${type} ${id}`, NAMESPACE);
const refTo = (type: string, id: unknown) => ({ reference: `urn:uuid:${idOf(type, id)}` });
const at = (ms: unknown): string => new Date(Number(ms)).toISOString();
const words = (text: Text) => ({ text: inEnglish(text) });

const observation = (id: unknown, { subject }: Around, effectiveMs: unknown, more: Row): Resource => ({
  resourceType: 'Observation',
  id: idOf('Observation', id),
  status: 'final',
  subject,
  effectiveDateTime: at(effectiveMs),
  ...more,
});
const onLimb = (limb: unknown) => (limb ? { bodySite: words(LIMB_NAMES[limb as Limb]) } : {});
const component = (name: string, value: Row) => ({ code: words(name), ...value });

/** Resources of a row of each kind; what is left out is of the practice rather than of the person, or follows from the rest. */
const RESOURCES: Partial<Record<ArchiveKind, (row: Row, around: Around) => Resource[]>> = {
  practitioner: ({ id, name }) => [
    { resourceType: 'Practitioner', id: idOf('Practitioner', id), name: [{ text: String(name) }] },
  ],

  kit: ({ id, list, item }) => {
    const { label, widthCm } = item as Cuff;
    if (list !== 'cuffs' && list !== 'pumps') return [];
    return [
      {
        resourceType: 'Device',
        id: idOf('Device', id),
        deviceName: [{ name: label, type: 'user-friendly-name' }],
        type: words(list === 'cuffs' ? 'Pneumatic cuff for blood flow restriction' : 'Pressure gauge'),
        ...(list === 'cuffs'
          ? { property: [{ type: words('Width'), valueQuantity: [quantity(widthCm, 'cm')] }] }
          : {}),
      },
    ];
  },

  client: ({ id, name }) => [
    { resourceType: 'Patient', id: idOf('Patient', id), name: [{ text: String(name) }] },
  ],

  screening: (row, around) => {
    const { id, atMs, yes, bloodPressures, procedures, note } = row as {
      id: string;
      atMs: number;
      yes: ItemId[];
      bloodPressures: { systolicMmHg: number; diastolicMmHg: number }[];
      procedures: Procedure[];
      note: string;
    };
    return [
      {
        resourceType: 'QuestionnaireResponse',
        id: idOf('QuestionnaireResponse', id),
        status: 'completed',
        subject: around.subject,
        authored: at(atMs),
        item: [
          ...Object.entries(SCREEN_ITEMS).map(([linkId, { label }]) => ({
            linkId,
            text: inEnglish(label),
            answer: [{ valueBoolean: yes.includes(linkId as ItemId) }],
          })),
          ...(note === '' ? [] : [{ linkId: 'note', text: 'Note', answer: [{ valueString: note }] }]),
        ],
      },
      ...bloodPressures.map(({ systolicMmHg, diastolicMmHg }, place) =>
        observation(`${id} ${place}`, around, atMs, {
          code: loinc('blood-pressure'),
          component: [
            { code: loinc('systolic'), valueQuantity: quantity(systolicMmHg, 'mmHg') },
            { code: loinc('diastolic'), valueQuantity: quantity(diastolicMmHg, 'mmHg') },
          ],
        }),
      ),
      ...procedures.map((procedure, place) => ({
        resourceType: 'Procedure',
        id: idOf('Procedure', `${id} ${place}`),
        status: 'completed',
        code: words(procedure.what),
        subject: around.subject,
        performedDateTime: at(procedure.atMs),
        ...(procedure.limb === 'no-limb' ? {} : { bodySite: [words(LIMB_NAMES[procedure.limb])] }),
      })),
    ];
  },

  clearance: ({ id, clearance }, around) => {
    const { givenBy, givenAtMs, subjects, maxPercentLop, ranges, note } = clearance as Clearance;
    return [
      observation(id, around, givenAtMs, {
        code: words('Clearance for blood flow restriction training'),
        valueString: [
          `${givenBy}: ${subjects.join(', ')}`,
          ...(maxPercentLop === null ? [] : [`at most ${maxPercentLop} % of LOP`]),
          ...ranges.map((range) => inEnglish(rangeWords(range))),
        ].join(', '),
        ...(note === '' ? {} : { note: [{ text: note }] }),
      }),
    ];
  },

  consent: ({ id, atMs, version, decision, guardian }, { subject }) => [
    {
      resourceType: 'Consent',
      id: idOf('Consent', id),
      status: decision === 'agreed' ? 'active' : 'inactive',
      scope: {
        coding: [{ system: 'http://terminology.hl7.org/CodeSystem/consentscope', code: 'treatment' }],
      },
      category: [words('Blood flow restriction training')],
      patient: subject,
      dateTime: at(atMs),
      policyRule: words(`What was read: version ${version}`),
      performer: [guardian === null ? subject : { display: String(guardian) }],
    },
  ],

  fit: ({ id, atMs, limb, girthCm, label }, around) => [
    observation(id, around, atMs, {
      code: words('Limb girth under the cuff'),
      ...onLimb(limb),
      valueQuantity: quantity(Number(girthCm), 'cm'),
      note: [{ text: `Under ${label}` }],
    }),
  ],

  'occlusion-pressure': (row, around) => [
    observation(row.id, around, row.atMs, {
      code: words('Limb occlusion pressure'),
      ...onLimb(row.limb),
      method: words(METHODS[row.method as PulseMethod].label),
      device: refTo('Device', row.cuffId),
      valueQuantity: quantity(Number(row.pressureMmHg), 'mmHg'),
      component: [
        component('Position', { valueString: String(row.position) }),
        component('Expanded uncertainty', { valueQuantity: quantity(Number(row.uncertaintyMmHg), 'mmHg') }),
        component('Cuff width', { valueQuantity: quantity(Number(row.widthCm), 'cm') }),
        component('Girth', { valueQuantity: quantity(Number(row.girthCm), 'cm') }),
        component('Trials', { valueInteger: Number(row.trialsUsed) }),
      ],
    }),
  ],

  'strength-test': (row, around) => [
    observation(row.id, around, row.atMs, {
      code: words('One-repetition maximum'),
      method: words(`${row.reps} repetitions of ${row.loadKg} kg`),
      valueQuantity: quantity(Number(row.oneRepMaxKg), 'kg'),
      component: [
        component('Exercise', {
          valueString: inEnglish(around.library[String(row.exerciseId)]?.label ?? String(row.exerciseId)),
        }),
        component('Side', { valueString: String(row.side) }),
      ],
    }),
  ],

  outcome: (row, around) => {
    if (row.withdrawn !== null) return [];
    const id = row.measureId as MeasureId;
    const measure = around.measures[id];
    if (!measure) return [];
    return [
      observation(row.id, around, row.atMs, {
        code:
          id === 'body-mass'
            ? loinc('body-mass')
            : id === 'resting-heart-rate'
              ? loinc('heart-rate')
              : words(measure.label),
        ...onLimb(row.limb),
        ...(row.setting === '' ? {} : { method: words(String(row.setting)) }),
        valueQuantity: quantity(Number(row.value), inEnglish(measure.unit)),
        ...(row.note === '' ? {} : { note: [{ text: String(row.note) }] }),
      }),
    ];
  },

  hold: ({ id, atMs, words: text, liftedAtMs }, { subject }) => [
    {
      resourceType: 'Flag',
      id: idOf('Flag', id),
      status: liftedAtMs === null ? 'active' : 'inactive',
      code: words(text as Text),
      subject,
      period: { start: at(atMs), ...(liftedAtMs === null ? {} : { end: at(liftedAtMs) }) },
    },
  ],

  'course-plan': ({ id, name, state, untilMs }, { subject }) => [
    {
      resourceType: 'CarePlan',
      id: idOf('CarePlan', id),
      status: state === 'in-force' ? 'active' : state === 'paused' ? 'on-hold' : 'completed',
      intent: 'plan',
      title: String(name),
      subject,
      ...(untilMs === null ? {} : { period: { end: at(untilMs) } }),
    },
  ],

  prescription: ({ id, atMs, plan, signedBy, coursePlanId, overrideReason }, { subject }) => [
    {
      resourceType: 'ServiceRequest',
      id: idOf('ServiceRequest', id),
      status: 'active',
      intent: 'order',
      code: words('Blood flow restriction training'),
      subject,
      authoredOn: at(atMs),
      requester: refTo('Practitioner', signedBy),
      basedOn: [refTo('CarePlan', coursePlanId)],
      patientInstruction: planWords(readPlan(plan)),
      ...(overrideReason === null ? {} : { note: [{ text: `Past a guard: ${overrideReason}` }] }),
    },
  ],

  session: ({ id, prescriptionId, openedAtMs, plan }, { subject, plans, events }) => {
    const frozen = plan === null ? plans.get(String(prescriptionId)) : readPlan(plan);
    if (!frozen) return [];
    const state = fold(frozen, mergeLogs(events.get(String(id)) ?? []));
    const line = sessionLine(frozen, state);
    return [
      {
        resourceType: 'Procedure',
        id: idOf('Procedure', id),
        status: state.finishedAtMs === null ? 'in-progress' : 'completed',
        code: words('Blood flow restriction training session'),
        subject,
        basedOn: [refTo('ServiceRequest', prescriptionId)],
        performedPeriod: {
          start: at(state.startedAtMs ?? openedAtMs),
          ...(state.finishedAtMs === null ? {} : { end: at(state.finishedAtMs) }),
        },
        extension: [
          dose('occluded', quantity(Math.round(line.occludedMs / 1000), 's')),
          dose('volume', quantity(line.volumeKgReps, 'kg·reps')),
          dose('repetitions', quantity(line.reps, 'repetitions')),
        ],
      },
    ];
  },

  'adverse-event': ({ id, atMs, what, done, outcome, practitionerId }, { subject }) => [
    {
      resourceType: 'AdverseEvent',
      id: idOf('AdverseEvent', id),
      actuality: 'actual',
      event: words(`${what} Done: ${done}${outcome === '' ? '' : ` Since: ${outcome}`}`),
      subject,
      date: at(atMs),
      recorder: refTo('Practitioner', practitionerId),
    },
  ],
};

const dose = (name: string, valueQuantity: Row) => ({ url: `urn:nervato:dose:${name}`, valueQuantity });

const planWords = (plan: Plan): string =>
  inEnglish(
    list(
      plan.exercises.map((exercise, place) =>
        msg('{exercise}: {limbs}, {load}, {protocol}', {
          exercise: exerciseWords(plan, place),
          limbs: list(exercise.limbs.map(targetText), ', '),
          load: exercise.load.kind === 'weighed' ? mass(exercise.load.load.value) : exercise.load.recipe,
          protocol: exercise.protocolLabel,
        }),
      ),
      '; ',
    ),
  );

function targetText(target: LimbTarget): Message {
  const values = { limb: LIMB_NAMES[target.limb], target: targetWords(target) };
  switch (target.kind) {
    case 'measured':
      return msg('{limb} at {target} ({percentLop} % of LOP)', { ...values, percentLop: target.percentLop });
    case 'by-feel':
      return msg('{limb} by strap at {target}', values);
    case 'arbitrary':
      return msg('{limb} at {target}', values);
  }
}

/**
 * The record of one person as a FHIR R4 bundle, of the rows of their archive. Every reference in it resolves within it.
 * @throws RangeError where the rows are not of one person
 */
export function bundleOf(rows: Iterable<ArchiveRow>): Resource {
  const all = [...rows];
  const ofKind = (kind: ArchiveKind) => all.filter((row) => row.kind === kind).map(({ row }) => row);
  const [client, another] = ofKind('client');
  if (!client || another) throw new RangeError('A bundle is of one person.');
  const events = new Map<string, SessionEvent[]>();
  for (const { event } of ofKind('event') as { event: SessionEvent }[])
    events.set(event.sessionId, [...(events.get(event.sessionId) ?? []), event]);
  const around: Around = {
    subject: refTo('Patient', client.id),
    measures: measureBook(
      Object.fromEntries(ofKind('measure').map(({ id, measure }) => [id, measure])) as MeasureBook,
    ),
    library: libraryOf(
      Object.fromEntries(ofKind('exercise').map(({ id, exercise }) => [id, exercise])) as Library,
    ),
    plans: new Map(ofKind('prescription').map(({ id, plan }) => [String(id), readPlan(plan)])),
    events,
  };
  const resources = all.flatMap(({ kind, row }) => RESOURCES[kind]?.(row, around) ?? []);
  return {
    resourceType: 'Bundle',
    meta: { source: `urn:nervato:${RELEASE}` },
    type: 'collection',
    entry: resources.map((resource) => ({ fullUrl: `urn:uuid:${resource.id}`, resource })),
  };
}
