import { describe, expect, it } from 'vitest';
import { expectedOcclusionPressureMmHg } from '../occlusion-pressure/plausibility';
import { beatPhase, flowShape, makeLimb, occlusionAtMmHg, pulseStrength } from './limb';
import { dopplerAt, oximeterAfter, probeSound } from './sensors';

const SEEDS = Array.from({ length: 400 }, (_, seed) => seed);
const limb = (seed: number, changes: Partial<Parameters<typeof makeLimb>[0]> = {}) =>
  makeLimb({
    limb: 'left-thigh',
    position: 'sitting',
    girthCm: 54,
    widthCm: 11.5,
    systolicMmHg: 122,
    seed,
    ...changes,
  });
const meanOf = (figures: readonly number[]) => figures.reduce((sum, one) => sum + one, 0) / figures.length;

describe('a simulated limb', () => {
  it('lies about what is expected of its girth, cuff, blood pressure and position, some to either side', () => {
    const own = SEEDS.map((seed) => limb(seed).occlusionMmHg);
    const expected = expectedOcclusionPressureMmHg({ girthCm: 54, widthCm: 11.5 });
    expect(Math.abs(meanOf(own) - expected)).toBeLessThan(1.5);
    const spread = Math.sqrt(meanOf(own.map((one) => (one - expected) ** 2)));
    expect(spread).toBeGreaterThan(5.5);
    expect(spread).toBeLessThan(8.5);
    // The same person with other blood pressure, or more upright: nothing else of them changes.
    expect(limb(3, { systolicMmHg: 132 }).occlusionMmHg - limb(3).occlusionMmHg).toBeCloseTo(8, 6);
    expect(limb(3, { position: 'standing' }).occlusionMmHg - limb(3).occlusionMmHg).toBeCloseTo(14, 6);
    expect(limb(3, { position: 'lying' }).occlusionMmHg - limb(3).occlusionMmHg).toBeCloseTo(-14, 6);
    const arm = { limb: 'left-arm', girthCm: 30, widthCm: 8.5 } as const;
    expect(limb(3, { ...arm, position: 'standing' }).occlusionMmHg - limb(3, arm).occlusionMmHg).toBeCloseTo(
      4,
      6,
    );
  });

  it('has a heart, a fade and a breath of its own, each within its bounds and over all of them', () => {
    const all = SEEDS.map((seed) => limb(seed));
    for (const [figures, low, high] of [
      [all.map(({ heartRateBpm }) => heartRateBpm), 58, 82],
      [all.map(({ fadeMmHg }) => fadeMmHg), 5, 11],
      [all.map(({ breathMmHg }) => breathMmHg), 0.5, 1.5],
    ] as const) {
      expect(Math.min(...figures)).toBeGreaterThanOrEqual(low);
      expect(Math.max(...figures)).toBeLessThanOrEqual(high);
      expect(Math.max(...figures) - Math.min(...figures)).toBeGreaterThan(0.9 * (high - low));
    }
  });

  const plain = { occlusionMmHg: 150, heartRateBpm: 60, fadeMmHg: 10, breathMmHg: 1 };

  it('breathes every four seconds, first up, then down', () => {
    expect(
      [0, 1_000, 2_000, 3_000, 4_000].map((atMs) => Math.round(100 * occlusionAtMmHg(plain, atMs)) / 100),
    ).toEqual([150, 151, 150, 149, 150]);
  });

  it('fades over its own width under occlusion, with a faint rest', () => {
    expect(
      [150, 149.999, 145, 140, 100].map((cuff) => Math.round(100 * pulseStrength(plain, cuff, 0)) / 100),
    ).toEqual([0, 0.15, 0.57, 1, 1]);
  });

  it('beats with a quick rise, a slower fall and a rest', () => {
    expect(beatPhase(plain, 1_250)).toBeCloseTo(0.25, 9);
    expect(
      [0, 0.06, 0.12, 0.285, 0.45, 0.9].map((phase) => Math.round(1_000 * flowShape(phase)) / 1_000),
    ).toEqual([0, 0.5, 1, 0.5, 0, 0]);
  });
});

describe('what is heard and seen of it', () => {
  it('is as loud as the pulse and the knob make it, in the noise of the room', () => {
    expect(probeSound(0.5, { volume: 0.4, roomNoise: 0.1 })).toEqual({ whoosh: 0.2, noise: 0.1 });
  });

  it('follows late at the oximeter: a third is left after its lag', () => {
    expect(oximeterAfter(1, 0, 3_000)).toBeCloseTo(Math.exp(-1), 9);
    expect(oximeterAfter(0.2, 0.8, 0)).toBeCloseTo(0.2, 9);
    expect(oximeterAfter(0, 1, 60_000)).toBeCloseTo(1, 6);
  });
});

describe('the sound of a Doppler probe', () => {
  const PHASES = Array.from({ length: 200 }, (_, place) => place / 200);
  /** The share of a beat in which anything is heard. */
  const heard = (strength: number) =>
    PHASES.filter((phase) => dopplerAt(strength, phase).passes > 0.05).length / PHASES.length;
  const highest = (strength: number) =>
    Math.max(...PHASES.map((phase) => dopplerAt(strength, phase).pitchHz));

  it('rises and falls with the blood in each beat, higher the faster it flows', () => {
    expect(dopplerAt(1, 0.12).pitchHz).toBe(900);
    expect(dopplerAt(1, 0.6)).toEqual({ pitchHz: 180, passes: 0 });
    expect([highest(1), highest(0.5), highest(0.1)]).toEqual(
      [highest(1), highest(0.5), highest(0.1)].sort((a, b) => b - a),
    );
    expect(highest(0.1)).toBeLessThan(300);
  });

  it('turns to ever shorter thuds just below occlusion, and to nothing at it', () => {
    const shares = [1, 0.25, 0.15, 0.08, 0.03, 0].map(heard);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(heard(0.03)).toBeLessThan(heard(1) / 4);
    expect(heard(0)).toBe(0);
  });
});
