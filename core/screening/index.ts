export { ANSWERS } from './answers';
export {
  type BloodPressure,
  bloodPressureSchema,
  bloodPressureWords,
  meanBloodPressure,
} from './blood-pressure';
export {
  type Clearance,
  type ClearanceSubject,
  capOn,
  clearanceSchema,
  clearanceSubjectSchema,
  type FoundSubject,
  hasLimits,
  isInForce,
  type Limits,
} from './clearance';
export {
  type Condition,
  type ConditionDetail,
  conditionDetailSchema,
  conditionsOfScreening,
  isCurrent,
  type NewCondition,
  subjectOf,
  together,
} from './condition';
export {
  CONSENT_VERSION,
  type Consent,
  type ConsentGiven,
  checkConsent,
  consentEndsMs,
  consentSchema,
} from './consent';
export { CONSENT_TEXTS } from './consent-texts';
export {
  DAY_CHECK_HOLDS_MS,
  DAY_SIGNS,
  type DayCheck,
  type DayCheckAnswers,
  type DaySign,
  dayCheckSchema,
  daySignSchema,
  judgeDayCheck,
} from './day-check';
export { DECISION_WORDS, type Judgement, judgeScreening, keepsBack, type Reason } from './decide';
export { type BundleRead, NotABundle, type Proposal, readBundle } from './from-bundle';
export { type ItemId, itemIdSchema, levelOf, SCREEN_ITEMS, type Stricter, stricterSchema } from './items';
export { LOINC, LOINC_CODES, type LoincId } from './loinc';
export { type PressorReadings, pressorReadingsSchema, pressorResponse } from './pressor';
export {
  changesSince,
  ITEM_IDS,
  type ItemPlace,
  itemPlaceSchema,
  type Procedure,
  procedureSchema,
  SCREEN_VERSION,
  type Screening,
  screeningAnswersSchema,
  withoutPlace,
} from './screening';
