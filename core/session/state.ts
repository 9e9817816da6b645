import type { Output } from '../aerobic/output';
import type { Text } from '../message/message';
import type { PressureStep } from '../plan/timeline';
import type { Adjunct } from '../protocol/adjunct';
import type { Limb } from '../quantity/limb';
import type { BloodPressure } from '../screening/blood-pressure';
import type { BloodPressureMoment, FollowUp, Offer, ReviewAnswer, StopReason } from './events/values';
import type { HeartRateMoment } from './heart-rate-moment';
import type { HeartRateTrace } from './heart-rate-trace';
import type { SignId } from './signs';

/** An inflation in a session; `toMs` is null while the cuff is still up. Wall-clock ms. */
export type LiveInflation = {
  fromMs: number;
  toMs: number | null;
  /** Of the exercise it went up for; null under a strap. */
  occlusionMmHg: number | null;
  steps: PressureStep[];
};

export type LimbState = { limb: Limb; inflations: LiveInflation[] };

/** One set as it happened. `countedReps` is null until the set has ended; `correctedBy` is added to the count. */
export type SetRecord = {
  exerciseIndex: number;
  setIndex: number;
  /** Repetitions the pace goes to; null for work by the clock. */
  plannedReps: number | null;
  startedAtMs: number;
  endedAtMs: number | null;
  countedReps: number | null;
  /** Whether a person watched the count or corrected it; else it is the clock's alone (rule RUN-2). */
  countedBy: 'clock' | 'person';
  correctedBy: number;
  /** The repetition at which it became hard; null while not said. */
  hardAtRep: number | null;
  reason: StopReason | null;
  effort: number | null;
  jointPain: number | null;
  /** In kg, where another load was lifted than planned; null for the plan's. */
  loadKg: number | null;
  heartRates: { moment: HeartRateMoment; beatsPerMinute: number }[];
  /** What the machine showed in aerobic work; null where it was not read. */
  output: Output | null;
  /** Colour and feeling after it; null while not checked. */
  colourGood: boolean | null;
  /** How often an accidental end was taken back. */
  endsTakenBack: number;
};

/** What was offered after a set, and the answer. */
export type OfferRecord = { exerciseIndex: number; setIndex: number; offer: Offer; accepted: boolean };

/** All that a log says has happened. Wall-clock ms throughout. */
export type SessionState = {
  startedAtMs: number | null;
  /** When it was entered, where it was done on paper or elsewhere; null for one that was run here. */
  enteredAtMs: number | null;
  /** Done at home, and reported by the person who did it. */
  byClient: boolean;
  /** The device that runs it and writes what the clock owes; null in older logs, where any did (rule RUN-9). */
  runner: string | null;
  /** The practitioner who works on that device, by id; null where it is not known. */
  runBy: string | null;
  /** The practitioner it is handed to, until a device of theirs takes it over. */
  handedTo: string | null;
  limbs: LimbState[];
  /** What was loosened on a limb and not taken back, in mmHg; it follows the limb into later exercises (rule RUN-7). */
  loosenedMmHg: Partial<Record<Limb, number>>;
  /** Marks a strap was moved by, tighter above 0 (rule TIGHT). */
  marksMoved: Partial<Record<Limb, number>>;
  /** When a limb's pressure or mark was last made higher (rule RUN-4). */
  raisedAtMs: Partial<Record<Limb, number>>;
  sets: SetRecord[];
  /** A set after which colour or feeling was not good, until a decision was made (rule RUN-3). */
  toDecide: { exerciseIndex: number; setIndex: number } | null;
  /** Times a cuff was put on again in a set (rule FIT-4). */
  refits: { exerciseIndex: number; setIndex: number; atMs: number }[];
  rest: { startedAtMs: number; restMs: number } | null;
  signs: { atMs: number; sign: SignId; note: string }[];
  offers: OfferRecord[];
  ignoredAlarms: { atMs: number; limb: Limb }[];
  /** Heart rate of the whole session from a file; null without one. */
  heartRate: HeartRateTrace | null;
  /** Blood pressures around the work, as they were taken (rule RUN-8). */
  bloodPressures: { atMs: number; moment: BloodPressureMoment; reading: BloodPressure }[];
  /** What was done in the same sitting without a cuff, in its order. */
  adjuncts: { atMs: number; what: Adjunct; words: string; girthCm?: number; painOfTen?: number }[];
  /** How hard the whole session was, 0–10; null where it was not asked. */
  effort: number | null;
  reviews: ReviewAnswer[];
  followUp: FollowUp | null;
  /** `restBefore` is the rest that ran then. */
  stopped: { atMs: number; why: Text; restBefore: SessionState['rest'] } | null;
  /** When a stop was taken back: cuffs that were up then come down before it goes on. */
  stopTakenBackAtMs: number | null;
  finishedAtMs: number | null;
};

export const openInflation = (limb: LimbState | undefined): LiveInflation | null => {
  const last = limb?.inflations.at(-1);
  return last && last.toMs === null ? last : null;
};

export const inflatedLimbs = (state: SessionState): LimbState[] =>
  state.limbs.filter((limb) => openInflation(limb) !== null);

export const openSet = (state: SessionState): SetRecord | null =>
  state.sets.find((set) => set.endedAtMs === null) ?? null;

export const findSet = (
  state: SessionState,
  place: { exerciseIndex: number; setIndex: number },
): SetRecord | undefined =>
  state.sets.find((set) => set.exerciseIndex === place.exerciseIndex && set.setIndex === place.setIndex);

/** Repetitions of a set given its count, with the operator's corrections; never below zero (rule RUN-2). */
export const correctedReps = (set: SetRecord, counted = set.countedReps ?? 0): number =>
  Math.max(0, counted + set.correctedBy);
