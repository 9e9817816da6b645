import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { type Fitness, NO_FITNESS } from '../aerobic/fitness';
import { heartRateWords } from '../aerobic/zone';
import { msg } from '../message/message';
import { INTENSITIES, type Intensity, intensitySchema, intensityWords } from '../protocol/intensity';
import { setsOf } from './choices';
import { choicesOf } from './choices-of';
import { composeSession } from './compose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { testBasis, testExercise } from './plan.fixture';
import { planChanges } from './plan-changes';
import { isPlan } from './versions/plan-schema';

const FIT: Fitness = {
  ...NO_FITNESS,
  vo2max: { mlPerKgMin: 44.5, reached: null, age: msg('today') },
  massKg: 75,
};

const cycling = (intensity?: Intensity, fitness: Fitness = NO_FITNESS) =>
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
    testBasis({ fitness }),
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
    const found = (intensity: Intensity) =>
      cycling(intensity, FIT).findings.filter(({ subject }) => subject === 'intensity');
    const share = (percent: number) => found({ by: 'vo2max', percent }).length;
    expect([share(49), share(50), share(70)]).toEqual([0, 1, 1]);
    // 10.8 × 105 ÷ 75 + 7 = 22.12 ml/kg/min of 44.5: 50 %.
    expect([found({ by: 'watts', watts: 100 }).length, found({ by: 'watts', watts: 105 }).length]).toEqual([
      0, 1,
    ]);
    expect(found({ by: 'vo2max', percent: 70 })).toMatchObject([{ rule: 'PRO', level: 'note' }]);
  });

  it('says what a share of VO2max is on the bike, and asks for a test where none is on record', () => {
    const { plan } = cycling({ by: 'vo2max', percent: 40 }, FIT);
    expect(englishOf(plan.exercises[0]?.load)).toMatchObject({ recipe: '40 % of VO2max, about 75 W' });
    expect(isPlan(plan)).toBe(true);
    expect(
      englishOf(cycling({ by: 'vo2max', percent: 40 }).findings.map(({ message }) => message)),
    ).toContain('A share of VO2max, and no VO2max is on record: the machine cannot be set by it.');
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
    const zone = { lowPerMinute: 100, highPerMinute: 120 };
    expect(englishOf([99, 100, 120, 121].map((rate) => heartRateWords(zone, rate)))).toEqual([
      '99 is below the 100–120 of the plan.',
      null,
      null,
      '121 is above the 100–120 of the plan: ease off.',
    ]);
    expect(heartRateWords(null, 190)).toBeNull();
  });
});
