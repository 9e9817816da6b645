import type { RoundItem } from '../occlusion-pressure/round';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { TrialRow } from './trial-rows';

/** A limb in a position, to be measured. */
export type Place = RoundItem;

/**
 * The state of measuring one person; kept as it is, so that it survives leaving the view and a reload.
 * Wall-clock ms.
 */
export type Measuring = {
  at: Place;
  /** Places of the round that are left, the one in hand among them; none outside a round. */
  queue: Place[];
  /** Trials so far, under `trialsKey`; a place without any has none here. */
  trials: Record<string, TrialRow[]>;
  /** The limb whose last trial is whole while its cuff is not known to be down yet. */
  toDeflate: Limb | null;
  /** When a limb's cuff was fully down after its last trial: its 60 s of free flow count from here (rule LOP-3). */
  downAtMs: Partial<Record<Limb, number>>;
};

/** Nothing measured yet, at one place. */
export const measuringAt = (at: Place): Measuring => ({
  at,
  queue: [],
  trials: {},
  toDeflate: null,
  downAtMs: {},
});

/** Trials belong to a limb in a position under a cuff: none carries over (rules FIT-3, LOP-4, LOP-5). */
export const trialsKey = ({ limb, position }: Place, cuffId: string): string =>
  `${limb} ${position} ${cuffId}`;

export const samePlace = (a: Place, b: Place): boolean => a.limb === b.limb && a.position === b.position;

/** Another limb or position; what was begun at the last one waits there. */
export const goTo = (state: Measuring, at: Place): Measuring => ({ ...state, at });

/** Several places one after the other, beginning with the first; an empty round ends it. */
export const startRound = (state: Measuring, queue: Place[]): Measuring => ({
  ...state,
  at: queue[0] ?? state.at,
  queue,
});

/**
 * Whether something of it still goes on: a trial begun, a round, or a limb whose free flow lasts (rule LOP-3). What was left
 * without any of these begins again where the record says, at the next visit.
 */
export const isUnderWay = ({ trials, queue, toDeflate, downAtMs }: Measuring, nowMs: number): boolean =>
  Object.keys(trials).length > 0 ||
  queue.length > 0 ||
  toDeflate !== null ||
  Object.values(downAtMs).some((atMs) => recoveryLeftMs(atMs, nowMs) > 0);

/**
 * How long a limb whose cuff came down is still left alone before its next trial, in ms (rule LOP-3).
 * @example recoveryLeftMs(0, 45_000) //=> 15_000
 */
export const recoveryLeftMs = (downAtMs: number, nowMs: number): number =>
  Math.max(0, downAtMs + RULES['LOP-3'].figures.trials.recoveryMs - nowMs);
