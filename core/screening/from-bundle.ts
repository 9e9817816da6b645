import { z } from 'zod';
import { msg, type Text } from '../message/message';
import { MessageError } from '../message/message-error';
import type { Limb } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { ItemId } from './items';
import { LOINC, LOINC_CODES, type LoincId } from './loinc';

/**
 * What another clinical record says that bears on screening. Nothing of it counts before a clinician takes it over:
 * words are matched with care, and a record that is silent says nothing.
 */
export type Proposal =
  | { kind: 'item'; itemId: ItemId; words: string; atMs: number | null }
  | { kind: 'procedure'; words: string; limb: Limb | null; atMs: number }
  | { kind: 'blood-pressure'; systolicMmHg: number; diastolicMmHg: number; atMs: number }
  | { kind: 'body-mass'; massKg: number; atMs: number }
  | { kind: 'note'; words: Text; atMs: number | null };

/** A record as far as it was understood: whose it is, so that the match can be checked, and what it proposes. */
export type BundleRead = { person: Text; bornOn: string | null; proposals: Proposal[] };

/** Why a file is no clinical record, and what to do. */
export class NotABundle extends MessageError {
  readonly code = 'not-a-bundle';
}

const MOST_ENTRIES = 20_000;
const MOST_PROPOSALS = 200;

const text = z.string().max(2_000);
const concept = z.object({
  text: text.optional(),
  coding: z
    .array(z.object({ system: text.optional(), code: text.optional(), display: text.optional() }))
    .max(50)
    .optional(),
});
const quantity = z.object({ value: z.number(), code: text.optional(), unit: text.optional() });
const resourceSchema = z.object({
  resourceType: z.string().max(60),
  name: z
    .array(z.object({ text: text.optional(), given: z.array(text).optional(), family: text.optional() }))
    .optional()
    .catch(undefined),
  birthDate: text.optional().catch(undefined),
  code: concept.optional().catch(undefined),
  bodySite: z
    .union([concept, z.array(concept)])
    .optional()
    .catch(undefined),
  clinicalStatus: concept.optional().catch(undefined),
  verificationStatus: concept.optional().catch(undefined),
  status: text.optional().catch(undefined),
  effectiveDateTime: text.optional().catch(undefined),
  onsetDateTime: text.optional().catch(undefined),
  recordedDate: text.optional().catch(undefined),
  performedDateTime: text.optional().catch(undefined),
  performedPeriod: z.object({ start: text.optional(), end: text.optional() }).optional().catch(undefined),
  valueQuantity: quantity.optional().catch(undefined),
  component: z
    .array(z.object({ code: concept, valueQuantity: quantity.optional() }))
    .max(50)
    .optional()
    .catch(undefined),
});
type Resource = z.infer<typeof resourceSchema>;
type Concept = z.infer<typeof concept>;

const bundleSchema = z.object({
  resourceType: z.literal('Bundle'),
  entry: z
    .array(z.object({ resource: z.unknown() }))
    .max(MOST_ENTRIES)
    .default([]),
});

