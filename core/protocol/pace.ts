import { RULES } from '../rules/catalogue';
import { repMs, type Tempo } from './tempo';

/** Where in a repetition the pace is: which one (from 1), which half, and how far through it (0–1). */
export type PacePosition = { rep: number; phase: 'up' | 'hold' | 'down'; share: number; repsDone: number };

/** Whole repetitions the pace has completed `elapsedMs` after the set began, at most `plannedReps` (rule RUN-2). */
export function repsByPace(elapsedMs: number, tempo: Tempo, plannedReps: number): number {
  return Math.max(0, Math.min(plannedReps, Math.floor(elapsedMs / repMs(tempo))));
}

/** Length of a set done at the pace, in ms. */
export const setMs = (reps: number, tempo: Tempo): number => reps * repMs(tempo);

/**
 * Phase of the repetition `elapsedMs` into a set, or `null` before it starts and after its last repetition.
 */
export function pacePosition(elapsedMs: number, tempo: Tempo, plannedReps: number): PacePosition | null {
  if (elapsedMs < 0 || elapsedMs >= setMs(plannedReps, tempo)) return null;
  const repsDone = repsByPace(elapsedMs, tempo, plannedReps);
  const intoRepMs = elapsedMs - repsDone * repMs(tempo);
  const phases = [
    ['up', tempo.upMs],
    ['hold', tempo.holdMs],
    ['down', tempo.downMs],
  ] as const;
  let startMs = 0;
  for (const [phase, lengthMs] of phases) {
    if (intoRepMs < startMs + lengthMs) {
      return { rep: repsDone + 1, phase, share: (intoRepMs - startMs) / lengthMs, repsDone };
    }
    startMs += lengthMs;
  }
  return null;
}

/** A tone to sound: when, and which. */
export type Cue = { atMs: number; tone: 'rep' | 'turn' | 'tick' };

/**
 * Tones of one set that fall in [fromMs, toMs): one at each repetition, a lower one at its turn (rule RUN-2).
 * All times on the clock of `startMs`.
 */
export function paceCues(
  startMs: number,
  tempo: Tempo,
  plannedReps: number,
  fromMs: number,
  toMs: number,
): Cue[] {
  const cues: Cue[] = [];
  const first = Math.max(0, Math.floor((fromMs - startMs) / repMs(tempo)));
  for (let rep = first; rep < plannedReps; rep += 1) {
    const repStartMs = startMs + rep * repMs(tempo);
    if (repStartMs >= toMs) break;
    cues.push({ atMs: repStartMs, tone: 'rep' });
    cues.push({ atMs: repStartMs + tempo.upMs + tempo.holdMs, tone: 'turn' });
  }
  return cues.filter(({ atMs }) => fromMs <= atMs && atMs < toMs);
}

const WARNING_TICKS = RULES['RUN-2'].figures.warningTicks;

/** Soft ticks in the last five seconds before `startMs` that fall in [fromMs, toMs) (rule RUN-2). */
export function restCues(startMs: number, fromMs: number, toMs: number): Cue[] {
  return Array.from({ length: WARNING_TICKS }, (_, i) => startMs - (WARNING_TICKS - i) * 1000)
    .filter((atMs) => fromMs <= atMs && atMs < toMs)
    .map((atMs) => ({ atMs, tone: 'tick' }) as const);
}
