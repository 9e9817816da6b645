import type { OutcomesView, RepeatPairs } from '#contract/outcomes';
import { readAdverseEvents } from '../record/adverse-event';
import { readKeptBlocks } from '../record/block';
import { readComparisons } from '../record/comparison';
import { readAllPressures } from '../record/occlusion-pressure';
import { readPairs, readTaken } from '../record/outcome';
import { readAllOneRepMaxes } from '../record/strength-test';
import type { Prepare } from './dialect/connection';

/** All that was measured of a person, and the practice's own repeats of those measures. */
export function readOutcomes(prepare: Prepare, clientId: string): OutcomesView {
  const taken = readTaken(prepare, clientId);
  const measures = [...new Set(taken.map(({ measureId }) => measureId))];
  return {
    taken,
    tested: [...readAllOneRepMaxes(prepare, clientId), ...readAllPressures(prepare, clientId)],
    pairs: Object.fromEntries(measures.map((id) => [id, readPairs(prepare, id)])) satisfies RepeatPairs,
    adverseEvents: readAdverseEvents(prepare, clientId),
    comparisons: readComparisons(prepare, clientId),
    blocks: readKeptBlocks(prepare, clientId),
  };
}
