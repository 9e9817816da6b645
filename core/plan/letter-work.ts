import { type Exercise, type Rung, rungHeight } from '../protocol/exercise';
import { crosses } from '../protocol/joint-range';
import type { LimbLimits } from '../screening/clearance';

/** Whether work on a rung is above the highest that the letters allow a limb (rule SCR-2). */
export const isAboveLetter = ({ highestRung }: LimbLimits, rung: Rung): boolean =>
  highestRung !== null && rungHeight(rung) > rungHeight(highestRung);

/**
 * The ranges that the letters keep a limb from, and that an exercise goes through (rule SCR-2).
 * @param rung of the exercise with its load: from *loaded* on it counts as done with one
 */
export const rangesCrossed = (
  { ranges }: LimbLimits,
  id: string,
  exercise: Exercise,
  rung: Rung,
): LimbLimits['ranges'] =>
  ranges.filter((range) => crosses(id, exercise, rungHeight(rung) >= rungHeight('loaded'), range));
