import { type Message, mass, msg } from '../../message/message';
import { plannedKg } from '../../plan/planned-load';
import { repsByPace } from '../../protocol/pace';
import { bloodPressureWords } from '../../screening/blood-pressure';
import { isTooHigh } from '../../screening/pressure-in-work';
import type { EventBody } from '../events';
import { momentsIn, wattsIn } from '../heart-rate';
import { offerAfterSet } from '../offer';
import { lastSet, type SetPlace } from '../places';
import { SIGNS } from '../signs';
import { inflatedLimbs, openSet, type SessionState } from '../state';
import { canTakeBackStop, TAKE_BACK_MS } from '../take-back';
import { type Decision, decided, type Intent, refuse, type Situation } from './intent';
import { loosen } from './pressure';
import { endSet } from './sets';

type Of<D extends Intent['do']> = Extract<Intent, { do: D }>;

/** The set that is meant: the one named, else the one under way or the last. */
function placeOf(state: SessionState, place: SetPlace | undefined): SetPlace | null {
  if (place) return place;
  const set = lastSet(state);
  return set ? { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex } : null;
}

const NO_SET = msg('No set has begun yet.');

/** An adjunct that was done; of a girth for swelling it must be said what it is, and where the tape lay. */
export function noteAdjunct(_: Situation, { do: _do, ...note }: Of<'note-adjunct'>): Decision {
  if (note.what === 'swelling' && note.girthCm === undefined) return refuse(msg('Enter the girth.'));
  if (note.what === 'swelling' && note.words === '')
    return refuse(msg('Say where the tape lay, so that it is taken there again.'));
  if (note.what === 'provoking-test' && note.painOfTen === undefined)
    return refuse(msg('Enter the pain on the test, 0 to 10.'));
  return decided([{ type: 'adjunct-noted', ...note }]);
}

/** Stops the session: cuffs on a regulated pump come down at once, for the others the release is asked until it is done (rule RUN-3). */
export function stop(now: Situation, { why }: Of<'stop'>): Decision {
  if (now.state.stopped) return refuse(msg('It is stopped already.'));
  const { pumped } = now.hands;
  const up = inflatedLimbs(now.state).filter(({ limb }) => pumped.includes(limb));
  return decided(
    [...endSet(now, 'operator'), { type: 'stopped', why }],
    up.map(({ limb }) => ({ do: 'deflate', limb })),
  );
}

/** A stop that was a touch in error, within 10 s; the cuffs stay down, or come down first. */
export function takeBackStop({ state, nowMs }: Situation): Decision {
  if (!state.stopped) return refuse(msg('It is not stopped.'));
  if (canTakeBackStop(state, nowMs)) return decided([{ type: 'stop-taken-back' }]);
  return refuse(
    msg('Only a stop by the operator, and only within {takeBack} s, can be taken back.', {
      takeBack: TAKE_BACK_MS / 1000,
    }),
  );
}

/** What is noted, and the stop that comes of it. */
const notedAndStopped = (now: Situation, noted: EventBody, why: Message): Decision => {
  const { events, effects } = stop(now, { do: 'stop', why });
  return decided([noted, ...events], effects);
};

/** Notes a sign, in the limbs named or else those under a cuff; a stop sign stops the session at once (rule RUN-3). */
export function noteSign(now: Situation, { sign, limbs, note }: Of<'note-sign'>): Decision {
  const worn = limbs ?? inflatedLimbs(now.state).map(({ limb }) => limb);
  const noted = {
    type: 'sign-noted',
    sign,
    ...(worn.length > 0 ? { limbs: [...worn] } : {}),
    ...(note ? { note } : {}),
  } as const;
  if (SIGNS[sign].level === 'expected' || now.state.stopped || now.state.finishedAtMs !== null) {
    return decided([noted]);
  }
  return notedAndStopped(now, noted, SIGNS[sign].label);
}

export function checkColour({ state }: Situation, { good, place }: Of<'check-colour'>): Decision {
  const at = placeOf(state, place);
  if (!at || openSet(state)) return refuse(msg('Colour and feeling are looked at after a set.'));
  return decided([{ type: 'colour-checked', ...at, good }]);
}

/** Effort, joint pain, why it ended: of the set under way too, so that a key pressed early is not lost (rule RUN-2). */
export function noteSet(
  { state }: Situation,
  { place, effort, jointPain, reason }: Of<'note-set'>,
): Decision {
  const at = placeOf(state, place);
  if (!at) return refuse(NO_SET);
  return decided([
    {
      type: 'set-noted',
      ...at,
      ...(effort === undefined ? {} : { effort }),
      ...(jointPain === undefined ? {} : { jointPain }),
      ...(reason === undefined ? {} : { reason }),
    },
  ]);
}

