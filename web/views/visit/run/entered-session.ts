import { t } from '@lingui/core/macro';
import { type NewEnteredSession, newEnteredSessionSchema } from '#contract/session';
import { type Plan, plannedAt } from '#core/plan';
import { MS_PER_MINUTE, toNumber, toNumberOrNull } from '#core/quantity';
import type { BloodPressure, DaySign } from '#core/screening';
import type { EffortScale, SignId } from '#core/session';
import { bySchema } from '../../../parts/forms/by-schema';
import type { Reading } from '../../../parts/forms/use-fields';
import { readPressure } from '../../../parts/record/typed-pressure';
import { type PaperColumn, paperColumns } from '../../../words/paper-columns';

/** When a blood pressure was taken, in the order of the sheet. */
export const PRESSURES = ['before', 'last-rest', 'minute-1', 'minute-5'] as const;

/** A session as it is typed from its sheet; a set without an amount was not done, what is left empty is not known. */
export type Typed = Record<'day' | 'time' | 'jointPain' | 'painNow', string> & {
  sets: {
    exerciseIndex: number;
    setIndex: number;
    cells: Record<string, string>;
    colour: 'good' | 'not' | '';
  }[];
  /** Whether each question of the day was answered well; those that were not asked are not there. */
  well: Partial<Record<DaySign, boolean>>;
  pressures: Record<(typeof PRESSURES)[number], string>;
  signs: SignId[];
};

/** Nothing typed yet of a plan, but the moment. */
export const emptyEntry = (plan: Plan, day: string, time: string): Typed => ({
  day,
  time,
  jointPain: '',
  painNow: '',
  well: {},
  pressures: { before: '', 'last-rest': '', 'minute-1': '', 'minute-5': '' },
  signs: [],
  sets: plan.exercises.flatMap(({ sets }, exerciseIndex) =>
    sets.map((_, setIndex) => ({ exerciseIndex, setIndex, cells: {}, colour: '' as const })),
  ),
});

/** @example durationMs('4:30') //=> 270_000, as '4.5' minutes and '4' are 270_000 and 240_000; NaN of what is neither */
export function durationMs(typed: string): number {
  const [, minutes, seconds] = /^\s*(\d{1,3}):([0-5]?\d)\s*$/.exec(typed) ?? [];
  if (minutes !== undefined && seconds !== undefined)
    return Number(minutes) * MS_PER_MINUTE + Number(seconds) * 1_000;
  return Math.round(toNumber(typed) * MS_PER_MINUTE);
}

/** @returns the reading of "124/78"; null where nothing is typed, 'wrong' where it is none */
export function bloodPressureOf(typed: string): BloodPressure | null | 'wrong' {
  if (typed.trim() === '') return null;
  const [upper = '', lower = ''] = typed.split(/[/\s]+/).filter(Boolean);
  return readPressure({ upper, lower }).reading ?? 'wrong';
}

type Row = Typed['sets'][number];
type Ids = { id: string; coursePlanId: string };

/** What was typed as the session that is sent, or what is wrong with it, at its field. @param asked questions of the day */
export function readEntry(
  typed: Typed,
  plan: Plan,
  { scale, asked, ids }: { scale: EffortScale; asked: readonly DaySign[]; ids: Ids },
): Reading<Typed, NewEnteredSession> {
  const columns = plan.exercises.map((exercise) => paperColumns(exercise, ''));
  const done = typed.sets
    .map((row, place) => ({ row, place }))
    .filter(({ row }) => (row.cells.amount ?? '').trim() !== '');
  const sets = done.map(({ row }) => setOf(row, columns[row.exerciseIndex] ?? [], plan, scale));
  const pressures = PRESSURES.map((moment) => ({
    moment,
    reading: bloodPressureOf(typed.pressures[moment]),
  }));
  const check = dayCheckOf(typed, asked);
  const made = {
    ...ids,
    // Without a day or a time it is no moment.
    startedAtMs: new Date(`${typed.day}T${typed.time}`).getTime(),
    sets: sets.map(({ set }) => set),
    jointPain: toNumberOrNull(typed.jointPain),
    signs: typed.signs,
    bloodPressures: pressures.flatMap(({ moment, reading }) =>
      reading === null || reading === 'wrong' ? [] : [{ moment, reading }],
    ),
    ...(check.answers ? { dayCheck: check.answers } : {}),
  };
  const reading = bySchema<Typed, NewEnteredSession>(newEnteredSessionSchema, made, (path) => {
    if (path === 'startedAtMs') return typed.day === '' ? 'day' : 'time';
    if (path === 'dayCheck.painNow') return 'painNow';
    const [, at, of = ''] = /^sets\.(\d+)\.(.*)$/.exec(path) ?? [];
    const place = done[Number(at)]?.place;
    if (place === undefined) return path as keyof Typed;
    return `sets.${place}.cells.${sets[Number(at)]?.keyOf(of) ?? 'amount'}` as keyof Typed;
  });
  // On another scale the schema's own bounds would be other figures than those that are typed.
  const offScale = done.filter(({ row }) => {
    const said = toNumberOrNull(row.cells.effort ?? '');
    return said !== null && !scale.said.includes(said);
  });
  const scaleWords = t`From ${scale.said[0] ?? 0} to ${scale.said.at(-1) ?? 0}.`;
  const wrong = Object.fromEntries([
    ...pressures.flatMap(({ moment, reading: one }) =>
      one === 'wrong' ? [[`pressures.${moment}`, t`Write it as 124/78.`] as const] : [],
    ),
    ...(check.wrong === null ? [] : [['painNow', check.wrong] as const]),
    ...offScale.map(({ place }) => [`sets.${place}.cells.effort`, scaleWords] as const),
  ]);
  if (Object.keys(wrong).length === 0) return reading;
  return { wrong: { ...('wrong' in reading ? reading.wrong : {}), ...wrong } };
}

