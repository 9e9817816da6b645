import {
  type Fatigue,
  FRESH,
  freshReps,
  recovered,
  recoveryOver,
  roomLeft,
  worked,
} from '../forecast/fatigue-model';
import { type Message, msg } from '../message/message';
import { limbKind } from '../quantity/limb';
import { SIGNS } from '../session/signs';
import { advancePump, commandPump, newPump, type PumpCommand, type PumpState } from '../simulation/pumps';
import { heldMmHg, PLAYED_SIGNS, type PlayedSign, type SessionCase } from './session-case';

/** What one can do in a simulated session. */
export const SESSION_ACTIONS = ['squeeze', 'bleed', 'release', 'begin-set', 'end-set', 'ask'] as const;
export type SessionAction = (typeof SESSION_ACTIONS)[number];
export type TimedAction = { atMs: number; do: SessionAction };

/** A simulated session goes on in steps of this many ms, on the page and when the server scores it. */
export const STEP_MS = 200;
/** One squeeze, and one press of the bleed valve, in mmHg. */
export const BY_MMHG = { squeeze: 5, bleed: 5 };

/** Under this the cuff counts as off. */
const ON_FROM_MMHG = 20;
/** The trainee's form breaks when so little of what a fresh muscle has is left. */
const BREAKS_UNDER = 0.06;
/** A repetition takes so much longer, as a share, when nothing is left. */
const SLOWER_SHARE = 0.8;
/** A trainee who is not asked says it after this long. */
const TELLS_AFTER_MS = 12_000;
/** Within this of the pressure to hold nothing is wrong. */
const HELD_WITHIN_MMHG = 10;

/** A pump by hand listens to no pulse and has no error of its own. */
const NOTHING = () => 0;

type DoneSet = { reps: number; brokenReps: number; room: number; restBeforeMs: number | null };

/** a simulated session as it is. Times in ms of the session's own clock. */
export type SessionRun = {
  atMs: number;
  pump: PumpState;
  fatigue: Fatigue;
  set: { reps: number; through: number; brokenReps: number; restBeforeMs: number | null } | null;
  restedMs: number;
  done: DoneSet[];
  cuffMs: number;
  longestCuffMs: number;
  highestMmHg: number;
  offTargetMs: number;
  /** Since when each sign is there, and when it was asked for. */
  signs: { id: PlayedSign; sinceMs: number; known: boolean }[];
  /** How long the cuff stayed on with a sign that ends a session, and repetitions done meanwhile. */
  underStopSignMs: number;
  released: { atMs: number; withStopSign: boolean }[];
};

export const newSessionRun: SessionRun = {
  atMs: 0,
  pump: newPump('by-hand'),
  fatigue: FRESH,
  set: null,
  restedMs: 0,
  done: [],
  cuffMs: 0,
  longestCuffMs: 0,
  highestMmHg: 0,
  offTargetMs: 0,
  signs: [],
  underStopSignMs: 0,
  released: [],
};

export const cuffOn = ({ pump }: SessionRun): boolean => pump.pressureMmHg >= ON_FROM_MMHG;
const ends = ({ id }: { id: PlayedSign }): boolean => SIGNS[id].level !== 'expected';

/** The run after an action; one that makes no sense now changes nothing. */
export function doInSession(run: SessionRun, action: SessionAction): SessionRun {
  const pumped = (command: PumpCommand): SessionRun => ({ ...run, pump: commandPump(run.pump, command) });
  switch (action) {
    case 'squeeze':
      return pumped({ do: 'squeeze', byMmHg: BY_MMHG.squeeze });
    case 'bleed':
      return pumped({ do: 'bleed', byMmHg: BY_MMHG.bleed });
    case 'release': {
      const letDown = { atMs: run.atMs, withStopSign: run.signs.some(ends) };
      const open = endSet(pumped({ do: 'release' }));
      return cuffOn(run) ? { ...open, released: [...open.released, letDown] } : open;
    }
    case 'begin-set':
      return run.set
        ? run
        : {
            ...run,
            set: {
              reps: 0,
              through: 0,
              brokenReps: 0,
              restBeforeMs: run.done.length > 0 ? run.restedMs : null,
            },
          };
    case 'end-set':
      return endSet(run);
    case 'ask':
      return { ...run, signs: run.signs.map((sign) => ({ ...sign, known: true })) };
  }
}

