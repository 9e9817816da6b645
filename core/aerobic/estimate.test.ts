import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { msg } from '../message/message';
import { RULES } from '../rules/catalogue';
import { estimateOf } from './estimate';
import { estimateWords, missingWords, paceWords } from './estimate-words';
import { type Fitness, NO_FITNESS, type Reached } from './fitness';
import { gradientAt, oxygenOfCycling, oxygenOfPace, walkingAt, wattsAt } from './oxygen';
import { heartRateWords, zoneOf } from './zone';

const tested = (mlPerKgMin: number, reached: Reached | null = null) => ({
  mlPerKgMin,
  reached,
  age: msg('12 days old'),
});
const person = (changes: Partial<Fitness> = {}): Fitness => ({
  ...NO_FITNESS,
  vo2max: tested(44.5),
  massKg: 75,
  ...changes,
});
const share = (percent: number) => ({ by: 'vo2max', percent }) as const;
const words = (
  ergometry: 'cycling' | 'walking' | 'treadmill' | undefined,
  intensity: Parameters<typeof estimateOf>[0]['intensity'],
  fitness: Fitness,
) => englishOf(estimateWords(estimateOf({ ergometry, intensity }, fitness)));

describe('the oxygen that work asks for', () => {
  it('is by the usual equations', () => {
    expect(oxygenOfCycling(75, 75)).toBeCloseTo(17.8);
    expect(oxygenOfCycling(0, 60)).toBe(7);
    expect(oxygenOfPace({ kmPerHour: 4.8, gradientPercent: 0 })).toBeCloseTo(11.5);
    expect(oxygenOfPace({ kmPerHour: 4.8, gradientPercent: 5 })).toBeCloseTo(18.7);
    // Running: 0.2 × 150 + 0.9 × 150 × 0.02 + 3.5.
    expect(oxygenOfPace({ kmPerHour: 9, gradientPercent: 2 })).toBeCloseTo(36.2);
  });

  it('leads back to the watts, the speed and the gradient that ask for it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: 40, max: 150, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        (watts, massKg, kmPerHour, gradientPercent) => {
          expect(wattsAt(oxygenOfCycling(watts, massKg), massKg)).toBeCloseTo(watts);
          const asked = oxygenOfPace({ kmPerHour, gradientPercent });
          expect(walkingAt(asked, gradientPercent)).toBeCloseTo(kmPerHour);
          expect(gradientAt(asked, kmPerHour)).toBeCloseTo(gradientPercent);
        },
      ),
    );
  });
});

