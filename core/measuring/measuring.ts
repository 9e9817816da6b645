import type { RoundItem } from '../occlusion-pressure/round';
import type { Limb } from '../quantity/limb';
import type { TrialRow } from './trial-rows';

/** A limb in a position, to be measured. */
export type Place = RoundItem;

/**
 * Where the measuring of one person stands; kept as it is, so that it survives leaving the view and a reload.
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
