import type { Lost } from './practice-score';
import { pointsLeft } from './practice-score';
import { heldMmHg, type SessionCase } from './session-case';
import { cuffOn, type SessionRun } from './session-run';

/** How a simulated session went, 0–100, and where the rest was lost. */
export type SessionScore = { points: number; lost: Lost[] };

// What is let pass: the time to act on a sign, two bad repetitions, and a rest that is not to the second.
const FREE = { toReleaseMs: 8_000, brokenReps: 2, offTargetMs: 6_000, restMs: 8_000 };
/** A set ended with more than this left, before its repetitions were done, was ended too soon. */
const PLENTY_LEFT = 0.25;

const over = (value: number, free: number): number => Math.max(0, value - free);
const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
const seconds = (ms: number): string => `${Math.round(ms / 1000)} s`;

/** Scores an attempt by what the rules ask: the limit first, then the signs, then the work (rules SCR-4, RUN-1, RUN-3, RUN-2). */
export function scoreSession(session: SessionCase, run: SessionRun): SessionScore {
  const stopSign = run.underStopSignMs > 0 || run.released.some(({ withStopSign }) => withStopSign);
  const soon =
    run.released.some(({ withStopSign }) => !withStopSign) && run.done.length < session.plannedReps.length;
  const broken = run.done.reduce((sum, { brokenReps }) => sum + over(brokenReps, FREE.brokenReps), 0);
  const early = run.done.filter(
    ({ reps, room }, place) => !stopSign && room > PLENTY_LEFT && reps < (session.plannedReps[place] ?? 0),
  ).length;
  const rests = run.done.filter(
    ({ restBeforeMs }) => restBeforeMs !== null && Math.abs(restBeforeMs - session.restMs) > FREE.restMs,
  ).length;
  const aboveMmHg = Math.round(over(run.highestMmHg, session.capMmHg));
  const lateMs = over(run.underStopSignMs, FREE.toReleaseMs);
  return pointsLeft([
    { words: `${aboveMmHg} mmHg over what was cleared`, points: aboveMmHg > 0 ? 30 : 0 },
    {
      words: `the cuff on for ${seconds(run.longestCuffMs)}, over its limit`,
      points: run.longestCuffMs > session.longestMs ? 30 : 0,
    },
    {
      words: `the cuff left on for ${seconds(run.underStopSignMs)} with a sign to stop`,
      points: lateMs > 0 ? Math.min(50, 15 + lateMs / 400) : 0,
    },
    { words: 'stopped without a sign to stop', points: soon && !stopSign ? 20 : 0 },
    { words: 'the cuff was still on at the end', points: cuffOn(run) ? 20 : 0 },
    {
      words: `${seconds(run.offTargetMs)} of work away from ${heldMmHg(session)} mmHg`,
      points: Math.min(25, over(run.offTargetMs, FREE.offTargetMs) / 2_000),
    },
    { words: `${counted(broken, 'repetition')} after the form broke`, points: Math.min(20, 4 * broken) },
    { words: `${counted(early, 'set')} ended with plenty left`, points: 5 * early },
    { words: `${counted(rests, 'rest')} away from ${seconds(session.restMs)}`, points: 4 * rests },
    { words: 'no set was done', points: run.done.length === 0 ? 60 : 0 },
    {
      words: 'sets left out without a sign to stop',
      points: run.done.length > 0 && run.done.length < session.plannedReps.length && !stopSign ? 15 : 0,
    },
  ]);
}
