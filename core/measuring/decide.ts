import { CUFF_DOWN_MMHG } from '../kit/pump';
import { automaticTrial } from '../occlusion-pressure/automatic';
import { type Kit, measuringInHand, type Reading, rowsOf } from './in-hand';
import { type Measuring, samePlace, startRound, trialsKey } from './measuring';
import { emptyRow, rowOf, type TrialRow } from './trial-rows';

/** What the operator, or the pump, does while measuring. Pressures in mmHg. */
export type MeasuringIntent =
  /** The next expected thing: pulse gone, pulse back, deflate, or start the pump. */
  | { do: 'next' }
  | { do: 'type'; place: number; row: TrialRow }
  /** An automatic pump has found a pressure. */
  | { do: 'found'; pressureMmHg: number }
  /** A reading came in: a cuff that is down begins its recovery. */
  | { do: 'read' }
  | { do: 'pass-recovery' }
  /** The pressure of the place in hand is on record. */
  | { do: 'recorded' };

export type MeasuringEffect = 'deflate' | 'measure';

export type MeasuringDecision = { state: Measuring; effects: MeasuringEffect[] };

/**
 * The only place where an intention while measuring becomes something that happens (rules LOP-2 to LOP-5). What cannot be
 * done now changes nothing.
 */
export function decideMeasuring(
  state: Measuring,
  intent: MeasuringIntent,
  kit: Kit,
  reading: Reading,
  nowMs: number,
): MeasuringDecision {
  const only = (next: Measuring): MeasuringDecision => ({ state: next, effects: [] });
  switch (intent.do) {
    case 'next':
      return next(state, kit, reading, nowMs);
    case 'type':
      return only(withRow(state, kit, intent.place, intent.row));
    case 'found':
      return found(state, kit, intent.pressureMmHg, nowMs);
    case 'read':
      return only(seenDown(state, reading, nowMs));
    case 'pass-recovery':
      return only({ ...state, downAtMs: { ...state.downAtMs, [state.at.limb]: undefined } });
    case 'recorded':
      return only(recorded(state, kit));
  }
}

function next(state: Measuring, kit: Kit, reading: Reading, nowMs: number): MeasuringDecision {
  const { phase, current, rows } = measuringInHand(state, kit, reading, nowMs);
  const row = current === null ? undefined : rows[current];
  const pressure = String(Math.round(reading.pressureMmHg));
  if (phase === 'deflate') return { state, effects: ['deflate'] };
  if (phase === 'automatic') {
    return kit.reads === 'app'
      ? { state, effects: ['measure'] }
      : found(state, kit, Math.round(reading.pressureMmHg), nowMs);
  }
  if (current === null || !row || reading.pressureMmHg <= 0) return { state, effects: [] };
  if (phase === 'rising') {
    return {
      state: withRow(state, kit, current, { ...emptyRow(kit.steps), gone: pressure }),
      effects: [],
    };
  }
  if (phase === 'falling')
    return trialTaken(withRow(state, kit, current, { ...row, back: pressure }), kit, nowMs);
  return { state, effects: [] };
}

function found(state: Measuring, kit: Kit, pressureMmHg: number, nowMs: number): MeasuringDecision {
  const { current } = measuringInHand(state, kit, { pressureMmHg, measuring: false }, nowMs);
  if (current === null || pressureMmHg <= 0) return { state, effects: [] };
  return trialTaken(withRow(state, kit, current, rowOf(automaticTrial(pressureMmHg))), kit, nowMs);
}

/** After a trial the cuff comes down; by hand only the person who does it can see it, so it counts from now. */
function trialTaken(state: Measuring, { reads }: Kit, nowMs: number): MeasuringDecision {
  const { limb } = state.at;
  return reads === 'app'
    ? { state: { ...state, toDeflate: limb }, effects: [] }
    : { state: { ...state, downAtMs: { ...state.downAtMs, [limb]: nowMs } }, effects: ['deflate'] };
}

/** The 60 s of free flow count from the moment the cuff is really down (rule LOP-3). */
function seenDown(state: Measuring, { pressureMmHg }: Reading, nowMs: number): Measuring {
  const limb = state.toDeflate;
  if (limb === null || limb !== state.at.limb || pressureMmHg >= CUFF_DOWN_MMHG) return state;
  return { ...state, toDeflate: null, downAtMs: { ...state.downAtMs, [limb]: nowMs } };
}

const withRow = (state: Measuring, kit: Kit, place: number, row: TrialRow): Measuring => ({
  ...state,
  trials: {
    ...state.trials,
    [trialsKey(state.at, kit.cuffId)]: rowsOf(state, kit).map((old, i) => (i === place ? row : old)),
  },
});

/** Trials that are on record are done with; the round goes on to its next place. */
function recorded(state: Measuring, { cuffId }: Kit): Measuring {
  const { [trialsKey(state.at, cuffId)]: _, ...trials } = state.trials;
  const queue = state.queue.filter((place) => !samePlace(place, state.at));
  return startRound({ ...state, trials, toDeflate: null }, queue);
}