/** The check of the day, where all of it was answered; none of it where nothing was. */
function dayCheckOf(
  { well, painNow, pressures }: Pick<Typed, 'well' | 'painNow' | 'pressures'>,
  asked: readonly DaySign[],
): { answers: NewEnteredSession['dayCheck']; wrong: string | null } {
  const answered = asked.filter((sign) => well[sign] !== undefined);
  if (answered.length === 0 && painNow.trim() === '') return { answers: undefined, wrong: null };
  if (answered.length < asked.length || painNow.trim() === '')
    return {
      answers: undefined,
      wrong: t`Answer all the questions of the day and the pain, or none of them.`,
    };
  const before = bloodPressureOf(pressures.before);
  return {
    answers: {
      notWell: asked.filter((sign) => well[sign] === false),
      painNow: toNumber(painNow),
      bloodPressure: before === 'wrong' ? null : before,
    },
    wrong: null,
  };
}

/** One set of the sheet, and which cell a part of it was typed in. */
function setOf(
  { exerciseIndex, setIndex, cells, colour }: Row,
  columns: readonly PaperColumn[],
  plan: Plan,
  scale: EffortScale,
) {
  const typedIn = columns.filter(({ key }) => (cells[key] ?? '').trim() !== '');
  const figure = ({ key }: PaperColumn) => toNumber(cells[key] ?? '');
  const of = <I extends PaperColumn['is']>(is: I) =>
    typedIn.filter((column): column is Extract<PaperColumn, { is: I }> => column.is === is);
  const [read, marks, heart, output] = [of('pressure'), of('mark'), of('heart-rate'), of('output')];
  const isTimed = plannedAt(plan, { exerciseIndex, setIndex }).work.kind === 'timed';
  const said = toNumberOrNull(cells.effort ?? '');
  const amount = cells.amount ?? '';
  return {
    set: {
      exerciseIndex,
      setIndex,
      reps: isTimed ? null : toNumber(amount),
      lastedMs: isTimed ? durationMs(amount) : null,
      effort: said === null ? null : scale.toEffort(said),
      ...(read.length > 0 && { read: read.map((one) => ({ limb: one.limb, pressureMmHg: figure(one) })) }),
      ...(marks.length > 0 && { marks: marks.map((one) => ({ limb: one.limb, mark: figure(one) })) }),
      ...(heart.length > 0 && {
        heartRates: heart.map((one) => ({ moment: one.moment, beatsPerMinute: figure(one) })),
      }),
      ...(output.length > 0 && {
        output: Object.fromEntries(output.map((one) => [one.figure, figure(one)])),
      }),
      ...(colour !== '' && { colourGood: colour === 'good' }),
    },
    /** @param path within the set, such as `read.0.pressureMmHg` */
    keyOf: (path: string): string => {
      const [part, at] = path.split('.');
      const among = { read, marks, heartRates: heart }[part ?? ''];
      if (among) return among[Number(at)]?.key ?? 'amount';
      if (part === 'output') return output.find(({ figure: name }) => name === at)?.key ?? 'amount';
      return part === 'effort' ? 'effort' : 'amount';
    },
  };
}
