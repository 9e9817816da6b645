import { t } from '@lingui/core/macro';
import type { AuditEntry } from '#contract/audit';
import { type Counted, markWords } from '#core/cuff';
import { isMessage, type Message } from '#core/message';
import { SHELF_LIFE_LABELS } from '#core/occlusion-pressure';
import { type MeasureBook, measureBook, measureOf } from '#core/outcomes';
import { RUNG_NAMES } from '#core/plan';
import type { Library } from '#core/protocol';
import { LIMB_LABELS, SIDE_NAMES } from '#core/quantity';
import { exerciseLabel } from '#core/record';
import { RULES } from '#core/rules';
import { clearanceSubjectSchema, DAY_SIGNS } from '#core/screening';
import { translate } from '../../../language/translate';
import { clearanceSubject } from '../../../words/clearance-subject';
import { plain } from '../../../words/format';
import type { Measure } from '../../../words/units';

/** What the practice works in and calls its own. */
export type OfPractice = {
  mass: Measure;
  length: Measure;
  ownExercises: Library;
  ownMeasures: MeasureBook;
};

type Detail = AuditEntry['detail'];
/** How a part of an entry reads; null or empty where it says nothing to a person. */
type Read = (value: unknown, practice: OfPractice, detail: Detail) => string | null;

/** What a table calls something; nothing where it does not know it, be it called as every object's own parts are. */
const calls = <T>(table: Readonly<Record<string, T>>, id: string): T | undefined =>
  Object.hasOwn(table, id) ? table[id] : undefined;

const text =
  (words: (text: string, practice: OfPractice) => string | null): Read =>
  (value, practice) =>
    typeof value === 'string' ? words(value, practice) : null;
const figure =
  (words: (figure: number, practice: OfPractice) => string): Read =>
  (value, practice) =>
    typeof value === 'number' ? words(value, practice) : null;
const counted = (one: string, many: (figure: number) => string): Read =>
  figure((count) => (count === 1 ? one : many(count)));
/** What a person has written: it is never translated. */
const written = text((value) => value);
const said: Read = (value) => (typeof value === 'string' || isMessage(value) ? translate(value) : null);
const named = (words: Record<string, string>): Read => text((value) => calls(words, value) ?? value);
const labelled = (labels: Record<string, Message>): Read =>
  text((value) => translate(calls(labels, value) ?? value));
const part =
  (name: string, read: Read): Read =>
  (value, practice, detail) =>
    typeof value === 'object' && value !== null
      ? read((value as Record<string, unknown>)[name], practice, detail)
      : null;
const each =
  (read: Read): Read =>
  (value, practice, detail) =>
    Array.isArray(value)
      ? value.flatMap((one) => read(one, practice, detail) || []).join('; ') || null
      : null;

const SUBJECT: Read = (value, practice, detail) => {
  const { data } = clearanceSubjectSchema.safeParse(value);
  return data === undefined ? written(value, practice, detail) : clearanceSubject(data);
};
const RULE = text((value) => translate(calls<{ title: Message }>(RULES, value)?.title ?? value));
const SETS = counted(t`1 set`, (sets) => t`${sets} sets`);
const DAY_SIGN = text((value) => translate(calls<{ no: Message }>(DAY_SIGNS, value)?.no ?? value));

const KINDS: Record<string, string> = {
  screening: t`a screening`,
  clearance: t`a clearance`,
  consent: t`consent`,
  'day-check': t`a check on the day`,
  fit: t`a girth`,
  tightness: t`a tightness`,
  'occlusion-pressure': t`an occlusion pressure`,
  'quick-check': t`a quick check`,
  'strength-test': t`a strength test`,
  'heavy-work': t`heavy work`,
  session: t`a session`,
  check: t`the check on the day`,
  after: t`the day after`,
};

