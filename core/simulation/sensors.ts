import { flowShape } from './limb';

/** What a simulated Doppler probe lets through: the pulse, its volume knob, and the noise of the room, all 0–1. */
export type Probe = { volume: number; roomNoise: number };

/** Loudness of the whoosh and of the noise that hides it, 0–1. */
export const probeSound = (strength: number, { volume, roomNoise }: Probe) => ({
  whoosh: strength * volume,
  noise: roomNoise,
});

const PITCH_HZ = { still: 180, fastest: 900 };
/** Under this share of the free pulse only the crest of a beat gets past the cuff. */
const THUDS_BELOW = 0.25;

/**
 * What a Doppler probe makes of the blood at one moment. Its pitch rises with the speed, since the shift is in proportion to it; just
 * below occlusion only the crest of each beat passes, and the whoosh turns to a short, low thud.
 * @param strength of the pulse behind the cuff, 0–1 @param phase 0–1 within the beat
 * @returns the pitch, and how much of the whoosh is let through, 0–1
 */
export function dopplerAt(strength: number, phase: number): { pitchHz: number; passes: number } {
  const shape = flowShape(phase);
  const held = Math.max(0, 1 - strength / THUDS_BELOW);
  const passes = held >= 1 ? 0 : Math.max(0, (shape - held) / (1 - held));
  const { still, fastest } = PITCH_HZ;
  return { pitchHz: still + (fastest - still) * strength * shape, passes };
}

/** An oximeter trace averages over the last few seconds, so it reacts late (rule LOP-1). */
export const OXIMETER_LAG_MS = 3_000;

/**
 * Height of the oximeter trace, 0–1, after `elapsedMs` at a pulse strength: it follows with a lag.
 */
export const oximeterAfter = (traceBefore: number, strength: number, elapsedMs: number): number =>
  strength + (traceBefore - strength) * Math.exp(-elapsedMs / OXIMETER_LAG_MS);

/** The faintest pulse two fingers feel, as a share of the free one: they miss what a probe still hears. */
const FELT_FROM = 0.3;

/** How strongly a pulse is felt under two fingers, 0–1 (rule LOP-1: palpated pulse). @param strength behind the cuff, 0–1 */
export const feltPulse = (strength: number): number => Math.max(0, (strength - FELT_FROM) / (1 - FELT_FROM));