function endSet(run: SessionRun): SessionRun {
  if (!run.set) return run;
  const { reps, brokenReps, restBeforeMs } = run.set;
  const done = { reps, brokenReps, room: roomLeft(run.fatigue), restBeforeMs };
  return { ...run, set: null, restedMs: 0, done: [...run.done, done] };
}

/** The run one step of `STEP_MS` later. */
export function stepSession(session: SessionCase, run: SessionRun): SessionRun {
  const atMs = run.atMs + STEP_MS;
  const pump = advancePump(run.pump, STEP_MS, NOTHING, NOTHING);
  const on = cuffOn({ ...run, pump });
  const cuffMs = on ? run.cuffMs + STEP_MS : 0;
  const signs = [
    ...run.signs.map((sign) => ({ ...sign, known: sign.known || atMs - sign.sinceMs >= TELLS_AFTER_MS })),
    ...session.signs
      .filter(({ id, fromMs }) => on && cuffMs >= fromMs && !run.signs.some((sign) => sign.id === id))
      .map(({ id }) => ({ id, sinceMs: atMs, known: PLAYED_SIGNS[id].by === 'seen' })),
  ];
  const off = run.set && Math.abs(pump.pressureMmHg - heldMmHg(session)) > HELD_WITHIN_MMHG;
  const next: SessionRun = {
    ...run,
    atMs,
    pump,
    signs,
    cuffMs,
    longestCuffMs: Math.max(run.longestCuffMs, cuffMs),
    highestMmHg: Math.max(run.highestMmHg, pump.pressureMmHg),
    offTargetMs: run.offTargetMs + (off ? STEP_MS : 0),
    underStopSignMs: run.underStopSignMs + (on && signs.some(ends) ? STEP_MS : 0),
    restedMs: run.restedMs + STEP_MS,
  };
  return next.set ? lift(session, next, next.set) : rest(session, next);
}

function rest({ trainee, occlusionMmHg }: SessionCase, run: SessionRun): SessionRun {
  const over = recoveryOver([{ ms: STEP_MS, share: Math.min(1, run.pump.pressureMmHg / occlusionMmHg) }]);
  return { ...run, fatigue: recovered(run.fatigue, over, trainee.recovery) };
}

/** A step of a set: the tired lift slowly, then badly, and at last not at all. */
function lift(session: SessionCase, run: SessionRun, set: NonNullable<SessionRun['set']>): SessionRun {
  const room = roomLeft(run.fatigue);
  if (room === 0) return { ...run, set: { ...set, through: Math.min(0.5, set.through + STEP_MS / 4_000) } };
  const repMs = session.repMs * (1 + SLOWER_SHARE * (1 - room) ** 2);
  const through = set.through + STEP_MS / repMs;
  if (through < 1) return { ...run, set: { ...set, through } };
  const share = Math.min(1, run.pump.pressureMmHg / session.occlusionMmHg);
  const fresh = freshReps(session.loadShare, share, session.repMs) * session.trainee.endurance;
  const fatigue = worked(run.fatigue, 1 / fresh);
  const brokenReps = set.brokenReps + (roomLeft(fatigue) < BREAKS_UNDER ? 1 : 0);
  return {
    ...run,
    fatigue,
    pump: commandPump(run.pump, { do: 'contract' }),
    set: { ...set, through: through - 1, reps: set.reps + 1, brokenReps },
  };
}

/** What the operator can see and has heard, in words. */
export function whatIsKnown(session: SessionCase, run: SessionRun): Message[] {
  const room = roomLeft(run.fatigue);
  const effort = !run.set
    ? []
    : room === 0
      ? [msg('The load does not move any more.')]
      : room < BREAKS_UNDER
        ? [msg('The form breaks: the trunk swings along.')]
        : room < 0.3
          ? [msg('The repetitions grow slow.')]
          : [];
  const kind = limbKind(session.limb);
  return [...effort, ...run.signs.filter(({ known }) => known).map(({ id }) => PLAYED_SIGNS[id].words[kind])];
}

/** Plays a whole session again from what was done, as the server does before it scores it. */
export function playSession(
  session: SessionCase,
  actions: readonly TimedAction[],
  endMs: number,
): SessionRun {
  let run = newSessionRun;
  let place = 0;
  for (;;) {
    for (let action = actions[place]; action && action.atMs <= run.atMs; action = actions[place]) {
      run = doInSession(run, action.do);
      place += 1;
    }
    if (run.atMs >= endMs) return run;
    run = stepSession(session, run);
  }
}
