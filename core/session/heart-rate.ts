import { type Message, msg } from '../message/message';
import { ASKED_MINUTES, atMinute, type HeartRateMoment } from './heart-rate-moment';
import type { HeartRateTrace } from './heart-rate-trace';
import type { SetPlace } from './places';
import type { SessionState } from './state';

/** Heart rate as a strap or a watch wrote it: `startMs` is null where the file has no clock of its own. */
export type HeartRateFile = { startMs: number | null; samples: HeartRateSample[] };
export type HeartRateSample = { afterMs: number; beatsPerMinute: number; watts?: number | undefined };

/** Where a file could begin on the session's clock. More than one is asked; none is said. */
export type Placement = { words: Message; fromAtMs: number };

const MINUTE_MS = 60_000;
/** Clocks of watches are off by this much, and no more. */
const CLOCK_OFF_MS = 2 * MINUTE_MS;
/** A sample says what the heart did this long before and after it. */
const HOLDS_MS = 10_000;
const MOST_STEPS = 720;

type Times = Pick<SessionState, 'startedAtMs' | 'finishedAtMs' | 'sets'>;

/**
 * Where a file may be laid on a session. One that has a clock of its own, and covers the session by it, has one place; any other
 * is asked about, never guessed.
 */
export function placements(
  { startMs, samples }: HeartRateFile,
  { startedAtMs, finishedAtMs, sets }: Times,
): Placement[] {
  const lastsMs = samples.at(-1)?.afterMs ?? 0;
  if (startedAtMs === null || lastsMs === 0) return [];
  const endMs = finishedAtMs ?? sets.at(-1)?.endedAtMs ?? startedAtMs;
  const coversByItsClock =
    startMs !== null && startMs <= startedAtMs + CLOCK_OFF_MS && startMs + lastsMs >= endMs - CLOCK_OFF_MS;
  if (coversByItsClock) return [{ words: msg('by its own clock'), fromAtMs: startMs }];
  const [first] = sets;
  return [
    ...(startMs !== null && startMs < endMs && startMs + lastsMs > startedAtMs
      ? [{ words: msg('by its own clock, though it does not cover the session'), fromAtMs: startMs }]
      : []),
    { words: msg('it began when the session did'), fromAtMs: startedAtMs },
    ...(first ? [{ words: msg('it began with the first set'), fromAtMs: first.startedAtMs }] : []),
    { words: msg('it ended when the session did'), fromAtMs: endMs - lastsMs },
  ];
}

/**
 * A file on the session's clock, at even steps over the session and a minute about it.
 * @returns null where none of it falls there
 */
export function lay(
  { samples }: HeartRateFile,
  fromAtMs: number,
  { startedAtMs, finishedAtMs, sets }: Times,
): HeartRateTrace | null {
  if (startedAtMs === null) return null;
  const beginMs = startedAtMs - MINUTE_MS;
  const endMs = (finishedAtMs ?? sets.at(-1)?.endedAtMs ?? startedAtMs) + MINUTE_MS;
  const everyMs = Math.max(5_000, Math.ceil((endMs - beginMs) / MOST_STEPS / 1_000) * 1_000);
  const steps = Math.floor((endMs - beginMs) / everyMs) + 1;
  const stepsOf = (figure: (sample: HeartRateSample) => number | undefined) =>
    Array.from({ length: steps }, (_, step) => meanAt(samples, beginMs + step * everyMs - fromAtMs, figure));
  const beatsPerMinute = stepsOf((sample) => sample.beatsPerMinute);
  if (beatsPerMinute.every((rate) => rate === null)) return null;
  const watts = stepsOf((sample) => sample.watts);
  return {
    fromAtMs: beginMs,
    everyMs,
    beatsPerMinute,
    ...(watts.some((one) => one !== null) ? { watts } : {}),
  };
}

/** The mean of a figure about a time, in whole beats or watts; null where nothing was received. */
function meanAt(
  samples: readonly HeartRateSample[],
  afterMs: number,
  figure: (sample: HeartRateSample) => number | undefined,
): number | null {
  // Samples are in order: only those about the time are looked at.
  let low = 0;
  let high = samples.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((samples[middle]?.afterMs ?? 0) < afterMs - HOLDS_MS) low = middle + 1;
    else high = middle;
  }
  const about: number[] = [];
  for (let at = low; at < samples.length; at += 1) {
    const sample = samples[at];
    if (!sample || sample.afterMs > afterMs + HOLDS_MS) break;
    const value = figure(sample);
    if (value !== undefined) about.push(value);
  }
  return meanOf(about);
}

const meanOf = (figures: readonly number[]): number | null =>
  figures.length === 0 ? null : Math.round(figures.reduce((sum, figure) => sum + figure, 0) / figures.length);

/** Mean watts of every spell by the clock, where none were entered. */
export const wattsIn = (
  { fromAtMs, everyMs, watts = [] }: HeartRateTrace,
  sets: SessionState['sets'],
): (SetPlace & { watts: number })[] =>
  sets.flatMap(({ exerciseIndex, setIndex, plannedReps, startedAtMs, endedAtMs, output }) => {
    if (plannedReps !== null || endedAtMs === null || output?.watts !== undefined) return [];
    const during = watts.filter((one, step): one is number => {
      const atMs = fromAtMs + step * everyMs;
      return one !== null && atMs >= startedAtMs && atMs <= endedAtMs;
    });
    const mean = meanOf(during);
    return mean === null ? [] : [{ exerciseIndex, setIndex, watts: mean }];
  });

/** A figure that a spell of work asks for, and that the file knows. */
export type HeartRateInSet = SetPlace & { moment: HeartRateMoment; beatsPerMinute: number };

/** Heart rate at minutes five and fifteen and at the end of every spell by the clock, where it was not entered. */
export function momentsIn(trace: HeartRateTrace, sets: SessionState['sets']): HeartRateInSet[] {
  return sets.flatMap(({ exerciseIndex, setIndex, plannedReps, startedAtMs, endedAtMs, heartRates }) => {
    if (plannedReps !== null || endedAtMs === null) return [];
    const asked: [HeartRateMoment, number][] = [
      ...ASKED_MINUTES.filter((minute) => endedAtMs - startedAtMs >= minute * MINUTE_MS).map(
        (minute): [HeartRateMoment, number] => [atMinute(minute), startedAtMs + minute * MINUTE_MS],
      ),
      ['end', endedAtMs],
    ];
    return asked.flatMap(([moment, atMs]) => {
      const beatsPerMinute = traceAt(trace, atMs);
      const isKnown = heartRates.some((known) => known.moment === moment);
      return isKnown || beatsPerMinute === null ? [] : [{ exerciseIndex, setIndex, moment, beatsPerMinute }];
    });
  });
}

/** The step of a trace nearest to a time. */
export const traceAt = ({ fromAtMs, everyMs, beatsPerMinute }: HeartRateTrace, atMs: number): number | null =>
  beatsPerMinute[Math.round((atMs - fromAtMs) / everyMs)] ?? null;