/** It became hard now: at the repetition the pace is at, or the one that is named (rules RUN-2, REV-3). */
export function becameHard({ plan, state, nowMs }: Situation, { place, rep }: Of<'became-hard'>): Decision {
  const at = placeOf(state, place);
  if (!at) return refuse(NO_SET);
  if (rep !== undefined) return decided([{ type: 'became-hard', ...at, rep }]);
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (!exercise || set.plannedReps === null) return refuse(msg('Name the repetition: no set is under way.'));
  const now = repsByPace(nowMs - set.startedAtMs, exercise.tempo, set.plannedReps);
  return decided([{ type: 'became-hard', ...at, rep: now }]);
}

export function correctReps({ state }: Situation, { byReps, place }: Of<'correct-reps'>): Decision {
  const at = placeOf(state, place);
  return at ? decided([{ type: 'reps-corrected', ...at, byReps }]) : refuse(NO_SET);
}

export function confirmReps({ state }: Situation, { place }: Of<'confirm-reps'>): Decision {
  const at = placeOf(state, place);
  return at ? decided([{ type: 'reps-confirmed', ...at }]) : refuse(NO_SET);
}

export function correctStart({ state }: Situation, { byMs, place }: Of<'correct-start'>): Decision {
  const at = placeOf(state, place);
  return at ? decided([{ type: 'start-corrected', ...at, byMs }]) : refuse(NO_SET);
}

/** Another load than planned, never above the signed one: a heavier one is signed first (rule RUN-7). */
export function correctLoad({ plan, state }: Situation, { loadKg, place }: Of<'correct-load'>): Decision {
  const at = placeOf(state, place);
  const exercise = at && plan.exercises[at.exerciseIndex];
  if (!at || !exercise) return refuse(NO_SET);
  const signedKg = plannedKg(exercise.load);
  if (signedKg === null) return refuse(msg('This exercise has no kilograms.'));
  if (loadKg < 0) return refuse(msg('A load is 0 kg or more.'));
  if (loadKg > signedKg)
    return refuse(
      msg('{signedKg} was signed: a heavier load is signed first, and never corrected to (RUN-7).', {
        signedKg: mass(signedKg),
      }),
    );
  return decided([{ type: 'load-corrected', ...at, loadKg }]);
}

export function noteHeartRate(
  { state }: Situation,
  { moment, beatsPerMinute, place }: Of<'note-heart-rate'>,
): Decision {
  const at = placeOf(state, place);
  return at ? decided([{ type: 'heart-rate-noted', ...at, moment, beatsPerMinute }]) : refuse(NO_SET);
}

/** What the machine shows, of work that has one; the figures of another are refused with words. */
export function noteOutput({ plan, state }: Situation, { output, place }: Of<'note-output'>): Decision {
  const at = placeOf(state, place);
  if (!at) return refuse(NO_SET);
  if (plan.exercises[at.exerciseIndex]?.mode !== 'aerobic')
    return refuse(msg('Watts and speed are noted of aerobic work.'));
  return decided([{ type: 'output-noted', ...at, output }]);
}

/** Heart rate of the whole session from a file, with what minute five and the end ask for, and the watts of aerobic work (rule RUN-5). */
export function layHeartRate({ plan, state }: Situation, { trace }: Of<'lay-heart-rate'>): Decision {
  return decided([
    { type: 'heart-rate-laid', ...trace },
    ...momentsIn(trace, state.sets).map((moment) => ({ type: 'heart-rate-noted' as const, ...moment })),
    ...wattsIn(trace, state.sets)
      .filter(({ exerciseIndex }) => plan.exercises[exerciseIndex]?.mode === 'aerobic')
      .map(({ watts, ...at }) => ({ type: 'output-noted' as const, ...at, output: { watts } })),
  ]);
}

/** A blood pressure around the work; one that is too high ends it at once (rule RUN-8). */
export function noteBloodPressure(now: Situation, { moment, reading }: Of<'note-blood-pressure'>): Decision {
  const noted = { type: 'blood-pressure-noted', moment, reading } as const;
  const { stopped, finishedAtMs } = now.state;
  if (!isTooHigh(reading, now.house.stopAbove) || stopped || finishedAtMs !== null) return decided([noted]);
  const why = msg('Blood pressure {bloodPressure}', { bloodPressure: bloodPressureWords(reading) });
  return notedAndStopped(now, noted, why);
}

/** The change that is offered, taken or left; a loosening is done at once, or waits for the next inflation. */
export function answerOffer(now: Situation, { accepted }: Of<'answer-offer'>): Decision {
  const offered = offerAfterSet(now.plan, now.state, now.house.weightKits);
  if (!offered) return refuse(msg('Nothing is offered.'));
  const { exerciseIndex, setIndex, offer, reason } = offered;
  const answered = { type: 'offer-answered', exerciseIndex, setIndex, offer, accepted, reason } as const;
  if (!accepted || (offer.kind !== 'loosen' && offer.kind !== 'loosen-mark')) return decided([answered]);
  const looser = loosen(now, { do: 'loosen', ...(offer.kind === 'loosen' ? { byMmHg: offer.byMmHg } : {}) });
  return decided([answered, ...looser.events], looser.effects);
}
