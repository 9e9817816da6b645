export { applyFix } from './apply-fix';
export { type AtPlace, atPlace, basisAt } from './at-place';
export { type Basis, isPostOperativeWork } from './basis';
export { calledIn } from './called';
export { withoutLop } from './check-limb';
export {
  atShare,
  type ExerciseChoice,
  type LimbChoice,
  type LoadChoice,
  type MeasuredChoice,
  measuredChoices,
  type SessionChoice,
  type SetChoice,
  sessionChoiceSchema,
  setsOf,
  withArbitraryMmHg,
  withPercentLop,
} from './choices';
export { choicesOf } from './choices-of';
export { compareSchools, type SchoolRow, underSchool } from './compare-schools';
export { compile } from './compile';
export { type Composed, composeSession, UnknownChoice } from './compose';
export { composeCourse } from './compose-course';
export { cuffSteps, cuffStepWords } from './cuff-steps';
export { deriveFor } from './derive-for';
export { type Dose, doseOf } from './dose';
export { ALTERNATIVES } from './draft/alternatives';
export { draftSession } from './draft/draft-session';
export type { Judged } from './draft/judged';
export { liftsBefore } from './draft/likeness';
export type { AlternativeId, Draft, DraftWish, Lead } from './draft/wish';
export { bestKit } from './draft/work';
export { choiceFor, draftLimb } from './draft-limb';
export { FIGURE_KINDS, type FigureId, type FigureKind, figureWords, MOST_A_WEEK } from './figure-ids';
export { figureValue } from './figures';
export { GOALS, type GoalId, goalIdSchema, RUNG_LABELS, RUNG_NAMES } from './goals';
export { shortOf } from './kit-in-use';
export { pastBounds } from './last-gate';
export { lighterWords } from './lighter';
export { LIGHTER_WAYS, type Lighter, lighterSchema, WHY_LIGHTER } from './lighter-schema';
export { mirror, mirrorName } from './mirror';
export { isRise, type Move, moveWords } from './move';
export {
  byWords,
  type Deload,
  type Movement,
  movementOf,
  stepWords,
} from './movement';
export { movementsFor, proposedMovements, withMovements } from './movements-for';
export { fenceMs } from './occlusion-clock';
export { offers } from './offers';
export { exerciseWords, type Plan, type PlannedExercise } from './plan';
export { planChanges } from './plan-changes';
export { laneLimitMs, planLimitMs } from './plan-limit';
export { type PlannedLoad, plannedKg } from './planned-load';
export { type PlannedSet, plannedMark, plannedMmHg, plannedWords, staysInflated } from './planned-set';
export { onEveryRung, workOn } from './rungs';
export { plannedAt, setOrder } from './set-order';
export { alternate, keepSupersets } from './superset';
export {
  type CuffedTarget,
  cuffedLimbs,
  isArbitrary,
  isByFeel,
  isCuffed,
  type LimbTarget,
  type MeasuredTarget,
  measuredLimbs,
  primingCycles,
  primingIn,
  targetWords,
  wornLabel,
} from './target';
export { fitTemplate } from './template';
export { whyForClinicians } from './template-limits';
export { type Inflation, type Lane, pressuresHeld, type Timeline, type TimelineSet } from './timeline';
export { isPlan } from './versions/plan-schema';
export { readPlan, readSessionChoice } from './versions/read-plan';
export { cuffUpMinutes, WEEKS, whatToExpect } from './what-to-expect';