/** What can be changed of a person, a plan or an account. */
const CHANGED: Record<string, string> = {
  name: t`the name`,
  story: t`why they come`,
  about: t`what they want and how they are reached`,
  archived: t`whether they are on the list`,
  occasion: t`when it is done`,
  state: t`whether it is in force`,
  untilMs: t`until when it is done`,
  role: t`the role`,
  isOwner: t`whether it is an owner’s`,
  certifiedUntilDay: t`until when they are certified`,
};
const changed: Read = (value) =>
  typeof value === 'object' && value !== null
    ? Object.keys(value)
        .flatMap((name) => calls(CHANGED, name) ?? [])
        .join(', ') || null
    : null;

/** What of an entry is for reading, in the order it is read. Ids and moments are for programs, and are in the file. */
const READS: Record<string, Read> = {
  name: written,
  other: part('name', written),
  to: changed,
  change: changed,
  kind: text((value) => calls(KINDS, value) ?? null),
  item: part('label', said),
  exercise: part('label', said),
  measure: part('label', said),
  measureId: text((id, { ownMeasures }) => translate(measureOf(measureBook(ownMeasures), id).label)),
  exerciseId: text((id, practice) => translate(exerciseLabel(practice, id))),
  side: text((side) => (side === 'left' || side === 'right' ? translate(SIDE_NAMES[side]) : null)),
  limb: labelled(LIMB_LABELS),
  girthCm: figure((cm, { length }) => length.words(cm)),
  label: said,
  strapLabel: written,
  mark: (value, _, { counts, tension }) =>
    typeof value === 'number'
      ? translate(
          markWords({
            mark: value,
            counts: counts === 'turns' || counts === 'squeezes' ? (counts satisfies Counted) : undefined,
            tension: typeof tension === 'string' ? tension : undefined,
          }),
        )
      : null,
  felt: figure((felt) => t`felt ${felt} of 10`),
  sets: (value, practice, detail) => {
    const sets = Array.isArray(value) ? value.length : value;
    return SETS(sets, practice, detail);
  },
  reps: counted(t`1 repetition`, (reps) => t`${reps} repetitions`),
  loadKg: figure((kg, { mass }) => mass.words(kg)),
  repeats: (value) =>
    Array.isArray(value)
      ? value
          .filter(Number.isFinite)
          .map((one) => plain(one, 2))
          .join(' / ') || null
      : null,
  setting: said,
  goneMmHg: figure((mmHg) => t`pulse gone at ${plain(mmHg)} mmHg`),
  rung: labelled(RUNG_NAMES),
  yes: (value, practice, detail) =>
    Array.isArray(value) && value.length === 0
      ? t`nothing answered with yes`
      : each(SUBJECT)(value, practice, detail),
  subjects: each(SUBJECT),
  givenBy: text((name) => t`by ${name}`),
  decision: named({ agreed: t`they agreed`, withdrawn: t`they took it back` }),
  read: named({ 'on-screen': t`read on screen`, 'on-paper': t`read on paper` }),
  notWell: each(DAY_SIGN),
  painNow: figure((pain) => t`pain ${pain} of 10`),
  shelfLife: labelled(SHELF_LIFE_LABELS),
  changes: each(said),
  guards: each(RULE),
  title: said,
  rules: each(RULE),
  words: said,
  what: named({ passphrase: t`the passphrase`, code: t`the code of the second device`, PIN: t`the PIN` }),
  done: written,
  outcome: written,
  reason: written,
  why: written,
  count: counted(t`1 entry`, (count) => t`${count} entries`),
  weeks: counted(t`1 week`, (weeks) => t`${weeks} weeks`),
  points: figure((points) => t`${points} of 100`),
  people: counted(t`1 person`, (people) => t`${people} people`),
  rows: counted(t`1 row`, (rows) => t`${rows} rows`),
};

/** The detail of an entry, on one line, in the practice's units; null where it says nothing to a person. */
export function detailWords({ detail }: Pick<AuditEntry, 'detail'>, practice: OfPractice): string | null {
  const parts = Object.entries(READS).flatMap(([name, read]) => read(detail[name], practice, detail) || []);
  return parts.length === 0 ? null : parts.join(' · ');
}
