import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import {
  heartRateWords,
  INTENSITIES,
  type Intensity,
  intensitySchema,
  intensityWords,
} from '../protocol/intensity';
import { checkIntensity } from './check-resistance';
import { setsOf } from './choices';
import { choicesOf } from './choices-of';
import { composeSession } from './compose';
import { draftSession } from './draft-session';
import { testWish } from './draft-wish.fixture';
import { testBasis, testExercise } from './plan.fixture';
import { planChanges } from './plan-changes';
import { isPlan } from './versions/plan-schema';

const cycling = (intensity?: Intensity) =>
  composeSession(
    {
      goal: 'aerobic',
      schoolId: 'research-consensus',
      exercises: [
        testExercise(
          { exerciseId: 'cycling', protocolId: 'aerobic', percentLop: 60 },
          {
            load: { kind: 'unweighed', with: 'limb weight only' },
            sets: setsOf('aerobic', 65_000, 60_000),
            ...(intensity ? { intensity } : {}),
          },
        ),
      ],
    },
    testBasis(),
  );

describe('how hard aerobic work is', () => {
  it.each([
    [{ by: 'talking' }, 'talking pace'],
    [{ by: 'watts', watts: 70 }, '70 W'],
    [{ by: 'speed', kmPerHour: 5, gradientPercent: 0 }, '5 km/h'],
    [{ by: 'speed', kmPerHour: 5, gradientPercent: 3 }, '5 km/h at 3 %'],
    [{ by: 'heart-rate', lowPerMinute: 100, highPerMinute: 120 }, '100–120 beats a minute'],
    [{ by: 'vo2max', percent: 40 }, '40 % of VO2max'],
  ] as const)('is written %j: %s', (intensity, words) => {
    expect(englishOf(intensityWords(intensity))).toBe(words);
  });

  it('is drafted at talking pace', () => {
    const { session } = draftSession(testWish({ goal: 'aerobic' }), testBasis());
    expect(session?.exercises.map(({ intensity }) => intensity)).toEqual([{ by: 'talking' }]);
  });

  it('takes the place of a load, is kept with the plan, and shown when it changes', () => {
    const [slow, fast] = [cycling({ by: 'watts', watts: 70 }), cycling({ by: 'watts', watts: 85 })];
    expect(englishOf(slow.plan.exercises[0]?.load)).toEqual({
      kind: 'unweighed',
      recipe: '70 W',
      with: 'limb weight only',
    });
    expect(isPlan(slow.plan)).toBe(true);
    expect(choicesOf(slow.plan).exercises[0]?.intensity).toEqual({ by: 'watts', watts: 70 });
    expect(planChanges(slow.plan, fast.plan).map(inEnglish).join()).toContain('70 W → 85 W');
    expect(englishOf(cycling().plan.exercises[0]?.load)).toEqual({
      kind: 'unweighed',
      recipe: 'limb weight only',
      with: 'limb weight only',
    });
  });

  it('is questioned from half of VO2max on, and only there', () => {
    const found = (percent: number) => checkIntensity({ by: 'vo2max', percent }).length;
    expect([found(49), found(50), found(70)]).toEqual([0, 1, 1]);
    expect(englishOf(cycling({ by: 'vo2max', percent: 55 }).findings)).toContainEqual(
      expect.objectContaining({ rule: 'PRO', level: 'note', subject: 'intensity' }),
    );
  });

  it('says each in its own unit, and begins each with something that may be asked', () => {
    const firsts = Object.values(INTENSITIES).map(({ first }) => first);
    expect(firsts.every((first) => intensitySchema.safeParse(first).success)).toBe(true);
    expect(new Set(firsts.map((first) => inEnglish(intensityWords(first)))).size).toBe(firsts.length);
    expect(englishOf(intensityWords({ by: 'speed', kmPerHour: 5, gradientPercent: 0 }))).toBe('5 km/h');
    expect(englishOf(intensityWords({ by: 'talking' }))).toBe('talking pace');
    expect(
      intensitySchema.safeParse({ by: 'heart-rate', lowPerMinute: 130, highPerMinute: 110 }).success,
    ).toBe(false);
  });

  it('holds a heart rate against its zone', () => {
    const zone: Intensity = { by: 'heart-rate', lowPerMinute: 100, highPerMinute: 120 };
    expect(englishOf([99, 100, 120, 121].map((rate) => heartRateWords(zone, rate)))).toEqual([
      '99 is below the 100–120 of the plan.',
      null,
      null,
      '121 is above the 100–120 of the plan: ease off.',
    ]);
    expect(heartRateWords({ by: 'talking' }, 190)).toBeNull();
  });
});
