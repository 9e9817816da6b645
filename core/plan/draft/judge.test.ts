import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { libraryOf } from '../../protocol/exercises';
import { testBasis, testOcclusion, testStrength } from '../plan.fixture';
import { ASPECTS } from './aspects';
import { testWish } from './draft-wish.fixture';
import { judge, pointsFor } from './judge';
import type { AspectId } from './judged';
import { likeness } from './likeness';
import { isNothing } from './nothing';
import type { For } from './tried';
import { type Work, workOf } from './work';

const basis = testBasis({
  strengthTests: [testStrength(), testStrength({ id: 'curl', exerciseId: 'leg-curl-seated' })],
  weightKits: [
    { kind: 'stack', id: 'stack', label: 'Stack', lightestKg: 5, stepKg: 5, heaviestKg: 60 },
    { kind: 'bands', id: 'bands', label: 'Bands', names: ['sand'] },
  ],
});
const of: For = { wish: testWish(), basis };

function work(id: string, changes: Partial<For> = {}): Work {
  const { wish, basis: over } = { ...of, ...changes };
  const exercise = over.library[id];
  const made = exercise && workOf([id, exercise], wish, over);
  if (!made || isNothing(made)) throw new Error(`${id} cannot be done.`);
  return made;
}

const pointsOn = (aspect: AspectId, ids: string[], changes: Partial<For> = {}) =>
  judge(
    ids.map((id) => work(id, changes)),
    { ...of, ...changes },
  ).aspects.find(({ id }) => id === aspect)?.points;

describe('the points of a session', () => {
  it('are 100 at most, those of its aspects, and the same that a search compares', () => {
    expect(Object.values(ASPECTS).reduce((sum, { points }) => sum + points, 0)).toBe(100);
    const tried = [work('leg-curl-seated'), work('knee-extension')];
    const judged = judge(tried, of);
    expect(judged.points).toBe(judged.aspects.reduce((sum, { points }) => sum + points, 0));
    expect(Math.abs(pointsFor(of)(tried) - judged.points)).toBeLessThan(5);
  });

  it('are fewer where the kit does not make the load asked for, and fewest with the limb alone', () => {
    // 25 % of 40 kg is 10 kg, which the stack makes; 25 % of 36 kg is 9 kg, of which it makes 5.
    const other = testBasis({
      ...basis,
      strengthTests: [testStrength({ oneRepMax: { value: 36, unit: 'kg', working: [], rules: [] } })],
    });
    expect(pointsOn('load', ['knee-extension'])).toBe(12);
    expect(pointsOn('load', ['knee-extension'], { basis: other })).toBe(7);
    expect(pointsOn('load', ['terminal-extension-band'])).toBe(5);
    expect(pointsOn('load', ['long-arc-extension'])).toBe(1);
    const words = judge([work('knee-extension', { basis: other })], { ...of, basis: other }).aspects.find(
      ({ id }) => id === 'load',
    );
    expect(englishOf(words?.words)).toBe('25 % of 1RM asked for, 13.9 % made');
  });

  it('are fewer for small muscles, for the same muscle twice, and for more changes', () => {
    expect(pointsOn('muscle', ['knee-extension'])).toBe(12);
    expect(pointsOn('muscle', ['ankle-dorsiflexion-band'])).toBe(2);
    expect(pointsOn('shape', ['knee-extension', 'terminal-extension-band'])).toBe(5);
    expect(pointsOn('shape', ['knee-extension', 'leg-curl-seated'])).toBe(11);
    expect(pointsOn('changes', ['knee-extension', 'leg-curl-seated'])).toBe(4);
    expect(pointsOn('changes', ['knee-extension', 'terminal-extension-band'])).toBe(0);
  });

  it('are fewer more upright than it was measured', () => {
    expect(pointsOn('measured', ['knee-extension'])).toBe(8);
    expect(pointsOn('measured', ['terminal-extension-band'])).toBe(4);
    const standing = testBasis({ ...basis, occlusions: [testOcclusion({ position: 'standing' })] });
    expect(pointsOn('measured', ['terminal-extension-band'], { basis: standing })).toBe(8);
  });

  it('ask for isolated work in the first weeks', () => {
    const fresh = { basis: testBasis({ ...basis, done: [] }) };
    expect(pointsOn('isolates', ['stairs-up'])).toBe(6);
    expect(pointsOn('isolates', ['stairs-up'], fresh)).toBe(0);
    expect(pointsOn('isolates', ['knee-extension'], fresh)).toBe(6);
  });
});

describe('how alike two exercises are', () => {
  const alike = (one: string, other: string) => likeness(one, other, libraryOf({}));

  it('goes by muscles, joints and position', () => {
    expect(alike('bar-squat', 'air-squat')).toBeCloseTo(1, 1);
    expect(alike('bar-squat', 'sit-to-stand')).toBeLessThan(0.85);
    expect(alike('bar-squat', 'ankle-dorsiflexion-band')).toBe(0);
    expect(alike('bar-squat', 'no longer there')).toBe(0);
  });

  it('finds what a named lift is warmed up by', () => {
    // A small squat bends less.
    expect(alike('bar-squat', 'air-squat')).toBeGreaterThan(alike('bar-squat', 'mini-squat-supported'));
    const like = (lift: string, ids: string[]) => ids.sort((a, b) => alike(lift, b) - alike(lift, a))[0];
    expect(like('deadlift', ['sit-to-stand', 'calf-raise-standing', 'hip-hinge'])).toBe('hip-hinge');
    expect(like('bench-press', ['wall-push-up', 'band-row', 'band-curl'])).toBe('wall-push-up');
  });
});
