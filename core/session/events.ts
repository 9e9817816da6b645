import { z } from 'zod';
import { adjunctNoted } from './events/adjunct-noted';
import { alarmIgnored } from './events/alarm-ignored';
import { becameHard } from './events/became-hard';
import { bloodPressureNoted } from './events/blood-pressure-noted';
import { colourChecked } from './events/colour-checked';
import { cuffInflated } from './events/cuff-inflated';
import { cuffReleased } from './events/cuff-released';
import type { STAMP } from './events/define';
import { endTakenBack } from './events/end-taken-back';
import { followedUp } from './events/followed-up';
import { handedOver } from './events/handed-over';
import { heartRateLaid } from './events/heart-rate-laid';
import { heartRateNoted } from './events/heart-rate-noted';
import { loadCorrected } from './events/load-corrected';
import { loosened } from './events/loosened';
import { markMoved } from './events/mark-moved';
import { offerAnswered } from './events/offer-answered';
import { outputNoted } from './events/output-noted';
import { pressureRead } from './events/pressure-read';
import { reFitted } from './events/re-fitted';
import { repsConfirmed } from './events/reps-confirmed';
import { repsCorrected } from './events/reps-corrected';
import { restStarted } from './events/rest-started';
import { reviewAnswered } from './events/review-answered';
import { sessionFinished } from './events/session-finished';
import { sessionRated } from './events/session-rated';
import { sessionStarted } from './events/session-started';
import { setEnded } from './events/set-ended';
import { setNoted } from './events/set-noted';
import { setStarted } from './events/set-started';
import { signNoted } from './events/sign-noted';
import { startCorrected } from './events/start-corrected';
import { stopTakenBack } from './events/stop-taken-back';
import { stopped } from './events/stopped';
import { takenOver } from './events/taken-over';
import { undone } from './events/undone';

export * from './events/values';

/**
 * Everything that can happen in a session: the one list of it. State, clocks, dose, strip and review are folds of these; corrections are
 * events too, so nothing is ever rewritten. Where two events carry the same time, they are in the order of this table: the one in
 * which they make sense of each other.
 */
export const EVENTS = {
  'session-started': sessionStarted,
  'taken-over': takenOver,
  'handed-over': handedOver,
  'cuff-inflated': cuffInflated,
  loosened,
  'mark-moved': markMoved,
  'pressure-read': pressureRead,
  'set-started': setStarted,
  'set-ended': setEnded,
  'end-taken-back': endTakenBack,
  're-fitted': reFitted,
  'rest-started': restStarted,
  'reps-corrected': repsCorrected,
  'reps-confirmed': repsConfirmed,
  'became-hard': becameHard,
  'start-corrected': startCorrected,
  'load-corrected': loadCorrected,
  'set-noted': setNoted,
  'heart-rate-noted': heartRateNoted,
  'heart-rate-laid': heartRateLaid,
  'output-noted': outputNoted,
  'blood-pressure-noted': bloodPressureNoted,
  'adjunct-noted': adjunctNoted,
  'colour-checked': colourChecked,
  'offer-answered': offerAnswered,
  'sign-noted': signNoted,
  'alarm-ignored': alarmIgnored,
  'cuff-released': cuffReleased,
  stopped,
  'stop-taken-back': stopTakenBack,
  'session-finished': sessionFinished,
  'session-rated': sessionRated,
  'review-answered': reviewAnswered,
  'followed-up': followedUp,
  undone,
};

/** An event that stands in the table under another name than its own does not compile. */
type Named<D extends { [T in keyof D]: { type: T } }> = D;
type Definitions = Named<typeof EVENTS>;
export type SessionEventType = keyof Definitions;
export type SessionEvent = { [T in SessionEventType]: z.infer<Definitions[T]['schema']> }[SessionEventType];

type Schemas = { [T in SessionEventType]: Definitions[T]['schema'] }[SessionEventType];
const schemas = Object.values(EVENTS).map(({ schema }) => schema) as [Schemas, ...Schemas[]];
export const sessionEventSchema = z.discriminatedUnion('type', schemas);

type Unstamped<E> = E extends SessionEvent ? Omit<E, keyof typeof STAMP> : never;
/** An event before the client stamps it with id, session, device, sequence and time. */
export type EventBody = Unstamped<SessionEvent>;
