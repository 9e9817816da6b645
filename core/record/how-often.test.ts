import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import type { SessionDone } from '../plan/basis';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise, testSession } from '../plan/plan.fixture';
import { MS_PER_DAY } from '../quantity/units';
import { checkHowOften } from './how-often';

const session = (daysAgo: number, changes: Partial<SessionDone> = {}): SessionDone => ({
  atMs: -daysAgo * MS_PER_DAY,
  day: Math.floor(-daysAgo),
  kinds: ['leg'],
  tolerated: true,
  worked: [{ exerciseId: 'knee-extension', limbs: ['left-thigh'], mode: 'resistance' }],
  ...changes,
});

const { plan } = composeSession(testSession(), testBasis());
const said = (...done: SessionDone[]) =>
  checkHowOften(plan, testBasis({ done })).map(({ level, message }) => `${level}: ${inEnglish(message)}`);
const WEEK = 'guard: The quadriceps was trained 3 times in the last seven days already.';
const DAY = 'guard: The legs were trained less than 24 h ago.';

describe('how often (PRO-3)', () => {
  it('guards a fourth session of a muscle in seven days, counted from opening to opening', () => {
    expect(said(session(2), session(4), session(6.99))).toEqual([WEEK]);
    expect(said(session(2), session(4), session(7))).toEqual([]);
    expect(said(session(2), session(4))).toEqual([]);
  });

  it('guards the same limbs within a day, and not after exactly one', () => {
    expect(said(session(0.99))).toEqual([DAY]);
    expect(said(session(1))).toEqual([]);
    expect(said(session(0.5, { kinds: ['arm'] }))).toEqual([]);
    expect(said(session(-0.1))).toEqual([]);
  });

  it('counts a muscle on either side, no other muscle, and no passive work', () => {
    const worked = (exerciseId: string, mode: 'resistance' | 'passive' = 'resistance') =>
      [2, 4, 6].map((days) => session(days, { worked: [{ exerciseId, limbs: ['right-thigh'], mode }] }));
    expect(said(...worked('knee-extension'))).toEqual([WEEK]);
    expect(said(...worked('leg-curl-lying'))).toEqual([]);
    // A compound exercise counts for each of its muscles.
    expect(said(...worked('leg-press'))).toEqual([WEEK]);
    expect(said(...worked('knee-extension', 'passive'))).toEqual([]);
    const passive = composeSession(
      {
        ...testSession(),
        exercises: [
          testExercise(
            { exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery', position: 'lying' },
            { load: { kind: 'unweighed', with: 'limb weight only' } },
          ),
        ],
      },
      testBasis(),
    ).plan;
    expect(checkHowOften(passive, testBasis({ done: [2, 3, 4, 0.1].map((days) => session(days)) }))).toEqual(
      [],
    );
  });
});
