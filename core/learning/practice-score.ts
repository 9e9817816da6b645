import { type Message, msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import type { PracticeCase, Trap } from './practice-case';

/** What the learner did. Pressures in mmHg, time in ms. */
export type PracticeAnswer = {
  statedMmHg: number;
  highestMmHg: number;
  elapsedMs: number;
  noticed: Trap[];
};

/** How an attempt went. `points` is 0–100; the parts say where the rest was lost. */
export type PracticeScore = {
  errorMmHg: number;
  overMmHg: number;
  elapsedMs: number;
  missed: Trap[];
  falseAlarms: Trap[];
  points: number;
  lost: Lost[];
};

/** Where points went. */
export type Lost = { words: Message; points: number };

/** What is left of a hundred points, and only what cost any, in whole points. */
export function pointsLeft(parts: readonly Lost[]): { points: number; lost: Lost[] } {
  const lost = parts
    .map((part) => ({ ...part, points: Math.round(part.points) }))
    .filter(({ points }) => points > 0);
  return { points: Math.max(0, 100 - lost.reduce((sum, { points }) => sum + points, 0)), lost };
}

// What costs points: error beyond ±4, pressure beyond 20 above what was needed, time beyond three minutes.
const FREE = { errorMmHg: 4, overMmHg: 20, elapsedMs: 180_000 };

/** Scores an attempt against the truth of its case. */
export function scorePractice(truth: PracticeCase, answer: PracticeAnswer): PracticeScore {
  const errorMmHg = toDecimals(answer.statedMmHg - truth.simulated.occlusionMmHg, 1);
  const overMmHg = Math.max(0, Math.round(answer.highestMmHg - truth.simulated.occlusionMmHg));
  const missed = truth.traps.filter((trap) => !answer.noticed.includes(trap));
  const falseAlarms = answer.noticed.filter((trap) => !truth.traps.includes(trap));
  const { points, lost } = pointsLeft([
    {
      words:
        errorMmHg < 0
          ? msg('{errorMmHg} mmHg under the true pressure', { errorMmHg: -errorMmHg })
          : msg('{errorMmHg} mmHg over the true pressure', { errorMmHg }),
      points: 2.5 * Math.max(0, Math.abs(errorMmHg) - FREE.errorMmHg),
    },
    {
      words: msg('inflated {overMmHg} mmHg above what was needed', { overMmHg }),
      points: 0.5 * Math.max(0, overMmHg - FREE.overMmHg),
    },
    {
      words: msg('slower than three minutes'),
      points: Math.min(15, Math.max(0, answer.elapsedMs - FREE.elapsedMs) / 12_000),
    },
    {
      words: msg('{n, plural, one {# trap} other {# traps}} missed', { n: missed.length }),
      points: 15 * missed.length,
    },
    {
      words: msg('{n, plural, one {# false alarm} other {# false alarms}}', { n: falseAlarms.length }),
      points: 5 * falseAlarms.length,
    },
  ]);
  return { errorMmHg, overMmHg, elapsedMs: answer.elapsedMs, missed, falseAlarms, points, lost };
}
