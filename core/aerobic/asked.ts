import type { Step } from '../derivation/derived';
import { type Message, mass, msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import type { Fitness } from './fitness';
import type { Output } from './output';
import { isWalk, oxygenOfCycling, oxygenOfPace } from './oxygen';

const { cyclingUnloaded } = RULES.PRO.figures.oxygen;

/** Oxygen that work asks for, and how that is known. */
export type Asked = { mlPerKgMin: number; step: Step };

/** The oxygen that watts or a speed ask for: by the person's own test where there is one, else by the equations; null where neither can say. */
export function oxygenOfOutput(
  { watts, kmPerHour, gradientPercent = 0 }: Output,
  { vo2max, massKg }: Fitness,
): Asked | null {
  const said = (label: Message, mlPerKgMin: number): Asked => ({
    mlPerKgMin,
    step: { label, detail: msg('{asked} ml/kg/min', { asked: toDecimals(mlPerKgMin, 1) }) },
  });
  const peak = vo2max?.reached?.watts;
  if (watts !== undefined && vo2max && peak !== undefined)
    return said(
      msg('Own test, {peak} W at the end', { peak }),
      cyclingUnloaded + (watts / peak) * (vo2max.mlPerKgMin - cyclingUnloaded),
    );
  if (watts !== undefined && massKg !== null)
    return said(msg('Equation of cycling, {mass}', { mass: mass(massKg) }), oxygenOfCycling(watts, massKg));
  if (kmPerHour !== undefined)
    return said(
      isWalk(kmPerHour) ? msg('Equation of walking') : msg('Equation of running'),
      oxygenOfPace({ kmPerHour, gradientPercent }),
    );
  return null;
}
