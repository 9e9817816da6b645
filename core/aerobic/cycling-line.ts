import { type Message, mass, msg } from '../message/message';
import { RULES } from '../rules/catalogue';
import type { Fitness } from './fitness';
import { oxygenOfCycling, wattsAt } from './oxygen';

const { cyclingUnloaded } = RULES.PRO.figures.oxygen;

/** Watts over oxygen, both ways, and how that is known. */
export type CyclingLine = {
  wattsAt: (mlPerKgMin: number) => number;
  mlPerKgMinAt: (watts: number) => number;
  label: Message;
};

/**
 * What cycling asks for: by the person's own test, a straight line from unloaded pedals to the watts at its end, else by the equation
 * and the body mass; null where neither is on record.
 */
export function cyclingLine({ vo2max, massKg }: Fitness): CyclingLine | null {
  const peak = vo2max?.reached?.watts;
  if (vo2max && peak !== undefined) {
    const range = vo2max.mlPerKgMin - cyclingUnloaded;
    return {
      wattsAt: (mlPerKgMin) => ((mlPerKgMin - cyclingUnloaded) / range) * peak,
      mlPerKgMinAt: (watts) => cyclingUnloaded + (watts / peak) * range,
      label: msg('Own test, {peak} W at the end', { peak }),
    };
  }
  if (massKg === null) return null;
  return {
    wattsAt: (mlPerKgMin) => wattsAt(mlPerKgMin, massKg),
    mlPerKgMinAt: (watts) => oxygenOfCycling(watts, massKg),
    label: msg('Equation of cycling, {mass}', { mass: mass(massKg) }),
  };
}
