import { describe, expect, it } from 'vitest';
import type { FitFact, TightnessFact } from '../cuff/fact';
import { EXERCISES } from '../protocol/exercises';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import { roundDownToDivision } from '../quantity/rounding';
import { MS_PER_DAY } from '../quantity/units';
import { limited } from '../screening/clearance.fixture';
import type { Basis, SessionDone } from './basis';
import { choiceFor, draftLimb, measuredPosition, passiveDays, strapFor } from './draft-limb';
import { testBasis, testCuff, testOcclusion, trainedWeeks } from './plan.fixture';

const felt = (changes: Partial<TightnessFact> = {}): TightnessFact =>
  ({
    id: 'felt',
    atMs: 0,
    limb: 'left-thigh',
    strapId: 's',
    strapLabel: 'Strap',
    mark: 5,
    felt: 7,
    ...changes,
  }) as TightnessFact;
const strap = (changes: object = {}): FitFact =>
  ({
    kind: 'strap',
    id: 'fit',
    atMs: 0,
    limb: 'left-thigh',
    strapId: 's',
    label: 'Strap',
    widthCm: 5,
    girthCm: 54,
    ...changes,
  }) as FitFact;

describe('the strap of a limb (TIGHT)', () => {
  it('is the one that is worn, as it was last tightened', () => {
    const tightness = [
      felt({ mark: 1, atMs: 1 }),
      felt({ mark: 2, atMs: 2 }),
      felt({ mark: 3, atMs: 3, strapId: 't' }),
      felt({ mark: 4, atMs: 4, limb: 'right-thigh' }),
    ];
    expect(strapFor('left-thigh', testBasis({ fits: [strap()], tightness }))?.mark).toBe(2);
    expect(strapFor('left-thigh', testBasis({ fits: [strap({ strapId: 'u' })], tightness }))).toBeUndefined();
  });

  it('is the last felt where nothing was measured on the limb, and none where something was', () => {
    const tightness = [felt({ mark: 1, atMs: 1 }), felt({ mark: 2, atMs: 2 })];
    expect(strapFor('left-thigh', testBasis({ tightness }))).toBeUndefined();
    const unmeasured = testBasis({ tightness, occlusions: [testOcclusion({ limb: 'right-thigh' })] });
    expect(strapFor('left-thigh', unmeasured)?.mark).toBe(2);
    expect(strapFor('right-arm', unmeasured)).toBeUndefined();
    expect(choiceFor('left-thigh', 'sitting', 'standard-75', 60, unmeasured)).toEqual({
      kind: 'by-feel',
      limb: 'left-thigh',
      strapId: 's',
    });
  });
});

describe('a limb in a position (LOP-5)', () => {
  it('goes by its pressure in force, with a cuff of the kit', () => {
    const choice = (basis: Partial<Basis>) =>
      choiceFor('left-thigh', 'sitting', 'standard-75', 60, testBasis(basis));
    expect(choice({})).toEqual({ kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 });
    expect(choice({ cuffs: [] })).toBeNull();
    expect(choice({ occlusions: [] })).toBeNull();
  });

  it('lets passive cycles be done where a pressure is, lying or sitting; other work only where it is done', () => {
    const passive = Object.values(EXERCISES).find(
      ({ kind, limbKind }) => kind === 'passive' && limbKind === 'leg',
    );
    const moving = EXERCISES['knee-extension'];
    if (!passive || !moving) throw new Error('The library has neither.');
    const only = (position: 'lying' | 'sitting' | 'standing') =>
      testBasis({
        occlusions: [testOcclusion({ position }), testOcclusion({ id: 'r', limb: 'right-thigh', position })],
      });
    const asked = (position: 'lying' | 'sitting') => ({ ...passive, position });
    expect(measuredPosition(asked('lying'), ['left-thigh'], only('lying'))).toBe('lying');
    expect(measuredPosition(asked('sitting'), ['left-thigh'], only('sitting'))).toBe('sitting');
    // Nothing measured at all: where it is usually done.
    expect(measuredPosition(asked('lying'), ['left-thigh'], testBasis({ occlusions: [] }))).toBe('lying');
    expect(measuredPosition(moving, ['left-thigh'], only('lying'))).toBe('sitting');
    const oneOnly = testBasis({ occlusions: [testOcclusion({ position: 'sitting' })] });
    expect(measuredPosition(asked('lying'), ['left-thigh', 'right-thigh'], oneOnly)).toBe('lying');
  });
});

const percent = (
  changes: {
    protocolId?: ProtocolId;
    schoolId?: SchoolId;
    carried?: number;
    lowered?: number;
    limb?: 'left-thigh' | 'left-arm';
  } & Partial<Basis> = {},
) => {
  const {
    protocolId = 'standard-75',
    schoolId = 'research-consensus',
    carried,
    lowered,
    limb = 'left-thigh',
    ...basis
  } = changes;
  const choice = draftLimb(limb, 'sitting', protocolId, schoolId, testBasis(basis), { carried, lowered });
  return choice?.kind === 'measured' ? choice.percentLop : choice;
};

