import { z } from 'zod';
import { list, type Message, msg, type Text } from '../message/message';
import { textSchema } from '../message/message-schema';
import { LIMB_LABELS, LIMB_NAMES } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { SIGNS } from '../session/signs';
import type { LoggedSession, LogTotals } from './add-up';
import type { Series } from './series';
import { heldMmHg, type LineExercise } from './session-line';
import { chanceWords, changeFigure, verdictWords } from './verdict-words';

export const sectionIdSchema = z.enum(['done', 'changed', 'sure', 'noticed', 'next', 'health', 'notes']);
export type SectionId = z.infer<typeof sectionIdSchema>;

export const SECTION_TITLES: Record<SectionId, Message> = {
  done: msg('What was done'),
  changed: msg('What changed'),
  sure: msg('How sure that is'),
  noticed: msg('What was noticed'),
  next: msg('What comes next'),
  health: msg('Medicines and limits'),
  notes: msg('Notes of visits'),
};

/** What a report has unless it is chosen otherwise: health and notes go to a recipient only where that is meant. */
export const USUAL_SECTIONS = [
  'done',
  'changed',
  'sure',
  'noticed',
  'next',
] as const satisfies readonly SectionId[];

/** A line of a section: what it is about, what is said of it first, and the figures. */
const lineSchema = z.object({
  about: textSchema,
  says: textSchema,
  figures: textSchema,
});

/**
 * A report as it is issued: every word and figure of it, so that it says the same for ever, whatever is measured or corrected
 * later.
 */
export const reportSchema = z.object({
  clientName: z.string().max(120),
  practiceName: z.string().max(80),
  phone: z.string().max(40),
  /** Address and the like; reports of before it was kept have none. */
  letterhead: z.string().max(400).default(''),
  by: z.string().max(120),
  fromMs: z.number().int(),
  toMs: z.number().int(),
  /** The recipient, and a note in the writer's own words; may be empty. */
  letter: z.string().trim().max(2000, msg('At most 2,000 letters.')),
  sections: z
    .array(z.object({ id: sectionIdSchema, lines: z.array(lineSchema).max(60) }))
    .min(1, msg('Choose at least one section.'))
    .max(7),
  /** Minutes occluded, week by week, for the small picture. */
  weeks: z.array(z.object({ fromMs: z.number().int(), minutes: z.number().min(0) })).max(600),
});
export type Report = z.infer<typeof reportSchema>;
export type ReportLine = z.infer<typeof lineSchema>;

/** What a report is made from. @property health medicines and limits, in words @property next what is planned, in words @property block how far it was kept to; null without one */
export type ReportBasis = {
  sessions: readonly LoggedSession[];
  totals: LogTotals;
  /** From the week of the first session to that of the last: as many as are drawn. */
  weeks: number;
  series: readonly Series[];
  block: { planned: number; done: number; missed: number; toCome: number } | null;
  next: readonly ReportLine[];
  health: readonly ReportLine[];
  /** The newest first. */
  notes: readonly { onDay: string; words: string; by: string }[];
};

/** The sections of a report in plain words: what was done, what changed, how sure, what was noticed, what next. */
export const reportSections = (chosen: readonly SectionId[], basis: ReportBasis): Report['sections'] =>
  sectionIdSchema.options.filter((id) => chosen.includes(id)).map((id) => ({ id, lines: LINES[id](basis) }));

