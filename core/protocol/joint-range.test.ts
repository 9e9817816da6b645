import { describe, expect, it } from 'vitest';
import { EXERCISES, type Library } from './exercises';
import { crosses, rangeLimitSchema, rangeOf } from './joint-range';

const LIBRARY: Library = EXERCISES;
const knee = { joint: 'knee', fromDegrees: 0, toDegrees: 30, isOfLoaded: false } as const;

describe('the range of a joint that an exercise goes through', () => {
  it.each([
    ['knee-extension', 'knee', 5, 90],
    ['short-arc-extension', 'knee', 3, 60],
    ['leg-curl-lying', 'knee', 0, 85],
    ['leg-press-single', 'knee', 10, 110],
  ] as const)('%s takes the %s from %d to %d°', (id, joint, fromDegrees, toDegrees) => {
    expect(rangeOf(id, joint)).toEqual({ fromDegrees, toDegrees });
  });

  it('is known of every knee and elbow that the library says move', () => {
    for (const joint of ['knee', 'elbow'] as const) {
      const moving = Object.entries(LIBRARY).filter(([, { joints }]) => joints.includes(joint));
      expect(moving.length).toBeGreaterThan(9);
      expect(moving.filter(([id]) => rangeOf(id, joint) === null).map(([id]) => id)).toEqual([]);
    }
  });

  it('is known of a hip and a shoulder forwards and backwards, and not to the side', () => {
    expect(rangeOf('sit-to-stand', 'hip')?.toDegrees).toBeGreaterThan(80);
    expect(rangeOf('donkey-kick', 'hip')?.fromDegrees).toBeLessThan(20);
    expect(rangeOf('shoulder-press', 'shoulder')?.toDegrees).toBeGreaterThan(140);
    expect(rangeOf('hip-abduction-standing', 'hip')).toBeNull();
  });

  it('is not known of an ankle, nor of what a practice added', () => {
    expect(rangeOf('calf-raise-standing', 'ankle')).toBeNull();
    expect(rangeOf('own', 'knee')).toBeNull();
  });

  it('is gone through by passive range, which moves every joint of the limb, and not by a cuff alone', () => {
    const passive = (id: 'passive-range-leg' | 'passive-cuff-leg', joint: 'knee' | 'elbow') =>
      crosses(id, EXERCISES[id], false, { ...knee, joint });
    expect(passive('passive-range-leg', 'knee')).toBe(true);
    expect(passive('passive-range-leg', 'elbow')).toBe(false);
    expect(passive('passive-cuff-leg', 'knee')).toBe(false);
  });

  it('counts as gone through where nothing says what moves, but not of a hold or of the other limbs', () => {
    const own = { ...LIBRARY['knee-extension'], joints: [] } as NonNullable<Library[string]>;
    expect(crosses('own', own, true, knee)).toBe(true);
    expect(crosses('own', { ...own, rung: 'isometric' }, true, knee)).toBe(false);
    expect(crosses('own', own, true, { ...knee, joint: 'elbow' })).toBe(false);
  });

  it('ends where it ends: a range that only touches it is not gone through', () => {
    const extension = LIBRARY['knee-extension'] as NonNullable<Library[string]>;
    const between = (fromDegrees: number, toDegrees: number) =>
      crosses('knee-extension', extension, true, { ...knee, fromDegrees, toDegrees });
    expect([between(0, 5), between(0, 6), between(90, 120), between(89, 120), between(30, 40)]).toEqual([
      false,
      true,
      false,
      true,
      true,
    ]);
  });

  it('is from fewer to more degrees', () => {
    expect(rangeLimitSchema.safeParse({ ...knee, toDegrees: 0 }).success).toBe(false);
    expect(rangeLimitSchema.safeParse({ ...knee, toDegrees: 181 }).success).toBe(false);
  });
});
