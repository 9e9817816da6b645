import type { DisplayUnits } from '#core/quantity';
import type { PracticeSettings } from './practice';

/** How the practice writes: its units, and the order of its dates. */
export type Writing = { units: DisplayUnits; dateOrder: PracticeSettings['dateOrder'] };

export const writingOf = ({
  massUnit,
  lengthUnit,
  dateOrder,
}: Pick<PracticeSettings, 'massUnit' | 'lengthUnit' | 'dateOrder'>): Writing => ({
  units: { mass: massUnit, length: lengthUnit },
  dateOrder,
});
