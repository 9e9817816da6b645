export { type Attention, attentionOf, compareAttention } from './attention';
export { BLOOD_PRESSURE_MOMENTS, bloodPressureDue } from './blood-pressure';
export { type ClockSample, clockOffsetMs } from './clock-offset';
export { limbClocks, repsNow, restLeftMs } from './clocks';
export { NO_PRACTICE } from './decide/decide';
export type { Decision, House, Intent } from './decide/intent';
export {
  EFFORT_IN,
  EFFORT_SCALES,
  type EffortIn,
  type EffortScale,
  effortWords,
  likelyWords,
} from './effort';
export {
  amountDone,
  checkEntered,
  type EnteredSession,
  enteredEvents,
  enteredSessionSchema,
  readAsPlanned,
} from './entered';
export {
  EVENTS,
  type EventBody,
  type FollowUp,
  followUpSchema,
  type Offer,
  type SessionEvent,
  type SessionEventType,
  sessionEventSchema,
  urgentSignSchema,
} from './events';
export { STOPPED_BY_KEY } from './events/stopped';
export {
  beatsPerMinuteSchema,
  MOST_LOAD_KG,
  pressureMmHgSchema,
  type ReviewAnswer,
  reviewChangeSchema,
} from './events/values';
export { fold, undoable } from './fold';
export { freeLane } from './free-lane';
export { whyNotFromHome } from './from-home';
export { type HeartRateFile, type HeartRateSample, lay, type Placement, placements } from './heart-rate';
export { type HeartRateMoment, minuteInHand, momentWords } from './heart-rate-moment';
export type { HeartRateTrace } from './heart-rate-trace';
export {
  type CuffedInHand,
  type InHand,
  inHand,
  isCuffedInHand,
  type LimbInHand,
  loadInHand,
  restInHand,
} from './in-hand';
export { liveTimeline } from './live-timeline';
export { type Log, mergeLogs } from './log';
export { type NextStep, nextStep } from './next-step';
export { noHarderWords } from './no-harder';
export { offerAfterSet } from './offer';
export { nextPlace, type SetPlace } from './places';
export { type RunsOut, runsOut } from './runs-out';
export { type SessionRuntime, sessionRuntime } from './runtime';
export {
  BY_HAND,
  type KnownSession,
  NO_PULSES,
  type Ports,
} from './runtime/ports';
export { readSessionFile, writeSessionFile } from './session-file';
export { sessionLoad } from './session-load';
export { settlingWords } from './settling';
export { isEmergency, SIGNS, type SignId, signIdSchema } from './signs';
export { sittingDue } from './sitting-due';
export { stamped, stampedLog } from './stamp';
export { correctedReps, findSet, inflatedLimbs, openSet, type SessionState, type SetRecord } from './state';
export { canTakeBackStop, TAKE_BACK_MS } from './take-back';
export { tooHardWords } from './too-hard';
export type { Totals } from './totals';
export { presentName } from './versions/present-name';