describe('the share of LOP a draft gives (PRS-2 to PRS-4)', () => {
  it('is the school’s, or what was carried over, within every bound', () => {
    expect(percent()).toBe(60);
    expect(percent({ carried: 55 })).toBe(55);
    expect(percent({ carried: 55, lowered: 50 })).toBe(50);
    expect(percent({ lowered: 90 })).toBe(60);
    expect(percent({ limits: limited({ maxPercentLop: 45 }, ['left-thigh']) })).toBe(45);
    expect(percent({ limits: limited({ maxPercentLop: 45 }, ['right-thigh', 'left-arm']) })).toBe(60);
    // What the cuff holds: 90 of 174 mmHg is 51.7 %.
    expect(percent({ cuffs: [{ ...testCuff, maxPressureMmHg: 90 }] })).toBe(51);
    expect(percent({ cuffs: [] })).toBeNull();
    expect(percent({ carried: 0 })).toBe(1);
  });

  it('keeps the ramp while it runs, and the school’s top of that kind of limb after', () => {
    expect(percent({ done: trainedWeeks(1), carried: 80 })).toBeLessThan(80);
    const top = percent({ carried: 100 });
    expect(top).toBe(80);
  });

  it('of passive cycles is the protocol’s own, built up from below after an operation of that limb', () => {
    const passive = { protocolId: 'passive-rehab' } as const;
    const operated = { ...passive, procedures: [{ limb: 'left-thigh' as const, atMs: -20 * MS_PER_DAY }] };
    const full = percent(passive);
    expect(percent({ ...passive, procedures: [{ limb: 'right-thigh', atMs: -MS_PER_DAY }] })).toBe(full);
    // 40 mmHg under on the first day, ten more each day.
    const below = (days: number) => {
      const done: SessionDone[] = days === 0 ? [] : [worked(-days)];
      return percent({ ...operated, done });
    };
    const mmHg = (share: unknown) => roundDownToDivision((174 * Number(share)) / 100, 2);
    expect(mmHg(full) - mmHg(below(0))).toBe(40);
    expect(mmHg(below(2)) - mmHg(below(0))).toBe(20);
    expect(below(15)).toBe(full);
    // Under a cap it is built up to what the cap allows: 60 % of 174 is 104, less 40 is 64.
    const limits = limited({ maxPercentLop: 60 });
    expect(mmHg(percent({ ...operated, limits }))).toBe(64);
  });
});

/** A session of passive work so many days ago. */
const worked = (days: number, changes: object = {}): SessionDone =>
  ({
    atMs: days * MS_PER_DAY,
    day: days,
    kinds: ['leg'],
    tolerated: true,
    worked: [{ mode: 'passive', limbs: ['left-thigh'], ...changes }],
  }) as unknown as SessionDone;

describe('days of passive work since an operation (PRS-4)', () => {
  const days = (
    done: SessionDone[],
    procedures: Basis['procedures'] = [{ limb: 'left-thigh', atMs: -20 * MS_PER_DAY }],
  ) => passiveDays('left-thigh', testBasis({ done, procedures }));

  it('count from the first after it, whole, of that limb and of passive work alone', () => {
    expect(days([])).toBe(0);
    expect(days([worked(-3)])).toBe(3);
    expect(days([worked(-3), worked(-8), worked(-1)])).toBe(8);
    expect(days([{ ...worked(-3), atMs: -3.9 * MS_PER_DAY }])).toBe(3);
    expect(days([worked(-25), worked(-2)])).toBe(2);
    expect(days([worked(-20)])).toBe(20);
    expect(days([worked(-5, { mode: 'resistance' }), worked(-2)])).toBe(2);
    expect(days([worked(-5, { limbs: ['right-thigh'] }), worked(-2)])).toBe(2);
    // Of another limb’s operation, or none, the first ever counts.
    expect(days([worked(-25), worked(-2)], [{ limb: 'right-thigh', atMs: -20 * MS_PER_DAY }])).toBe(25);
    // Several operations of it: the last.
    expect(
      days(
        [worked(-8), worked(-2)],
        [
          { limb: 'left-thigh', atMs: -20 * MS_PER_DAY },
          { limb: 'left-thigh', atMs: -5 * MS_PER_DAY },
        ],
      ),
    ).toBe(2);
    const mixed = worked(-4);
    expect(
      days([
        { ...mixed, worked: [{ mode: 'resistance', limbs: ['left-thigh'] }, ...mixed.worked] } as SessionDone,
      ]),
    ).toBe(4);
  });
});
