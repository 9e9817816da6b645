import { RULES } from '../rules/catalogue';

const { oxygen, mostWalkingKmPerHour } = RULES.PRO.figures;
const { cyclingPerWattPerKg, cyclingUnloaded, atRest } = oxygen;
const METRES_PER_MINUTE = 1_000 / 60;

/** Speed of a belt, or over ground. */
export type Pace = { kmPerHour: number; gradientPercent: number };

/** Oxygen a minute, in ml/kg/min; usual equations of steady work of healthy adults: estimates (chapter 6). */
export const AT_REST = atRest;

/** Cycling. @example oxygenOfCycling(75, 75) //=> 17.8 */
export const oxygenOfCycling = (watts: number, massKg: number): number =>
  (cyclingPerWattPerKg * watts) / massKg + cyclingUnloaded;

/** Watts of a bike that ask for this much oxygen, in ml/kg/min; below 0 where even turning empty pedals asks for more. @example wattsAt(17.8, 75) //=> 75 */
export const wattsAt = (mlPerKgMin: number, massKg: number): number =>
  ((mlPerKgMin - cyclingUnloaded) / cyclingPerWattPerKg) * massKg;

/** Walking, and above 6 km/h running. @example oxygenOfPace({ kmPerHour: 4.8, gradientPercent: 5 }) //=> 18.7 */
export function oxygenOfPace({ kmPerHour, gradientPercent }: Pace): number {
  const { level, climb } = kmPerHour > mostWalkingKmPerHour ? oxygen.running : oxygen.walking;
  return kmPerHour * METRES_PER_MINUTE * (level + (climb * gradientPercent) / 100) + atRest;
}

/** The speed of a walk in km/h on this gradient that asks for this much oxygen; above 6 km/h it is no walk. @example walkingAt(11.5, 0) //=> 4.8 */
export const walkingAt = (mlPerKgMin: number, gradientPercent: number): number =>
  (mlPerKgMin - atRest) /
  (oxygen.walking.level + (oxygen.walking.climb * gradientPercent) / 100) /
  METRES_PER_MINUTE;

/** The gradient in % at which walking so fast asks for this much oxygen; below 0 where the level asks for more. @example gradientAt(18.7, 4.8) //=> 5 */
export function gradientAt(mlPerKgMin: number, kmPerHour: number): number {
  const metresPerMinute = kmPerHour * METRES_PER_MINUTE;
  return (
    ((mlPerKgMin - atRest - oxygen.walking.level * metresPerMinute) /
      (oxygen.walking.climb * metresPerMinute)) *
    100
  );
}

export const isWalk = (kmPerHour: number): boolean => kmPerHour <= mostWalkingKmPerHour;