/** Words of a condition that an item asks about (rule SCR-1). The first that fits counts. */
const CONDITIONS: { words: RegExp; itemId: ItemId }[] = [
  { words: /family history.*(thromb|clot)|(thromb|clot).*family history/, itemId: 'family-clots' },
  { words: /sickle.cell trait/, itemId: 'sickle-cell-trait' },
  { words: /sickle/, itemId: 'sickle-cell-disease' },
  { words: /rhabdomyolysis/, itemId: 'rhabdomyolysis' },
  { words: /(spinal cord|tetrapleg|quadripleg|parapleg)/, itemId: 'spinal-cord-injury' },
  { words: /diabet.*neuropath|neuropath.*diabet|uncontrolled diabet/, itemId: 'diabetes-severe' },
  {
    words: /thrombophilia|haemophilia|hemophilia|factor v|clotting disorder|coagulopath/,
    itemId: 'clotting-disorder',
  },
  { words: /superficial.*thrombophlebitis|varicose/, itemId: 'varicose-veins' },
  { words: /thrombos|embolism|\bdvt\b/, itemId: 'thrombosis' },
  { words: /stroke|cerebrovascular accident|cerebral infarct/, itemId: 'stroke' },
  { words: /pregnan/, itemId: 'pregnancy' },
  {
    words: /myocardial infarct|angina|heart failure|coronary|cardiomyopath|aortic stenosis/,
    itemId: 'heart-disease',
  },
  {
    words: /peripheral (arterial|vascular)|arterial insufficiency|claudication|venous insufficiency/,
    itemId: 'vascular-disease',
  },
  { words: /compartment syndrome/, itemId: 'compartment-syndrome' },
  { words: /arteriovenous fistula|dialysis/, itemId: 'dialysis-access' },
  { words: /sarcoma|tumou?r|neoplasm/, itemId: 'tumour' },
  { words: /hypertension|high blood pressure/, itemId: 'hypertension-treated' },
  { words: /diabet/, itemId: 'diabetes' },
  { words: /lymph(o)?edema|lymphoedema/, itemId: 'lymphoedema' },
  { words: /anticoagul|warfarin|apixaban|rivaroxaban|heparin/, itemId: 'anticoagulants' },
  { words: /neuropath|nerve injury|nerve palsy/, itemId: 'nerve-injury' },
  { words: /syncope|fainted|fainting/, itemId: 'fainting' },
  { words: /infection|cellulitis|osteomyelitis/, itemId: 'infection' },
  { words: /smok|tobacco/, itemId: 'smoker' },
];

/** Words of a place on the body, and the limb a cuff would go on there; a side has to be said. */
const LIMB_PARTS = {
  thigh: /thigh|knee|leg|shin|ankle|foot|hip|calf|femur|tibia|acl/,
  arm: /arm|elbow|wrist|hand|shoulder|humer|forearm/,
};

/**
 * What a FHIR R4 bundle proposes for screening (rule SCR-1): conditions, operations of the time that counts, blood pressures and
 * body mass. What is not understood, or is over, stays a note; what was refuted or entered in error is left out.
 * @param json the bundle, as it was parsed @throws NotABundle with what to do
 */
export function readBundle(json: unknown, nowMs: number): BundleRead {
  const bundle = bundleSchema.safeParse(json);
  if (!bundle.success) {
    throw new NotABundle(
      msg(
        'This is no FHIR bundle, or a larger one than is read here ({mostEntries} entries). Ask for the record of one person, as a Bundle of FHIR R4 in JSON.',
        { mostEntries: MOST_ENTRIES },
      ),
    );
  }
  const resources = bundle.data.entry.flatMap(({ resource }): Resource[] => {
    const read = resourceSchema.safeParse(resource);
    return read.success ? [read.data] : [];
  });
  const patients = resources.filter(({ resourceType }) => resourceType === 'Patient');
  const [patient, another] = patients;
  if (!patient || another) {
    throw new NotABundle(
      patient
        ? msg('Several people are in this bundle. Ask for the record of one person.')
        : msg('No person is in this bundle. Ask for the record of one person.'),
    );
  }
  const proposals = resources.filter(stands).flatMap((resource) => proposed(resource, nowMs));
  const seen = new Set<string>();
  return {
    person: nameOf(patient),
    bornOn: patient.birthDate ?? null,
    proposals: proposals
      .filter((proposal) => {
        const key = JSON.stringify(proposal);
        return !seen.has(key) && seen.add(key);
      })
      .slice(0, MOST_PROPOSALS),
  };
}

/** Whether it is said at all, rather than taken back. */
const stands = ({ resourceType, status, verificationStatus }: Resource): boolean =>
  !/entered-in-error|not-done|cancelled/.test(status ?? '') &&
  !(resourceType === 'Condition' && /refuted|entered-in-error/.test(wordsOf(verificationStatus)));

/** What is asked of the past as well as of now. */
const ASKED_OF_THE_PAST: ReadonlySet<ItemId> = new Set(['thrombosis', 'stroke']);

function proposed(resource: Resource, nowMs: number): Proposal[] {
  switch (resource.resourceType) {
    case 'Condition':
      return condition(resource);
    case 'Procedure':
      return operation(resource, nowMs);
    case 'Observation':
      return observation(resource);
    default:
      return [];
  }
}

