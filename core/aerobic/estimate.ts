import type { Derived, Step } from '../derivation/derived';
import { type Message, msg } from '../message/message';
import type { Exercise } from '../protocol/exercise';
import { INTENSITIES, type Intensity } from '../protocol/intensity';
import { roundDownToDivision, toDecimals } from '../quantity/rounding';
import type { Unit } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type Asked, oxygenOfOutput } from './asked';
import { cyclingLine } from './cycling-line';
import type { Fitness } from './fitness';
import { heartLine } from './heart-line';
import { AT_REST, gradientAt, isWalk, walkingAt } from './oxygen';

const { zonePoints, mostPercentVo2max } = RULES.PRO.figures;
/** What bikes and belts can be set to. */
const STEPS = { watts: 5, kmPerHour: 0.1, gradientPercent: 0.5 };
const BELT_KM_PER_HOUR = INTENSITIES.speed.first.kmPerHour;
const STEEPEST_PERCENT = 30;
const SLOWEST_KM_PER_HOUR = 0.5;

/** What an intensity is on the machine, on the heart, and of VO2max, as far as it is known: estimates, never limits. */
export type AerobicEstimate = {
  watts?: Derived | undefined;
  speed?: { kmPerHour: Derived; gradientPercent: number } | undefined;
  zone?: { lowPerMinute: Derived; highPerMinute: Derived } | undefined;
  percentVo2max?: Derived | undefined;
};

export type Aerobic = { ergometry?: Exercise['ergometry']; intensity: Intensity };

/**
 * Watts, speed and a zone of heart rate for a share of VO2max; and for watts, speed or heart rate the share (chapter 6). By the
 * person's own test where there is one, else by the usual equations.
 * @returns empty where nothing is on record that it could be worked out from
 * @example estimateOf({ ergometry: 'cycling', intensity: { by: 'vo2max', percent: 40 } }, { vo2max 44.5, massKg: 75 }).watts //=> 75 W
 */
export function estimateOf({ ergometry, intensity }: Aerobic, fitness: Fitness): AerobicEstimate {
  const { vo2max } = fitness;
  if (!vo2max || intensity.by === 'talking') return {};
  const { mlPerKgMin: most } = vo2max;
  const tested: Step = {
    label: msg('VO2max, {age}', { age: vo2max.age }),
    detail: msg('{most} ml/kg/min', { most }),
  };
  if (intensity.by !== 'vo2max') {
    const asked = oxygenOf(intensity, fitness);
    if (!asked) return {};
    const share = toDecimals((asked.mlPerKgMin / most) * 100, 0);
    return {
      percentVo2max: derived('%VO2max', share, [
        tested,
        asked.step,
        {
          label: msg('Share'),
          detail: msg('{asked} ÷ {most} = {share} %', {
            asked: toDecimals(asked.mlPerKgMin, 1),
            most,
            share,
          }),
        },
      ]),
    };
  }
  const mlPerKgMin = (most * intensity.percent) / 100;
  const share: Step = {
    label: msg('Share of VO2max'),
    detail: msg('{most} × {percent} % = {asked} ml/kg/min', {
      most,
      percent: intensity.percent,
      asked: toDecimals(mlPerKgMin, 1),
    }),
  };
  const working = [tested, share];
  const watts = ergometry === 'cycling' ? wattsFor(mlPerKgMin, fitness, working) : undefined;
  const speed =
    ergometry && ergometry !== 'cycling' ? speedFor(mlPerKgMin, ergometry, fitness, working) : undefined;
  const zone = zoneFor(intensity.percent, fitness, [tested]);
  return { ...(watts ? { watts } : {}), ...(speed ? { speed } : {}), ...(zone ? { zone } : {}) };
}

const derived = (unit: Unit, value: number, working: Step[]): Derived => ({
  value,
  unit,
  working,
  rules: ['PRO'],
});

function wattsFor(mlPerKgMin: number, fitness: Fitness, working: readonly Step[]): Derived | undefined {
  const line = cyclingLine(fitness);
  if (!line) return undefined;
  const exact = line.wattsAt(mlPerKgMin);
  const watts = roundDownToDivision(Math.max(0, exact), STEPS.watts);
  if (watts <= 0) return undefined;
  return derived('W', watts, [
    ...working,
    {
      label: line.label,
      detail: msg('{exact} W, rounded down to {watts} W', { exact: toDecimals(exact, 1), watts }),
    },
  ]);
}

function speedFor(
  mlPerKgMin: number,
  ergometry: 'walking' | 'treadmill',
  { vo2max }: Fitness,
  working: readonly Step[],
): AerobicEstimate['speed'] {
  const own = vo2max?.reached;
  const ownGradient = own?.gradientPercent ?? 0;
  const isOwn =
    own?.kmPerHour !== undefined && isWalk(own.kmPerHour) && (ergometry === 'treadmill' || ownGradient === 0);
  const said = (exact: number, gradientPercent: number, label: Message): AerobicEstimate['speed'] => {
    const kmPerHour = roundDownToDivision(Math.max(0, exact), STEPS.kmPerHour);
    if (kmPerHour < SLOWEST_KM_PER_HOUR || !isWalk(kmPerHour)) return undefined;
    const detail = msg('{kmPerHour} km/h at {gradientPercent} %', { kmPerHour, gradientPercent });
    return { kmPerHour: derived('km/h', kmPerHour, [...working, { label, detail }]), gradientPercent };
  };
  if (vo2max && isOwn && own.kmPerHour !== undefined)
    return said(
      ((mlPerKgMin - AT_REST) / (vo2max.mlPerKgMin - AT_REST)) * own.kmPerHour,
      ownGradient,
      msg('Own test, {peak} km/h at the end', { peak: own.kmPerHour }),
    );
  const label = msg('Equation of walking');
  const gradient = ergometry === 'treadmill' ? gradientAt(mlPerKgMin, BELT_KM_PER_HOUR) : 0;
  if (gradient > STEEPEST_PERCENT) return undefined;
  return gradient > 0
    ? said(BELT_KM_PER_HOUR, roundDownToDivision(gradient, STEPS.gradientPercent), label)
    : said(walkingAt(mlPerKgMin, 0), 0, label);
}

/** The zone reaches some points either way; its upper end stays below what work under a cuff is kept to, where the share does. */
function zoneFor(percent: number, fitness: Fitness, working: readonly Step[]): AerobicEstimate['zone'] {
  const line = heartLine(fitness);
  const most = fitness.vo2max?.mlPerKgMin;
  if (!line || most === undefined) return undefined;
  const high = percent < mostPercentVo2max ? Math.min(percent + zonePoints, mostPercentVo2max) : percent;
  const at = (points: number): Derived => {
    const value = Math.floor(line.perMinuteAt((most * points) / 100));
    return derived('/min', value, [
      ...working,
      line.step,
      { label: msg('{points} % of VO2max', { points }), detail: msg('{value} a minute', { value }) },
    ]);
  };
  return { lowPerMinute: at(Math.max(0, percent - zonePoints)), highPerMinute: at(high) };
}

/** The oxygen that watts, a speed or a heart rate ask for; null where it cannot be known. */
function oxygenOf(
  intensity: Exclude<Intensity, { by: 'talking' | 'vo2max' }>,
  fitness: Fitness,
): Asked | null {
  if (intensity.by !== 'heart-rate') return oxygenOfOutput(intensity, fitness);
  const line = heartLine(fitness);
  return line ? { mlPerKgMin: line.mlPerKgMinAt(intensity.highPerMinute), step: line.step } : null;
}
