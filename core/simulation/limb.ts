import { expectedOcclusionPressureMmHg } from '../occlusion-pressure/plausibility';
import { type Limb, type LimbKind, limbKind, POSITIONS, type Position } from '../quantity/limb';
import { normal, seededRandom } from './random';

/** A simulated limb. Its arterial flow stops at and above the pressure that `occlusionAtMmHg` gives. Pressures in mmHg. */
export type SimulatedLimb = {
  occlusionMmHg: number;
  heartRateBpm: number;
  /** The pulse fades over this many mmHg below occlusion. */
  fadeMmHg: number;
  /** Half the swing of the occlusion pressure with each breath. */
  breathMmHg: number;
};

/** What a simulated limb is made from. Girth and width in cm, blood pressure in mmHg. */
export type LimbMakings = {
  limb: Limb;
  position: Position;
  girthCm: number;
  widthCm: number;
  systolicMmHg: number;
  seed: number;
};

const REFERENCE_SYSTOLIC_MMHG = 122;
/** How much each step more upright adds: the limb hangs lower under the heart (rule LOP-5). */
const UPRIGHT_MMHG: Record<LimbKind, number> = { arm: 4, leg: 14 };
const BREATH_MS = 4_000;

/**
 * A limb for this person, cuff and position, the same each time for the same seed. Its true occlusion pressure follows
 * girth ÷ width and systolic pressure, with what is this person's own on top.
 */
export function makeLimb({
  limb,
  position,
  girthCm,
  widthCm,
  systolicMmHg,
  seed,
}: LimbMakings): SimulatedLimb {
  const random = seededRandom(seed);
  const ownMmHg = 7 * normal(random);
  const uprightMmHg = UPRIGHT_MMHG[limbKind(limb)] * (POSITIONS.indexOf(position) - 1);
  const bySystolic = 0.8 * (systolicMmHg - REFERENCE_SYSTOLIC_MMHG);
  const occlusionMmHg =
    expectedOcclusionPressureMmHg({ girthCm, widthCm }) + bySystolic + uprightMmHg + ownMmHg;
  return {
    occlusionMmHg: Math.min(280, Math.max(90, occlusionMmHg)),
    heartRateBpm: 58 + 24 * random(),
    fadeMmHg: 5 + 6 * random(),
    breathMmHg: 0.5 + random(),
  };
}

/** The pressure that stops flow at this moment: breathing moves it a little. @param atMs any clock that runs on */
export const occlusionAtMmHg = ({ occlusionMmHg, breathMmHg }: SimulatedLimb, atMs: number): number =>
  occlusionMmHg + breathMmHg * Math.sin((2 * Math.PI * atMs) / BREATH_MS);

/** Strength of the pulse beyond the cuff, 0 gone to 1 full, at a cuff pressure in mmHg. */
export function pulseStrength(limb: SimulatedLimb, cuffMmHg: number, atMs: number): number {
  const belowMmHg = occlusionAtMmHg(limb, atMs) - cuffMmHg;
  if (belowMmHg <= 0) return 0;
  // What is left just under occlusion is faint but there, as on a limb.
  return Math.min(1, 0.15 + (0.85 * belowMmHg) / limb.fadeMmHg);
}

/** Where in the beat the heart is, 0 at its start to 1. */
export const beatPhase = ({ heartRateBpm }: Pick<SimulatedLimb, 'heartRateBpm'>, atMs: number): number =>
  ((atMs * heartRateBpm) / 60_000) % 1;

/** Speed of the blood within a beat, 0–1: a quick rise, a slower fall, then rest. @param phase 0–1 within the beat */
export function flowShape(phase: number): number {
  if (phase < 0.12) return phase / 0.12;
  if (phase < 0.45) return (0.45 - phase) / 0.33;
  return 0;
}
