export { type Estimate, estimateOcclusionPressure } from './estimate';
export type { OcclusionFact } from './fact';
export { measuredWith } from './in-force';
export {
  checkMethod,
  METHODS,
  type PulseMethod,
  type PulseSite,
  pulseMethodSchema,
  pulseSiteSchema,
  SITE_LABELS,
} from './methods';
export { checkPlausibility, expectedOcclusionPressureMmHg } from './plausibility';
export { NEVER_APART, NOTHING_SEEN, practiceSpread, type Spread } from './practice-spread';
export { judgeQuickCheck, quickCheckSchema } from './quick-check';
export { roundOf, sideDifferenceWords } from './round';
export {
  dueAtMs,
  type LimbShelfLife,
  SHELF_LIFE_LABELS,
  type ShelfLife,
  shelfLifeSchema,
  USUAL_SHELF_LIFE,
} from './shelf-life';
export {
  bracket,
  checkSteps,
  READING_SCHOOLS,
  type ReadingSchool,
  readingSchoolSchema,
  type Trial,
  trialSchema,
} from './trial';