describe('a share of VO2max', () => {
  it.each([
    ['cycling', 40, person(), 'about 75 W'],
    // (17.8 − 7) ÷ (44.5 − 7) × 250 = 72 W.
    ['cycling', 40, person({ vo2max: tested(44.5, { watts: 250 }) }), 'about 70 W'],
    ['cycling', 40, person({ massKg: null, vo2max: tested(44.5, { watts: 250 }) }), 'about 70 W'],
    ['cycling', 40, person({ massKg: null }), null],
    ['walking', 40, person({ vo2max: tested(30) }), 'about 5.1 km/h at 0 %'],
    // 17.8 ml on the level would be 8.5 km/h, which is no walk.
    ['walking', 40, person(), null],
    ['treadmill', 40, person(), 'about 4.5 km/h at 5 %'],
    ['treadmill', 40, person({ vo2max: tested(20) }), 'about 2.7 km/h at 0 %'],
    [
      'treadmill',
      40,
      person({ vo2max: tested(30, { kmPerHour: 6, gradientPercent: 12 }) }),
      'about 1.9 km/h at 12 %',
    ],
    // A test that was run says nothing of a walk.
    [
      'treadmill',
      40,
      person({ vo2max: tested(44.5, { kmPerHour: 14, gradientPercent: 1 }) }),
      'about 4.5 km/h at 5 %',
    ],
    [undefined, 40, person(), null],
  ] as const)('on %s at %d %%', (ergometry, percent, fitness, said) => {
    expect(words(ergometry, share(percent), fitness)).toBe(said);
  });

  it('is a zone of the person’s own heart, from rest to the end of the test, below what is kept to under a cuff', () => {
    const known = person({ restingPerMinute: 60, vo2max: tested(43.5, { beatsPerMinute: 180 }) });
    // 3 beats a ml: 35 % = 15.225 ml, 45 % = 19.575 ml.
    expect(words('cycling', share(40), known)).toBe('about 70 W, 95–108 beats a minute');
    expect(words(undefined, share(48), known)).toBe('about 105–114 beats a minute');
    const { zone } = estimateOf({ intensity: share(40) }, known);
    expect(englishOf(zone?.highPerMinute.working)).toEqual([
      { label: 'VO2max, 12 days old', detail: '43.5 ml/kg/min' },
      { label: 'Own heart, from rest to the test', detail: '60 at 3.5, 180 a minute at 43.5 ml/kg/min' },
      { label: '45 % of VO2max', detail: '108 a minute' },
    ]);
  });

  it('takes the line of the heart from a fixed workload where the test itself has none', () => {
    // 100 W at 75 kg: 21.4 ml; 60 beats over 17.9 ml.
    const known = person({
      restingPerMinute: 60,
      atWorkload: { output: { watts: 100 }, beatsPerMinute: 120 },
    });
    expect(words(undefined, share(40), known)).toBe('about 100–115 beats a minute');
    expect(words(undefined, share(40), { ...known, restingPerMinute: 130 })).toBeNull();
  });

  it('is said of watts, speed and heart rate too', () => {
    const known = person({ restingPerMinute: 60, vo2max: tested(43.5, { beatsPerMinute: 180 }) });
    expect(words('cycling', { by: 'watts', watts: 75 }, known)).toBe('about 41 % of VO2max');
    expect(words('walking', { by: 'speed', kmPerHour: 4.8, gradientPercent: 0 }, known)).toBe(
      'about 26 % of VO2max',
    );
    expect(words('walking', { by: 'heart-rate', lowPerMinute: 90, highPerMinute: 105 }, known)).toBe(
      'about 43 % of VO2max',
    );
    expect(words('cycling', { by: 'talking' }, known)).toBeNull();
    expect(words('cycling', { by: 'watts', watts: 75 }, NO_FITNESS)).toBeNull();
  });

  it('asks never for more than the share by the same equation, and is never below the floor of the machine', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 80, noNaN: true }),
        fc.integer({ min: 10, max: 100 }),
        fc.double({ min: 35, max: 200, noNaN: true }),
        (mlPerKgMin, percent, massKg) => {
          const known = person({ vo2max: tested(mlPerKgMin), massKg });
          const asked = (mlPerKgMin * percent) / 100;
          const { watts } = estimateOf({ ergometry: 'cycling', intensity: share(percent) }, known);
          if (watts) expect(oxygenOfCycling(watts.value, massKg)).toBeLessThanOrEqual(asked + 1e-6);
          const { speed } = estimateOf({ ergometry: 'treadmill', intensity: share(percent) }, known);
          if (speed) {
            const pace = { kmPerHour: speed.kmPerHour.value, gradientPercent: speed.gradientPercent };
            expect(pace.kmPerHour).toBeLessThanOrEqual(RULES.PRO.figures.mostWalkingKmPerHour);
            expect(oxygenOfPace(pace)).toBeLessThanOrEqual(asked + 1e-6);
          }
        },
      ),
    );
  });

  it('says what to record where it cannot be worked out', () => {
    const missing = (ergometry: 'cycling' | 'walking' | undefined, fitness: Fitness) =>
      englishOf(missingWords({ ergometry, intensity: share(40) }, fitness));
    expect(missing('cycling', NO_FITNESS)).toBe(
      'No VO2max is on record: record it in Outcomes, or go by watts, speed or talking pace.',
    );
    expect(missing('cycling', person({ massKg: null }))).toContain('For watts record body mass');
    expect(missing('cycling', person({ vo2max: tested(14) }))).toContain('Even empty pedals ask for more');
    expect(missing('walking', person())).toContain('No walk on the level asks for just this share');
    expect(
      missing('cycling', person({ restingPerMinute: 60, vo2max: tested(43.5, { beatsPerMinute: 180 }) })),
    ).toBeNull();
    expect(missingWords({ intensity: { by: 'watts', watts: 60 } }, NO_FITNESS)).toBeNull();
  });
});

it('is written behind the share, which is what was prescribed, and gives the zone that a strap is held against', () => {
  const estimate = estimateOf(
    { ergometry: 'cycling', intensity: share(40) },
    person({ restingPerMinute: 60, vo2max: tested(43.5, { beatsPerMinute: 180 }) }),
  );
  expect(englishOf(paceWords(share(40), estimate))).toBe('40 % of VO2max, about 70 W, 95–108 beats a minute');
  expect(englishOf(paceWords({ by: 'watts', watts: 70 }, estimate))).toBe('70 W');
  const zone = zoneOf({ intensity: share(40), estimate });
  expect(zone).toEqual({ lowPerMinute: 95, highPerMinute: 108 });
  expect(englishOf(heartRateWords(zone, 109))).toContain('ease off');
  expect(zoneOf({ intensity: { by: 'talking' } })).toBeNull();
});
