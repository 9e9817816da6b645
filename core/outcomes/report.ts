import { z } from 'zod';
import { LIMB_LABELS } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { SIGNS } from '../session/signs';
import type { LoggedSession, LogTotals } from './add-up';
import type { Series } from './series';
import { chanceWords, changeFigure, verdictWords } from './verdict-words';

export const sectionIdSchema = z.enum(['done', 'changed', 'sure', 'noticed', 'next']);
export type SectionId = z.infer<typeof sectionIdSchema>;

export const SECTION_TITLES: Record<SectionId, string> = {
  done: 'What was done',
  changed: 'What changed',
  sure: 'How sure that is',
  noticed: 'What was noticed',
  next: 'What comes next',
};

/** A line of a section: what it is about, what is said of it first, and the figures. */
const lineSchema = z.object({
  about: z.string().max(200),
  says: z.string().max(200),
  figures: z.string().max(300),
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
  /** To whom, and what is said in their own words; may be empty. */
  letter: z.string().trim().max(2000, 'At most 2,000 letters.'),
  sections: z
    .array(z.object({ id: sectionIdSchema, lines: z.array(lineSchema).max(60) }))
    .min(1, 'Choose at least one section.')
    .max(5),
  /** Minutes occluded, week by week, for the small picture. */
  weeks: z.array(z.object({ fromMs: z.number().int(), minutes: z.number().min(0) })).max(600),
});
export type Report = z.infer<typeof reportSchema>;
type Line = z.infer<typeof lineSchema>;

/** What a report is made from. @property next what is planned, in words */
export type ReportBasis = {
  sessions: readonly LoggedSession[];
  totals: LogTotals;
  series: readonly Series[];
  next: readonly { about: string; says: string }[];
};

/** The sections of a report in plain words: what was done, what changed, how sure, what was noticed, what next. */
export const reportSections = (chosen: readonly SectionId[], basis: ReportBasis): Report['sections'] =>
  sectionIdSchema.options.filter((id) => chosen.includes(id)).map((id) => ({ id, lines: LINES[id](basis) }));

const LINES: Record<SectionId, (basis: ReportBasis) => Line[]> = {
  done: ({ sessions, totals }) => {
    if (totals.sessions === 0) return [line('Sessions', 'None yet')];
    const weeks = Math.max(1, Math.round(spanMs(sessions) / (7 * 24 * 60 * MS_PER_MINUTE)));
    const exercises = [...new Set(sessions.flatMap((one) => one.line.exercises.map(({ label }) => label)))];
    return [
      line(
        'Sessions',
        `${totals.sessions} in ${weeks} ${weeks === 1 ? 'week' : 'weeks'}`,
        exercises.join(', '),
      ),
      ...totals.limbs.map(({ limb, occludedMs, sets }) =>
        line(
          `${LIMB_LABELS[limb]} under the cuff`,
          `${Math.round(occludedMs / MS_PER_MINUTE)} minutes in all`,
          [sets > 0 && `${sets} sets`, shareWords(sessions, limb)].filter(Boolean).join(', '),
        ),
      ),
      ...(totals.plannedReps > 0
        ? [
            line(
              'Repetitions',
              `${Math.round((100 * totals.reps) / totals.plannedReps)} % of those planned`,
              `${totals.reps} of ${totals.plannedReps}`,
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
          `${tidyFigure(first.value)} → ${tidyFigure(last.value)} ${measure.unit}; ${changeFigure(verdict, measure)}; ${chanceWords(verdict, measure.better)}`,
        ),
      ];
    }),
  sure: ({ series }) => {
    const judged = series.filter(({ verdict }) => verdict !== null);
    const own = judged.filter(({ error }) => error.from === 'own-repeats').length;
    return [
      line(
        'A change is called real',
        'when chance alone would make one so large in fewer than 5 of 100',
        `${RULES['OUT-2'].figures.z95} times the error of both occasions`,
      ),
      line(
        'The error of each measure',
        own === 0 ? 'is assumed' : `is this practice’s own for ${own} of ${judged.length}, else assumed`,
        'Two occasions say less than three; a change that is real may still have another cause than the training.',
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
        'Signs to stop for',
        noted.length === 0 ? 'None' : [...new Set(noted.map((sign) => SIGNS[sign].label))].join(', '),
        noted.length === 0 ? '' : `${noted.length} in ${sessions.length} sessions`,
      ),
      line('Worst pain of a joint', pains.length === 0 ? 'Nobody asked' : `${Math.max(...pains)} of 10`),
      line(
        'The day after',
        asked.length === 0
          ? 'Nobody asked'
          : bruised === 0
            ? 'No bruises'
            : `Bruises after ${bruised} of ${asked.length}`,
      ),
    ];
  },
  next: ({ next }) =>
    next.length === 0
      ? [line('Next', 'Nothing is planned')]
      : next.map(({ about, says }) => line(about, says)),
};

const line = (about: string, says: string, figures = ''): Line => ({ about, says, figures });

const tidyFigure = (value: number): string => String(toDecimals(value, 1));

function spanMs(sessions: readonly LoggedSession[]): number {
  const times = sessions.map(({ startedAtMs }) => startedAtMs);
  return Math.max(...times) - Math.min(...times);
}

/** "at 40 to 58 % of the pressure that stops its flow". */
function shareWords(sessions: readonly LoggedSession[], limb: string): string | false {
  const shares = sessions
    .flatMap(({ line: { inflations } }) => inflations.filter((one) => one.limb === limb))
    .flatMap(({ percentLop }) => (percentLop === null ? [] : [Math.round(percentLop)]));
  if (shares.length === 0) return false;
  const [low, high] = [Math.min(...shares), Math.max(...shares)];
  return `at ${low === high ? low : `${low} to ${high}`} % of the pressure that stops its flow`;
}
