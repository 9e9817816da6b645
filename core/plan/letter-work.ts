import { type Exercise, type Rung, rungHeight } from '../protocol/exercise';
import { crosses } from '../protocol/joint-range';
import type { LimbLimits } from '../screening/clearance';

/** The highest rung that the letters allow a limb, where work on another is above it; else null (rule SCR-2). */
export const rungPassed = ({ highestRung }: LimbLimits, rung: Rung): Rung | null =>
  highestRung !== null && rungHeight(rung) > rungHeight(highestRung) ? highestRung : null;

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
