export { type Agreement, agreementOf } from './agreement';
export { certificateStanding } from './certificate';
export {
  limbUnderTraps,
  makePracticeCase,
  OFF_ZERO_MMHG,
  type PracticeCase,
  type PracticeWish,
  TRAP,
  TRAPS,
  type Trap,
  trapsFor,
} from './practice-case';
export { type Lost, type PracticeScore, scorePractice } from './practice-score';
export { heldMmHg, makeSessionCase, type SessionCase } from './session-case';
export {
  BY_MMHG,
  cuffOn,
  doInSession,
  newSessionRun,
  playSession,
  SESSION_ACTIONS,
  type SessionAction,
  type SessionRun,
  STEP_MS,
  stepSession,
  whatIsKnown,
} from './session-run';
export { type SessionScore, scoreSession } from './session-score';