/** A condition by the item that asks about it; one that is over is a note, unless it is asked of the past. */
function condition({ code, clinicalStatus, onsetDateTime, recordedDate }: Resource): Proposal[] {
  const words = wordsOf(code);
  if (words === '') return [];
  const itemId = itemOf(code);
  const atMs = msOf(onsetDateTime ?? recordedDate);
  const isOver = /inactive|resolved|remission/.test(wordsOf(clinicalStatus));
  if (itemId && (!isOver || ASKED_OF_THE_PAST.has(itemId))) return [{ kind: 'item', itemId, words, atMs }];
  return [{ kind: 'note', words: isOver ? msg('{words}, over', { words }) : words, atMs }];
}

/** Operations count for twelve weeks; older ones are worth a note. */
function operation(
  { code, bodySite, performedDateTime, performedPeriod }: Resource,
  nowMs: number,
): Proposal[] {
  const words = wordsOf(code);
  const atMs = msOf(performedDateTime ?? performedPeriod?.end ?? performedPeriod?.start);
  if (words === '' || atMs === null || atMs > nowMs) return [];
  const countsMs = RULES['SCR-1'].figures.procedureCountsDays * MS_PER_DAY;
  if (nowMs - atMs > countsMs) return [{ kind: 'note', words, atMs }];
  const sites = bodySite === undefined ? [] : [bodySite].flat();
  return [{ kind: 'procedure', words, limb: limbOf([words, ...sites.map(wordsOf)].join(' ')), atMs }];
}

const KG_BY_UNIT: Record<string, number> = { kg: 1, g: 0.001, '[lb_av]': 0.45359237 };

function observation({ code, component, valueQuantity, effectiveDateTime }: Resource): Proposal[] {
  const atMs = msOf(effectiveDateTime);
  if (atMs === null) return [];
  const part = (loinc: LoincId) => component?.find((one) => hasCode(one.code, loinc))?.valueQuantity?.value;
  const [systolicMmHg, diastolicMmHg] = [part('systolic'), part('diastolic')];
  if (systolicMmHg !== undefined && diastolicMmHg !== undefined)
    return [{ kind: 'blood-pressure', systolicMmHg, diastolicMmHg, atMs }];
  const factor = KG_BY_UNIT[valueQuantity?.code ?? valueQuantity?.unit ?? ''];
  if (!hasCode(code, 'body-mass') || !valueQuantity || factor === undefined) return [];
  return [{ kind: 'body-mass', massKg: Math.round(valueQuantity.value * factor * 10) / 10, atMs }];
}

const hasCode = (of: Concept | undefined, loinc: LoincId): boolean =>
  of?.coding?.some(({ system, code }) => system === LOINC && code === LOINC_CODES[loinc].code) ?? false;

const wordsOf = (of: Concept | undefined): string =>
  (of?.text ?? of?.coding?.find(({ display }) => display)?.display ?? of?.coding?.[0]?.code ?? '')
    .trim()
    .slice(0, 200);

const itemOf = (code: Concept | undefined): ItemId | null => {
  const words = wordsOf(code).toLowerCase();
  return CONDITIONS.find((condition) => condition.words.test(words))?.itemId ?? null;
};

/** The limb that words are about. @example limbOf('Repair of left knee meniscus') //=> 'left-thigh' */
function limbOf(words: string): Limb | null {
  const plain = words.toLowerCase();
  const side = /\bleft\b/.test(plain) ? 'left' : /\bright\b/.test(plain) ? 'right' : null;
  if (side === null || /\bleft\b/.test(plain) === /\bright\b/.test(plain)) return null;
  if (LIMB_PARTS.thigh.test(plain)) return `${side}-thigh`;
  return LIMB_PARTS.arm.test(plain) ? `${side}-arm` : null;
}

function msOf(date: string | undefined): number | null {
  const ms = Date.parse(date ?? '');
  return Number.isNaN(ms) ? null : ms;
}

function nameOf({ name }: Resource): Text {
  const [first] = name ?? [];
  const joined = [...(first?.given ?? []), first?.family ?? ''].join(' ').trim();
  return (first?.text ?? joined).slice(0, 200) || msg('without a name');
}
