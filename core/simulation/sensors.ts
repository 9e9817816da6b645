/** What a simulated Doppler probe lets through: the pulse, its volume knob, and the noise of the room, all 0–1. */
export type Probe = { volume: number; roomNoise: number };

/** Loudness of the whoosh and of the noise that hides it, 0–1. */
export const probeSound = (strength: number, { volume, roomNoise }: Probe) => ({
  whoosh: strength * volume,
  noise: roomNoise,
});

/** An oximeter trace averages over the last few seconds, so it reacts late (rule LOP-1). */
export const OXIMETER_LAG_MS = 3_000;

/**
 * Height of the oximeter trace, 0–1, after `elapsedMs` at a pulse strength: it follows with a lag.
 */
export const oximeterAfter = (traceBefore: number, strength: number, elapsedMs: number): number =>
  strength + (traceBefore - strength) * Math.exp(-elapsedMs / OXIMETER_LAG_MS);
