export { ageWords, agoWords } from './age-words';
export { basisOf } from './basis';
export { mayTakeBack, whatReviewAsks } from './binding-review';
export { blockEnd, endedBlock, type NextBlock } from './block-end';
export {
  type BlockStanding,
  blockAsItStands,
  blockDues,
  blockPlansOf,
  sessionsByDay,
} from './block-in-force';
export { chainOf, linksThatHold } from './chain/chain';
export { limbInHand } from './chain/uses';
export { chooseWork, type Reason, WORK_LABELS, type WorkOption } from './choose-work';
export { comparisonInForce, comparisonWords } from './comparison-in-force';
export { type CourseDay, courseDays } from './course-days';
export {
  courseRecordOf,
  draftOfToday,
  planAsItIs,
  recordOfDraft,
  waitsToBeSeen,
} from './course-in-force';
export { courseInReport } from './course-in-report';
export { reviewOfCourse } from './course-review';
export { type CourseBar, type CourseStrip, courseStrip } from './course-strip';
export { dailyExposures } from './daily-exposure';
export { sessionToAskAbout } from './day-after';
export {
  type BlockFact,
  type ClientFacts,
  type ComparisonFact,
  exerciseLabel,
  FITNESS_MEASURES,
  type FitnessFact,
  type FollowedFact,
  type PrescriptionFact,
  SESSIONS_COUNT_MS,
  type SessionFact,
  VERSIONS_COUNT_MS,
} from './facts';
export { fitnessInForce } from './fitness-in-force';
export { type GroupOpening, groupOpening, WELL_TODAY } from './group-opening';
export { healthInReport } from './health-in-report';
export { type HeavyShare, heavyShare } from './heavy-share';
export {
  type Hold,
  type HoldEnd,
  holdsOfBloodPressure,
  holdsOfDayAfter,
  holdsOfDayCheck,
  holdsOfScreening,
  holdsOfSign,
  isEmergencyAfter,
  type NewHold,
  URGENT_SIGNS,
  whyNotLift,
} from './holds';
export {
  answeredInForce,
  cuffInForce,
  dayCheckInForce,
  daySignsAsked,
  holdsInForce,
  isAgeItem,
  isMinor,
  isOperated,
  limitsInForce,
  needsBloodPressure,
  operatedOn,
  proceduresInForce,
  restingPressureInForce,
  shelfLifeInForce,
  watchesBloodPressure,
  whyDue,
} from './in-force';
export {
  adviseRung,
  type CriteriaOnRecord,
  checkRungEntry,
  criteriaOnRecord,
  daysSinceProcedure,
  type RungAdvice,
  rungInForce,
} from './ladder-in-force';
export { type LastReview, lastReview, sessionsToReview } from './last-review';
export { limitWords } from './limit-words';
export { LINK_IDS, LINK_LABELS, type Link, type LinkId, type LinkState } from './link';
export { measuredStamp } from './measured-stamp';
export { loadByHour, type PersonsWeek, personsWeek } from './needs';
export { guardsThatStand, onTheirRungs, rungMoved } from './on-their-rungs';
export { type PainOnRecord, painOnRecord } from './pain-on-record';
export type { PastSession } from './past-session';
export { namedAsTheyAre } from './plan-names';
export { nextPlan, type PlanInForce, plansInForce, versionInForce, whyNotInForce } from './plans-in-force';
export {
  boundsOfPlan,
  hasPressure,
  onMeasurements,
  planOfDay,
  type Recheck,
  recheck,
  type TodaysWish,
} from './recheck';
export { keptUntil } from './retention';
export { reviewSession } from './session-review';
export { isNewcomer } from './sessions-done';
export { BY_NEED, type Standing, standingOf } from './standing';
export { dueWords, measuresDue, testsDueLine } from './tests-due';
export { type TissueLine, whyOff } from './tissue-account';
export { type ToMeasure, toMeasure } from './to-measure';
export { weekOff } from './week-off';
