export {
  addUp,
  byPeriod,
  type Given,
  type LoggedSession,
  type LogPeriod,
  type LogTotals,
  type Period,
} from './add-up';
export { type BlockOutcome, byBlock, type KeptBlock } from './by-block';
export {
  COMPARISON_LIMITS,
  type Comparison,
  type ComparisonWish,
  compareArms,
  comparisonWishSchema,
  conditionsOf,
  drawnWords,
  type ToCompare,
} from './comparison';
export { errorInUnit, typicalError } from './error';
export { mainSeries, trainedLimbs } from './main-series';
export { type Measure, measureSchema } from './measure';
export {
  changesFigures,
  limbsFor,
  MEASURES,
  type MeasureBook,
  type MeasureId,
  measureBook,
  measureIdSchema,
  measureOf,
  takenHere,
} from './measures';
export { painChange } from './provoking-test';
export type { Rate } from './rate';
export {
  type Report,
  type ReportBasis,
  reportSchema,
  reportSections,
  SECTION_TITLES,
  type SectionId,
  sectionIdSchema,
  USUAL_SECTIONS,
} from './report';
export { type FirstAndLast, type Responder, respondersOf } from './responders';
export { counts, isAside, otherSideOf, type Series, seriesOf, type TestedOnce } from './series';
export { heldMmHg, type LineExercise, type SessionLine, sessionLine } from './session-line';
export {
  cellText,
  type Dimension,
  type RateRow,
  rateRows,
  SEEN_LABELS,
  type SeenId,
  type Tally,
  talliesOf,
} from './surveillance';
export { swellingChanges } from './swelling';
export { newestPair, symmetry } from './symmetry';
export { checkTaken, isSameFollowed, measuredWords, type Taken, takenSchema, valueTaken } from './taken';
export { MOMENT_WORDS } from './test-calendar';
export { verdict } from './verdict';
export { chanceWords, changeFigure, differenceWords, verdictWords } from './verdict-words';
