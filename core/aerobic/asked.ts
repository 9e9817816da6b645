import type { Step } from '../derivation/derived';
import { type Message, msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { cyclingLine } from './cycling-line';
import type { Fitness } from './fitness';
import type { Output } from './output';
import { isWalk, oxygenOfPace } from './oxygen';

/** Oxygen that work asks for, and how that is known. */
export type Asked = { mlPerKgMin: number; step: Step };

/** The oxygen that watts or a speed ask for: by the person's own test where there is one, else by the equations; null where neither can say. */
export function oxygenOfOutput(
  { watts, kmPerHour, gradientPercent = 0 }: Output,
  fitness: Fitness,
): Asked | null {
  const said = (label: Message, mlPerKgMin: number): Asked => ({
    mlPerKgMin,
    step: { label, detail: msg('{asked} ml/kg/min', { asked: toDecimals(mlPerKgMin, 1) }) },
  });
  const line = watts === undefined ? null : cyclingLine(fitness);
  if (watts !== undefined && line) return said(line.label, line.mlPerKgMinAt(watts));
  if (kmPerHour !== undefined)
    return said(
      isWalk(kmPerHour) ? msg('Equation of walking') : msg('Equation of running'),
      oxygenOfPace({ kmPerHour, gradientPercent }),
    );
  return null;
}
