import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { type LadderRung, ladderRungSchema, type Rung, rungHeight } from '../protocol/exercise';
import type { Limb } from '../quantity/limb';

/** What is asked of a limb before it enters a rung; the days since its procedure are known (rule PRO-5). */
export const ladderAnswersSchema = z.object({
  /** Pain at rest or in daily life, 0–10. */
  pain: z.number().int().min(0).max(10),
  swellingDown: z.boolean(),
  rangeGood: z.boolean(),
  clinicianAgrees: z.boolean(),
});

/** The same with the days since the limb's procedure; null when there was none. */
export type LadderAnswers = z.infer<typeof ladderAnswersSchema> & { daysSinceSurgery: number | null };

/** A check of a limb for a rung: what was answered, who checked, and the rung that was entered (rule PRO-5). */
export type RungCheck = {
  id: string;
  limb: Limb;
  atMs: number;
  /** Id of the practitioner. */
  by: string;
  answers: LadderAnswers;
  rung: LadderRung;
  /** Why a clinician entered it although something was missing; null where nothing was. */
  reason: string | null;
};

const LEAST_SESSIONS = 2;
const MOST_SESSIONS = 40;

const manySessions = z
  .number(msg('Enter the sessions.'))
  .int(msg('Whole sessions.'))
  .min(LEAST_SESSIONS, msg('At least {least} sessions.', { least: LEAST_SESSIONS }))
  .max(MOST_SESSIONS, msg('At most {most} sessions.', { most: MOST_SESSIONS }))
  .optional();

/** Tolerated sessions that a practice asks for on a rung before the next; two where it says nothing, never fewer (rule PRO-5). */
export const rungSessionsSchema = z.object({
  passive: manySessions,
  isometric: manySessions,
  unloaded: manySessions,
  loaded: manySessions,
  functional: manySessions,
} satisfies Record<Rung, unknown>);
export type RungSessions = z.infer<typeof rungSessionsSchema>;

/** How many of a rung are asked for. @example sessionsAsked({ isometric: 4 }, 'isometric') //=> 4 */
export const sessionsAsked = (asked: RungSessions, rung: LadderRung): number =>
  rung === 'done' ? 0 : (asked[rung] ?? LEAST_SESSIONS);

/** The rung above, and the one below; the ladder ends with itself. */
export const rungAbove = (rung: LadderRung): LadderRung =>
  ladderRungSchema.options[rungHeight(rung) + 1] ?? rung;
export const rungBelow = (rung: LadderRung): LadderRung =>
  ladderRungSchema.options[rungHeight(rung) - 1] ?? rung;

/** The most pain, at rest and in the last session, that a higher rung is entered with (rule PRO-5). */
export const MOST_PAIN = 3;

type Criterion = { words: Message; met: (answers: LadderAnswers) => boolean };

const CRITERIA = {
  quiet: {
    words: msg('four days or more since surgery'),
    met: ({ daysSinceSurgery }) => (daysSinceSurgery ?? 4) >= 4,
  },
  swelling: { words: msg('swelling going down'), met: ({ swellingDown }) => swellingDown },
  pain: { words: msg('pain 3 or less'), met: ({ pain }) => pain <= MOST_PAIN },
  range: { words: msg('range of the exercise without a lag'), met: ({ rangeGood }) => rangeGood },
  word: { words: msg('the clinician’s word'), met: ({ clinicianAgrees }) => clinicianAgrees },
} satisfies Record<string, Criterion>;

/** What each rung is entered by; a higher one asks for all that a lower one does (rules PRO-5, SCR-3, REV-2). */
export const RUNG_ENTRY: Record<LadderRung, readonly (keyof typeof CRITERIA)[]> = {
  passive: ['quiet'],
  isometric: ['quiet', 'swelling', 'word'],
  unloaded: ['quiet', 'swelling', 'word', 'pain'],
  loaded: ['quiet', 'swelling', 'word', 'pain', 'range'],
  functional: ['quiet', 'swelling', 'word', 'pain', 'range'],
  done: ['quiet', 'swelling', 'word', 'pain', 'range'],
};

/** What keeps a person from a rung, in words; empty when it may be entered. */
export const missingFor = (rung: LadderRung, answers: LadderAnswers): Message[] =>
  RUNG_ENTRY[rung]
    .map((key) => CRITERIA[key])
    .filter(({ met }) => !met(answers))
    .map(({ words }) => words);
