import { msg } from '../../message/message';
import type { Plan } from '../../plan/plan';
import { RULES } from '../../rules/catalogue';
import type { SessionState } from '../state';
import {
  type Decision,
  decided,
  type Hands,
  type House,
  type Intent,
  refuse,
  type Situation,
} from './intent';
import {
  answerOffer,
  becameHard,
  checkColour,
  confirmReps,
  correctLoad,
  correctReps,
  correctStart,
  layHeartRate,
  noteAdjunct,
  noteBloodPressure,
  noteHeartRate,
  noteOutput,
  noteSet,
  noteSign,
  stop,
  takeBackStop,
} from './notes';
import { loosen, raise, readGauge, release, topUp } from './pressure';
import { pumpReports } from './pump';
import { next, reFit, takeBackEnd } from './sets';

const BY_HAND: Hands = { pumped: [] };

/** Where no practice is known, as on a phone at home: the rule's own limit, and no weight to change to. */
export const NO_PRACTICE: House = { stopAbove: RULES['RUN-8'].figures.stopAbove, weightKits: [] };

/** What each intention comes to. */
const DECIDERS: {
  [D in Intent['do']]: (now: Situation, intent: Extract<Intent, { do: D }>) => Decision;
} = {
  next,
  'top-up': topUp,
  loosen,
  raise,
  read: readGauge,
  'pump-reports': pumpReports,
  release,
  're-fit': reFit,
  'take-back-end': takeBackEnd,
  stop,
  'take-back-stop': takeBackStop,
  'note-sign': noteSign,
  'check-colour': checkColour,
  'note-set': noteSet,
  'became-hard': becameHard,
  'correct-reps': correctReps,
  'confirm-reps': confirmReps,
  'correct-start': correctStart,
  'correct-load': correctLoad,
  'note-heart-rate': noteHeartRate,
  'lay-heart-rate': layHeartRate,
  'note-output': noteOutput,
  'note-blood-pressure': noteBloodPressure,
  'note-adjunct': noteAdjunct,
  'rate-session': (_, { effort }) => decided([{ type: 'session-rated', effort }]),
  'answer-offer': answerOffer,
  undo: (_, { eventId }) => decided([{ type: 'undone', eventId }]),
  'take-over': (_, { runner, practitionerId }) =>
    decided([{ type: 'taken-over', runner, ...(practitionerId === null ? {} : { practitionerId }) }]),
  'hand-over': (_, { to }) => decided([{ type: 'handed-over', to }]),
  'answer-review': (_, { do: _do, ...answer }) => decided([{ type: 'review-answered', ...answer }]),
  'follow-up': (_, { do: _do, ...answer }) => decided([{ type: 'followed-up', ...answer }]),
};

/** What may still be done with a session that is finished: corrections, notes, and letting a forgotten cuff down. */
const AFTER_FINISH: readonly Intent['do'][] = [
  'next',
  'release',
  'read',
  'pump-reports',
  'note-sign',
  'check-colour',
  'note-set',
  'became-hard',
  'correct-reps',
  'confirm-reps',
  'correct-start',
  'correct-load',
  'note-heart-rate',
  'lay-heart-rate',
  'note-output',
  'note-blood-pressure',
  'note-adjunct',
  'rate-session',
  'undo',
  'answer-review',
  'follow-up',
];

/**
 * The only place where an intention becomes something that happens (architecture, idea 2): bench, floor, dock, offers,
 * palette, keys and pumps are callers of it.
 * @param nowMs by the server's clock
 * @returns events for the log and effects for the pumps, or why nothing comes of it
 */
export function decide(
  plan: Plan,
  state: SessionState,
  intent: Intent,
  nowMs: number,
  hands: Hands = BY_HAND,
  house: House = NO_PRACTICE,
): Decision {
  if (state.finishedAtMs !== null && !AFTER_FINISH.includes(intent.do)) {
    return refuse(msg('The session is finished: it takes corrections only.'));
  }
  const decider = DECIDERS[intent.do] as (now: Situation, intent: Intent) => Decision;
  return decider({ plan, state, nowMs, hands, house }, intent);
}
