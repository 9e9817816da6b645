import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EXERCISES, type Library } from './exercises';
import { jointsOf, type Limbs, type Point } from './figure';
import { figureOf } from './poses';

const STANDING: Limbs = { trunk: 180, arm: [0, 0], leg: [0, 0, 90] };
const far = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);
const angle = fc.integer({ min: -180, max: 180 });

describe('a body drawn from its joints', () => {
  it('stands on its foot, hip and head above it', () => {
    const { hip, head, ankle, toe } = jointsOf(STANDING, 'ankle');
    expect(ankle).toEqual({ x: 0, y: 0 });
    expect(hip.y).toBeCloseTo(-46);
    expect([head.x, hip.x].map(Math.round)).toEqual([0, 0]);
    expect(toe.x).toBeCloseTo(8);
  });

  it('keeps the length of every part, and holds the joint it is held by, whatever the angles', () => {
    fc.assert(
      fc.property(fc.tuple(angle, angle, angle, angle, angle, angle), ([trunk, a, b, c, d, e]) => {
        const joints = jointsOf({ trunk, arm: [a, b], leg: [c, d, e] }, 'knee');
        expect(joints.knee).toEqual({ x: 0, y: 0 });
        expect(far(joints.hip, joints.knee)).toBeCloseTo(23);
        expect(far(joints.neck, joints.elbow)).toBeCloseTo(16);
        expect(far(joints.hip, joints.neck)).toBeCloseTo(30);
      }),
    );
  });
});

describe('drawings of exercises', () => {
  it.each(Object.keys(EXERCISES))(
    '%s moves where its joints move, and the whole of it stays in the frame',
    (id) => {
      const figure = figureOf(id);
      const exercise = (EXERCISES as Library)[id];
      if (!figure || !exercise) throw new Error(`${id} has no drawing.`);
      const points = [figure.start, figure.end].flatMap((limbs) =>
        Object.values(jointsOf(limbs, figure.held)),
      );
      for (const of of ['x', 'y'] as const) {
        const at = points.map((point) => point[of]);
        expect(Math.max(...at) - Math.min(...at)).toBeLessThan(118);
      }
      // What only turns or squeezes in place is one drawing.
      if (exercise.kind === 'passive') expect(figure.start).toEqual(figure.end);
      const inPlace = ['pronation-supination', 'grip-squeeze'].includes(id);
      if (exercise.joints.length > 0 && !inPlace) expect(figure.start).not.toEqual(figure.end);
      // Both sides do the same where both work at once, but for walks and what is like them.
      if (exercise.sides === 'both' && exercise.kind === 'compound') {
        expect(figure.end.farLeg).toEqual(figure.end.leg);
        expect(figure.end.farArm).toEqual(figure.end.arm);
      }
    },
  );

  it('has none of an exercise the practice has added', () => {
    expect(figureOf('our-own')).toBeNull();
  });
});
