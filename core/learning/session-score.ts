import { msg } from '../message/message';
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
const seconds = (ms: number): number => Math.round(ms / 1000);

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
    { words: msg('{aboveMmHg} mmHg over what was cleared', { aboveMmHg }), points: aboveMmHg > 0 ? 30 : 0 },
    {
      words: msg('the cuff on for {seconds} s, over its limit', { seconds: seconds(run.longestCuffMs) }),
      points: run.longestCuffMs > session.longestMs ? 30 : 0,
    },
    {
      words: msg('the cuff left on for {seconds} s with a symptom to stop for', {
        seconds: seconds(run.underStopSignMs),
      }),
      points: lateMs > 0 ? Math.min(50, 15 + lateMs / 400) : 0,
    },
    { words: msg('stopped without a symptom to stop for'), points: soon && !stopSign ? 20 : 0 },
    { words: msg('the cuff was still on at the end'), points: cuffOn(run) ? 20 : 0 },
    {
      words: msg('{seconds} s of work away from {heldMmHg} mmHg', {
        seconds: seconds(run.offTargetMs),
        heldMmHg: heldMmHg(session),
      }),
      points: Math.min(25, over(run.offTargetMs, FREE.offTargetMs) / 2_000),
    },
    {
      words: msg('{n, plural, one {# repetition} other {# repetitions}} after the form broke', { n: broken }),
      points: Math.min(20, 4 * broken),
    },
    {
      words: msg('{n, plural, one {# set} other {# sets}} ended with plenty left', { n: early }),
      points: 5 * early,
    },
    {
      words: msg('{n, plural, one {# rest} other {# rests}} away from {seconds} s', {
        n: rests,
        seconds: seconds(session.restMs),
      }),
      points: 4 * rests,
    },
    { words: msg('no set was done'), points: run.done.length === 0 ? 60 : 0 },
    {
      words: msg('sets left out without a symptom to stop for'),
      points: run.done.length > 0 && run.done.length < session.plannedReps.length && !stopSign ? 15 : 0,
    },
  ]);
}
