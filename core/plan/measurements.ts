import type { OcclusionFact, StrengthFact } from '../chain/facts';
import type { Measurements } from './compose';

/** What a plan is composed from, out of a measured pressure and a strength test on record. */
export const measurementsOf = (
  occlusion: OcclusionFact,
  test: StrengthFact,
  rest: Pick<Measurements, 'cuff' | 'weightKit' | 'massUnit' | 'limits'>,
): Measurements => ({
  occlusion: occlusion.pressure,
  uncertaintyMmHg: occlusion.uncertaintyMmHg,
  steady: occlusion.steady,
  measuredPosition: occlusion.position,
  gaugeDivisionMmHg: occlusion.divisionMmHg,
  oneRepMax: test.oneRepMax,
  testedSide: test.side,
  ...rest,
});