const LINES: Record<SectionId, (basis: ReportBasis) => ReportLine[]> = {
  done: ({ sessions, totals, weeks, block }) => {
    if (totals.sessions === 0) return [line(msg('Sessions'), msg('None yet'))];
    const exercises = [
      ...new Map(
        sessions.flatMap((one) => one.line.exercises.map(({ exerciseId, label }) => [exerciseId, label])),
      ).values(),
    ];
    return [
      line(
        msg('Sessions'),
        msg('{sessions} in {weeks, plural, one {# week} other {# weeks}}', {
          sessions: totals.sessions,
          weeks,
        }),
        list(exercises, ', '),
      ),
      ...(block
        ? [
            line(
              msg('Of the block'),
              msg('{done} of {planned} sessions', block),
              msg('{missed} missed, {toCome} to come', block),
            ),
          ]
        : []),
      ...exerciseLines(sessions),
      ...totals.limbs.map(({ limb, occludedMs, sets }) =>
        line(
          msg('{limb} under the cuff', { limb: LIMB_LABELS[limb] }),
          msg('{minutes} minutes in all', { minutes: Math.round(occludedMs / MS_PER_MINUTE) }),
          list([...(sets > 0 ? [msg('{sets} sets', { sets })] : []), ...shareText(sessions, limb)], ', '),
        ),
      ),
      ...(totals.plannedReps > 0
        ? [
            line(
              msg('Repetitions'),
              msg('{share} % of those planned', {
                share: Math.round((100 * totals.reps) / totals.plannedReps),
              }),
              msg('{reps} of {plannedReps}', { reps: totals.reps, plannedReps: totals.plannedReps }),
            ),
          ]
        : []),
    ];
  },
  changed: ({ series }) =>
    series.flatMap(({ measure, label, points, verdict }) => {
      const [first, last] = [points[0], points.at(-1)];
      if (!verdict || !first || !last) return [];
      return [
        line(
          label,
          verdictWords(verdict.kind, measure.better),
          msg('{first} → {last} {unit}; {change}; {chance}', {
            first: toDecimals(first.value, 1),
            last: toDecimals(last.value, 1),
            unit: measure.unit,
            change: changeFigure(verdict, measure),
            chance: chanceWords(verdict, measure.better),
          }),
        ),
      ];
    }),
  sure: ({ series }) => {
    const judged = series.filter(({ verdict }) => verdict !== null);
    const own = judged.filter(({ error }) => error.from === 'own-repeats').length;
    return [
      line(
        msg('A change is called real'),
        msg('when chance alone would make one so large in fewer than 5 of 100'),
        msg('{z95} times the error of both occasions', { z95: RULES['OUT-2'].figures.z95 }),
      ),
      line(
        msg('The error of each measure'),
        own === 0
          ? msg('is assumed')
          : msg('is this practice’s own for {own} of {all}, else assumed', { own, all: judged.length }),
        msg(
          'Two occasions say less than three; a change that is real may still have another cause than the training.',
        ),
      ),
    ];
  },
  noticed: ({ sessions }) => {
    const noted = sessions.flatMap(({ line: { signs } }) =>
      signs.filter((sign) => SIGNS[sign].level !== 'expected'),
    );
    const pains = sessions.flatMap(({ line: { worstPain } }) => (worstPain === null ? [] : [worstPain]));
    const asked = sessions.filter(({ line: { followUp } }) => followUp !== null);
    const bruised = asked.filter(({ line: { followUp } }) => followUp?.bruising !== 'none').length;
    return [
      line(
        msg('Symptoms to stop for'),
        noted.length === 0
          ? msg('None')
          : list(
              [...new Set(noted)].map((sign) => SIGNS[sign].label),
              ', ',
            ),
        noted.length === 0
          ? ''
          : msg('{noted} in {sessions} sessions', { noted: noted.length, sessions: sessions.length }),
      ),
      line(
        msg('Worst pain of a joint'),
        pains.length === 0 ? msg('Not asked') : msg('{worst} of 10', { worst: Math.max(...pains) }),
      ),
      line(
        msg('The day after'),
        asked.length === 0
          ? msg('Not asked')
          : bruised === 0
            ? msg('No bruises')
            : msg('Bruises after {bruised} of {asked}', { bruised, asked: asked.length }),
      ),
    ];
  },
  next: ({ next }) => (next.length === 0 ? [line(msg('Next'), msg('Nothing is planned'))] : [...next]),
  health: ({ health }) => [...health],
  notes: ({ notes }) =>
    notes
      .slice(0, MOST_NOTES)
      .map(({ onDay, words, by }) => line(msg('{onDay}', { onDay: { isoDay: onDay } }), words, by)),
};

/** As many as a page or two have room for, the newest first. */
const MOST_NOTES = 20;

/** What each exercise was done with, in the first session that had it and in the last: pressure of each limb, and the heaviest load. */
function exerciseLines(sessions: readonly LoggedSession[]): ReportLine[] {
  const inOrder = [...sessions].sort((a, b) => a.startedAtMs - b.startedAtMs);
  const done = new Map<string, { first: LineExercise; last: LineExercise }>();
  for (const exercise of inOrder.flatMap(({ line: { exercises } }) => exercises))
    done.set(exercise.exerciseId, {
      first: done.get(exercise.exerciseId)?.first ?? exercise,
      last: exercise,
    });
  return [...done.values()].flatMap(({ first, last }) => {
    const pressures = last.limbs.flatMap((held) => {
      const before = first.limbs.find(({ limb }) => limb === held.limb);
      const [from, to] = [before ? heldMmHg(before) : null, heldMmHg(held)];
      return to === null
        ? []
        : [msg('{limb} {pressure} mmHg', { limb: LIMB_NAMES[held.limb], pressure: fromTo(from ?? to, to) })];
    });
    const [fromKg, toKg] = [heaviestKg(first), heaviestKg(last)];
    if (pressures.length === 0 && toKg === null) return [];
    const load =
      toKg === null
        ? ''
        : fromKg === null || fromKg === toKg
          ? msg('{load}', { load: { massKg: toKg } })
          : msg('{from} → {to}', { from: { massKg: fromKg }, to: { massKg: toKg } });
    return [line(last.label, pressures.length > 0 ? list(pressures, ', ') : msg('by feel'), load)];
  });
}

const fromTo = (from: number, to: number): string => (from === to ? `${to}` : `${from} → ${to}`);

/** The heaviest load of an exercise in kg; null without kilograms. */
function heaviestKg({ sets }: LineExercise): number | null {
  const loads = sets.flatMap(({ loadKg }) => loadKg ?? []);
  return loads.length === 0 ? null : Math.max(...loads);
}

const line = (about: Text, says: Text, figures: Text = ''): ReportLine => ({ about, says, figures });

/** "at 40 to 58 % of the pressure that stops its flow"; nothing where no share is known. */
function shareText(sessions: readonly LoggedSession[], limb: string): Message[] {
  const shares = sessions
    .flatMap(({ line: { inflations } }) => inflations.filter((one) => one.limb === limb))
    .flatMap(({ percentLop }) => (percentLop === null ? [] : [Math.round(percentLop)]));
  if (shares.length === 0) return [];
  const [low, high] = [Math.min(...shares), Math.max(...shares)];
  return [
    low === high
      ? msg('at {low} % of the pressure that stops its flow', { low })
      : msg('at {low} to {high} % of the pressure that stops its flow', { low, high }),
  ];
}
