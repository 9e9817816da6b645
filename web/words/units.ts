import { cmToIn, inToCm, kgToLb, lbToKg, lengthIn, massIn } from '#core/quantity';
import { usePractice } from '../data/queries';
import { figure } from '../language/translate';
import { plain } from './format';

/** One measure as the practice shows and types it. The core always gets kg and cm. */
export type Measure = {
  unit: string;
  /** "54.5 cm" from the core's figure. */
  words: (value: number) => string;
  /** The core's figure from what was typed in the practice's unit; NaN when it is no number. */
  parse: (typed: string) => number;
  /** The practice's figure from the core's. */
  inUnit: (value: number) => number;
  /** The same, to fill a field with. */
  show: (value: number) => string;
};

const measure = (
  unit: string,
  to: (value: number) => number,
  from: (value: number) => number,
  shown: (value: number) => number,
): Measure => ({
  unit,
  words: (value) => `${figure(shown(value))} ${unit}`,
  inUnit: to,
  parse: (typed) => (typed.trim() === '' ? Number.NaN : from(Number(typed.replace(',', '.')))),
  show: (value) => plain(to(value), 2),
});
const same = (value: number) => value;

/** Every unit a practice can choose. */
export const UNITS = {
  mass: {
    kg: measure('kg', same, same, (kg) => massIn(kg, 'kg')),
    lb: measure('lb', kgToLb, lbToKg, (kg) => massIn(kg, 'lb')),
  },
  length: {
    cm: measure('cm', same, same, (cm) => lengthIn(cm, 'cm')),
    in: measure('in', cmToIn, inToCm, (cm) => lengthIn(cm, 'in')),
  },
};

/** The units this practice works in. */
export function useUnits(): { mass: Measure; length: Measure } {
  const settings = usePractice().data?.settings;
  return {
    mass: UNITS.mass[settings?.massUnit ?? 'kg'],
    length: UNITS.length[settings?.lengthUnit ?? 'cm'],
  };
}
