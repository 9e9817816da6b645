import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { attackRuns } from '../../../tests/attack-runs';
import { msg } from '../../message/message';
import { composeSession } from '../../plan/compose';
import type { Plan } from '../../plan/plan';
import { testExercise, testPlan } from '../../plan/plan.fixture';
import { plannedKg } from '../../plan/planned-load';
import type { Limb } from '../../quantity/limb';
import type { SessionEvent } from '../events';
import { STOPPED_BY_KEY } from '../events/stopped';
import { fold } from '../fold';
import { inHand } from '../in-hand';
import { mergeLogs } from '../log';
import { nextStep } from '../next-step';
import { inflatedLimbs, openInflation, openSet, type SessionState } from '../state';
import { decide } from './decide';
import type { Decision, Effect, Hands, House, Intent } from './intent';
import { dueEvents } from './owed';
import { anyIntent, anyPlan, stampAll, strappedPlan, wideBasis } from './wide.fixture';

const START_MS = 1_800_000_000_000;
const HOUSE: House = {
  stopAbove: { systolicMmHg: 200, diastolicMmHg: 100 },
  weightKits: wideBasis.weightKits,
};

type Drive = { log: SessionEvent[]; effects: { effect: Effect; exerciseIndex: number }[]; nowMs: number };

/** A session as operators and pumps drive it: after some seconds each, the newest log is decided on. */
function drive(
  plan: Plan,
  steps: readonly { intent: Intent; waitMs: number; device?: string; skewMs?: number }[],
  hands: Hands = { pumped: [] },
): Drive {
  const seqs = new Map<string, number>();
  const made: Drive = { log: [], effects: [], nowMs: START_MS };
  const append = (bodies: Decision['events'], device: string, atMs: number) => {
    const seq = seqs.get(device) ?? 0;
    made.log.push(...stampAll(bodies, device, seq, atMs));
    seqs.set(device, seq + bodies.length);
  };
  append([{ type: 'session-started' }], 'tablet', START_MS);
  for (const { intent, waitMs, device = 'tablet', skewMs = 0 } of steps) {
    made.nowMs += waitMs;
    const atMs = Math.max(START_MS, made.nowMs + skewMs);
    for (const owed of dueEvents(plan, stateOf(plan, made.log), made.nowMs))
      append([owed.body], 'tablet', owed.atMs);
    const state = stateOf(plan, made.log);
    const { events, effects } = decide(plan, state, intent, atMs, hands, HOUSE);
    const exerciseIndex = inHand(plan, state)?.exerciseIndex ?? 0;
    made.effects.push(...effects.map((effect) => ({ effect, exerciseIndex })));
    append(events, device, atMs);
  }
  return made;
}

const stateOf = (plan: Plan, log: readonly SessionEvent[]): SessionState => fold(plan, mergeLogs(log));
const press = (...keys: Intent['do'][]) =>
  keys.map((key) => ({ intent: { do: key } as Intent, waitMs: 7_000 }));
const run = (plan: Plan, steps: Parameters<typeof drive>[1], hands?: Hands) => {
  const { log, nowMs, effects } = drive(plan, steps, hands);
  return { log, nowMs, effects, state: stateOf(plan, log) };
};
const readOf = (state: SessionState, limb: Limb) =>
  openInflation(state.limbs.find((one) => one.limb === limb))?.steps.at(-1)?.pressureMmHg;

/** The most that was signed for a limb in an exercise; infinity under a strap. */
const signedMmHg = (plan: Plan, exerciseIndex: number, limb: Limb): number => {
  const target = plan.exercises[exerciseIndex]?.limbs.find((one) => one.limb === limb);
  return target?.kind === 'measured' ? target.pressure.value : Number.POSITIVE_INFINITY;
};
const mostSigned = (plan: Plan, limb: Limb): number =>
  Math.max(...plan.exercises.map((_, place) => signedMmHg(plan, place, limb)).filter(Number.isFinite), 0);

const steps = fc.array(
  fc.record({
    intent: anyIntent,
    waitMs: fc.integer({ min: 0, max: 90_000 }),
    device: fc.constantFrom('tablet', 'phone'),
    skewMs: fc.integer({ min: -1_000, max: 1_000 }),
  }),
  { maxLength: 60 },
);

// `npm run attack` runs the long forms.
const RUNS = attackRuns(250);

describe('whatever is pressed, in any order, on any plan (RUN-4, RUN-7)', () => {
  it('never commands a pump or records a target above what was signed for the exercise and limb', () => {
    fc.assert(
      fc.property(anyPlan, steps, fc.subarray<Limb>(['left-thigh', 'right-thigh']), (plan, keys, pumped) => {
        const { log, effects } = drive(plan, keys, { pumped });
        for (const { effect, exerciseIndex } of effects) {
          if (effect.do !== 'bring') continue;
          expect(effect.pressureMmHg).toBeLessThanOrEqual(signedMmHg(plan, exerciseIndex, effect.limb));
        }
        for (const event of log) {
          const meant =
            event.type === 'cuff-inflated' || (event.type === 'pressure-read' && event.cause !== 'read');
          if (!meant || event.pressureMmHg === null) continue;
          expect(event.pressureMmHg).toBeGreaterThanOrEqual(0);
          // What a pump reports is what it reads; all else is what was asked for.
          const reported =
            event.type === 'cuff-inflated' && keys.some(({ intent }) => intent.do === 'pump-reports');
          if (!reported) expect(event.pressureMmHg).toBeLessThanOrEqual(mostSigned(plan, event.limb));
        }
      }),
      { numRuns: RUNS },
    );
  });

  it('never has a target or a load in hand above what was signed, or below nothing', () => {
    fc.assert(
      fc.property(anyPlan, steps, (plan, keys) => {
        const hand = inHand(plan, run(plan, keys).state);
        const signedKg = hand && plannedKg(hand.exercise.load);
        if (hand?.loadKg != null) {
          expect(hand.loadKg).toBeLessThanOrEqual(signedKg ?? 0);
          expect(hand.loadKg).toBeGreaterThanOrEqual(0);
        }
        for (const target of hand?.limbs ?? []) {
          if (target.kind !== 'measured') continue;
          expect(target.targetMmHg).toBeLessThanOrEqual(target.signed.pressure.value);
          expect(target.targetMmHg).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: RUNS },
    );
  });

  it('never starts a set after a stop that is not taken back, and never inflates', () => {
    fc.assert(
      fc.property(anyPlan, steps, steps, (plan, before, later) => {
        const after = later.filter(({ intent }) => intent.do !== 'take-back-stop');
        const stop = { intent: { do: 'stop', why: msg('Stopped') } as Intent, waitMs: 1_000 };
        const { log } = drive(plan, [...before, stop, ...after]);
        const stoppedMs = stateOf(plan, log).stopped?.atMs ?? stateOf(plan, log).finishedAtMs ?? 0;
        const begun = log.filter(({ type, atMs }) => type === 'set-started' && atMs > stoppedMs + 2_000);
        expect(begun).toEqual([]);
      }),
      { numRuns: RUNS },
    );
  });

  it('folds to the same state in any batching and order', () => {
    fc.assert(
      fc.property(anyPlan, steps, fc.array(fc.nat(200), { maxLength: 20 }), (plan, keys, swaps) => {
        const { log } = drive(plan, keys);
        const shuffled = [...log, ...log.slice(0, 5)];
        for (const [i, to] of swaps.entries()) {
          const [a, b] = [i % shuffled.length, to % shuffled.length];
          [shuffled[a], shuffled[b]] = [shuffled[b] as SessionEvent, shuffled[a] as SessionEvent];
        }
        expect(stateOf(plan, shuffled)).toEqual(stateOf(plan, log));
      }),
      { numRuns: Math.min(RUNS, 1_000) },
    );
  });
});

describe('what the keys do', () => {
  const { plan } = testPlan();

  it('Space alone carries a session from inflating to its end', () => {
    const { state, nowMs } = run(plan, press(...Array<'next'>(12).fill('next')));
    expect(state.sets).toHaveLength(4);
    expect(state.finishedAtMs).not.toBeNull();
    expect(nextStep(plan, state, nowMs)).toEqual({ do: 'nothing' });
  });

  it('loosens by ten, keeps it, and brings no more than the target in hand back (RUN-7)', () => {
    const at = (...keys: Intent['do'][]) => readOf(run(plan, press('next', ...keys)).state, 'left-thigh');
    expect(at('loosen')).toBe(94);
    expect(at('loosen', 'top-up')).toBe(94);
    expect(at('loosen', 'raise')).toBe(104);
    // Once before a set, and not in one.
    expect(at('loosen', 'loosen', 'raise', 'raise')).toBe(94);
    expect(at('next', 'loosen', 'raise')).toBe(94);
    expect(at('raise')).toBe(104);
  });

  it('keeps a loosening at the next inflation, by hand and by pump alike', () => {
    const released = testPlan({ protocolId: 'release-75', tempoId: '2-0-2', restMs: 65_000 }).plan;
    const keys = [
      ...press('next', 'next', 'loosen', 'next', 'next'),
      { intent: { do: 'next' } as Intent, waitMs: 70_000 },
    ];
    expect(readOf(run(released, keys).state, 'left-thigh')).toBe(94);
    const byPump = run(released, keys, { pumped: ['left-thigh'] });
    expect(byPump.effects.map(({ effect }) => effect)).toContainEqual({
      do: 'bring',
      limb: 'left-thigh',
      pressureMmHg: 104,
    });
  });

  it('takes an accepted loosening of an offer along while the cuff is down', () => {
    const released = testPlan({
      protocolId: 'release-75',
      tempoId: '2-0-2',
      restMs: 65_000,
      percentOneRepMax: 20,
    }).plan;
    const answer = {
      intent: { do: 'answer-offer', accepted: true } as Intent,
      waitMs: 1_000,
    };
    const { state } = run(released, [...press('next', 'next', 'next', 'next'), answer]);
    expect(englishOf(state.offers)).toMatchObject([{ offer: { kind: 'loosen' }, accepted: true }]);
    expect(englishOf(inHand(released, state)?.limbs[0])).toMatchObject({ targetMmHg: 94 });
  });

  it('tops up in the second exercise to its own target', () => {
    const two = composeSession(
      {
        goal: 'size',
        schoolId: 'research-consensus',
        exercises: [80, 40].map((percentLop) =>
          testExercise(
            { exerciseId: 'leg-press', protocolId: 'quick-pair' },
            {
              load: { kind: 'unweighed', with: 'body weight' },
              limbs: [{ kind: 'measured', limb: 'left-thigh', occlusionId: 'l-sit', percentLop }],
            },
          ),
        ),
      },
      wideBasis,
    ).plan;
    const first = press('next', 'next', 'next', 'next', 'next', 'next');
    const second = [{ intent: { do: 'next' } as Intent, waitMs: 90_000 }];
    const { state } = run(two, [...first, ...second]);
    expect(readOf(state, 'left-thigh')).toBe(68);
    const fallen: Intent = { do: 'read', limb: 'left-thigh', pressureMmHg: 60 };
    const topped = run(two, [...first, ...second, { intent: fallen, waitMs: 5_000 }, ...press('top-up')]);
    expect(readOf(topped.state, 'left-thigh')).toBe(68);
  });

  it('takes an accidental end back within ten seconds, and the set goes on', () => {
    const ended = press('next', 'next', 'next');
    const back = (waitMs: number) => [...ended, { intent: { do: 'take-back-end' } as Intent, waitMs }];
    const { state, nowMs } = run(plan, back(9_000));
    expect(openSet(state)).toMatchObject({ setIndex: 0, endsTakenBack: 1 });
    expect(state.rest).toBeNull();
    // The clock still owes its end, once.
    expect(englishOf(dueEvents(plan, state, nowMs + 60_000))).toMatchObject([{ key: 'set-ended 0.0 1' }, {}]);
    expect(openSet(run(plan, back(10_500)).state)).toBeNull();
  });

  it('re-fits: the cuff comes down, the set is done again and does not count (FIT-4)', () => {
    const { state, nowMs } = run(plan, press('next', 'next', 're-fit'));
    expect(state.sets).toEqual([]);
    expect(state.refits).toHaveLength(1);
    expect(inflatedLimbs(state)).toEqual([]);
    expect(nextStep(plan, state, nowMs)).toMatchObject({ do: 'inflate', place: { setIndex: 0 } });
    // The limb was occluded all the same.
    expect(state.limbs[0]?.inflations).toHaveLength(1);
  });

  it('asks for a decision when colour is not good, and goes on only after one (RUN-3)', () => {
    const bad: Intent = { do: 'check-colour', good: false };
    const looked = [...press('next', 'next', 'next'), { intent: bad, waitMs: 2_000 }];
    const { state, nowMs } = run(plan, looked);
    expect(nextStep(plan, state, nowMs)).toMatchObject({ do: 'decide' });
    expect(decide(plan, state, { do: 'next' }, nowMs).events).toEqual([]);
    expect(dueEvents(plan, state, nowMs + 60_000)).toEqual([]);
    const doingAfter = (intent: Intent) => {
      const then = run(plan, [...looked, { intent, waitMs: 1_000 }]);
      return nextStep(plan, then.state, then.nowMs).do;
    };
    expect(doingAfter({ do: 'loosen' })).not.toBe('decide');
    expect(doingAfter({ do: 'release' })).not.toBe('decide');
    expect(doingAfter({ do: 'note-sign', sign: 'numb-or-tingling' })).toBe('release');
    expect(doingAfter({ do: 'check-colour', good: true })).not.toBe('decide');
    expect(doingAfter({ do: 'note-set', effort: 5 })).toBe('decide');
  });

  it('keeps a key that was pressed while the set still ran', () => {
    const early: Intent = { do: 'note-set', effort: 8 };
    const { state } = run(plan, [...press('next', 'next'), { intent: early, waitMs: 5_000 }]);
    expect(state.sets[0]).toMatchObject({ endedAtMs: null, effort: 8 });
  });

  it('distinguishes sets counted by the clock from watched ones', () => {
    const byClock = run(plan, [
      ...press('next', 'next'),
      ...press('note-set').map((one) => ({ ...one, waitMs: 70_000 })),
    ]);
    expect(byClock.state.sets[0]).toMatchObject({ countedReps: 30, countedBy: 'clock' });
    const watched = run(plan, [...press('next', 'next', 'next', 'confirm-reps')]);
    expect(watched.state.sets[0]).toMatchObject({ countedBy: 'person' });
  });

  it('notes a stop sign with the limbs under the cuff, and stops at once; an expected one goes on', () => {
    const sign = (id: 'burn' | 'numb-or-tingling') => [
      ...press('next', 'next'),
      { intent: { do: 'note-sign', sign: id } as Intent, waitMs: 3_000 },
    ];
    expect(openSet(run(plan, sign('burn')).state)).not.toBeNull();
    const { log, state, nowMs } = run(plan, sign('numb-or-tingling'));
    expect(englishOf(log.find(({ type }) => type === 'sign-noted'))).toMatchObject({ limbs: ['left-thigh'] });
    expect(nextStep(plan, state, nowMs)).toMatchObject({ do: 'release', why: 'stopped' });
  });

  it('takes a stop by a key back within ten seconds: the cuff comes down, and it goes on', () => {
    const STOP: Intent = { do: 'stop', why: STOPPED_BY_KEY };
    const stopped = [...press('next', 'next'), { intent: STOP, waitMs: 20_000 }];
    const back = (waitMs: number) => [...stopped, { intent: { do: 'take-back-stop' } as Intent, waitMs }];
    const late = run(plan, back(10_500));
    expect(late.state.stopped).not.toBeNull();
    const { state, nowMs } = run(plan, back(9_000));
    expect(state.stopped).toBeNull();
    // The touch cost nothing: the set it cut short is done again, as after a re-fit.
    expect(state.sets).toEqual([]);
    expect(nextStep(plan, state, nowMs)).toMatchObject({ do: 'release', why: 'stopped' });
    const on = run(plan, [...back(9_000), ...press('next', 'next', 'next')]);
    expect(openSet(on.state)).toMatchObject({ setIndex: 0, startedAtMs: on.nowMs });
    // The clock ends it again, and what was occluded before still counts.
    const [ended] = dueEvents(plan, on.state, on.nowMs + 200_000);
    expect(ended).toMatchObject({ key: 'set-ended 0.0 re-fit 1', body: { setIndex: 0, reason: 'done' } });
    expect(on.state.limbs[0]?.inflations).toHaveLength(2);
  });

  it('leaves a set that was ended before the stop as it was', () => {
    const ended = press('next', 'next', 'next');
    const { state } = run(plan, [
      ...ended,
      { intent: { do: 'stop', why: STOPPED_BY_KEY }, waitMs: 3_000 },
      { intent: { do: 'take-back-stop' }, waitMs: 3_000 },
    ]);
    expect(state.sets).toEqual(run(plan, ended).state.sets);
    expect(state.sets).toHaveLength(1);
  });

  it('keeps the rest that ran when a stop is taken back in it', () => {
    const resting = press('next', 'next', 'next');
    const { state } = run(plan, [
      ...resting,
      { intent: { do: 'stop', why: STOPPED_BY_KEY }, waitMs: 3_000 },
      { intent: { do: 'take-back-stop' }, waitMs: 3_000 },
    ]);
    expect(state.rest).toEqual(run(plan, resting).state.rest);
  });

  it.each<[string, Intent]>([
    ['a symptom', { do: 'note-sign', sign: 'numb-or-tingling' }],
    [
      'a blood pressure',
      {
        do: 'note-blood-pressure',
        moment: 'last-rest',
        reading: { systolicMmHg: 230, diastolicMmHg: 100 },
      },
    ],
  ])('never takes back a stop that %s made (RUN-3, RUN-8)', (_, intent) => {
    const { log, state, nowMs } = run(plan, [
      ...press('next', 'next'),
      { intent, waitMs: 3_000 },
      { intent: { do: 'take-back-stop' }, waitMs: 1_000 },
    ]);
    expect(state.stopped).not.toBeNull();
    // Nor by an event that no key makes here.
    const forced = stampAll([{ type: 'stop-taken-back' }], 'phone', 0, nowMs);
    expect(stateOf(plan, [...log, ...forced]).stopped).not.toBeNull();
  });

  it('lets regulated pumps down at once on a stop', () => {
    const pumped: Hands = { pumped: ['left-thigh'] };
    const up = {
      intent: { do: 'pump-reports', limb: 'left-thigh', pressureMmHg: 104 } as Intent,
      waitMs: 1_000,
    };
    const { effects } = run(
      plan,
      [...press('next'), up, { intent: { do: 'note-sign', sign: 'dizzy' }, waitMs: 1_000 }],
      pumped,
    );
    expect(effects.at(-1)?.effect).toEqual({ do: 'deflate', limb: 'left-thigh' });
  });

  it('counts a cuff that a pump brought up, though the start was never heard of (RUN-1)', () => {
    // The device that opened the session crashed before it sent the start; another goes on.
    const unheard = stateOf(plan, []);
    expect(unheard.startedAtMs).toBeNull();
    const up: Intent = { do: 'pump-reports', limb: 'left-thigh', pressureMmHg: 58 };
    expect(decide(plan, unheard, up, 1_000).events).toEqual([
      { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 58 },
    ]);
  });

  it('says who runs it, and who it is handed to until their device takes it over (RUN-9)', () => {
    const handed = run(plan, [{ intent: { do: 'hand-over', to: 'hana' }, waitMs: 1_000 }]);
    expect(handed.state.handedTo).toBe('hana');
    const takeOver: Intent = { do: 'take-over', runner: 'other', practitionerId: 'hana' };
    const taken = run(plan, [
      { intent: { do: 'hand-over', to: 'hana' }, waitMs: 1_000 },
      { intent: takeOver, waitMs: 1_000 },
    ]);
    expect(taken.state).toMatchObject({ runner: 'other', runBy: 'hana', handedTo: null });
  });

  it('takes corrections only once it is finished', () => {
    const { state, nowMs } = run(plan, press(...Array<'next'>(12).fill('next')));
    const refused = (intent: Intent) => decide(plan, state, intent, nowMs).refused;
    expect(englishOf(refused({ do: 'loosen' }))).toContain('corrections only');
    expect(englishOf(refused({ do: 'stop', why: msg('x') }))).toContain('corrections only');
    expect(decide(plan, state, { do: 'note-set', effort: 7 }, nowMs).events).toHaveLength(1);
    expect(decide(plan, state, { do: 'correct-reps', byReps: -2 }, nowMs).events).toHaveLength(1);
  });

  it('moves a strap by its mark, tighter only before a set', () => {
    const mark = (...keys: Intent['do'][]) => {
      const target = inHand(strappedPlan, run(strappedPlan, press('next', ...keys)).state)?.limbs[0];
      return target?.kind === 'by-feel' ? target.mark : null;
    };
    expect([mark(), mark('loosen'), mark('raise'), mark('raise', 'raise'), mark('next', 'raise')]).toEqual([
      6, 5, 7, 7, 6,
    ]);
    expect(mark('next', 'loosen')).toBe(5);
    const answer: Intent = { do: 'answer-offer', accepted: true };
    const short = [...press('next', 'next', 'next'), { intent: answer, waitMs: 1_000 }];
    const { state } = run(strappedPlan, short);
    expect(englishOf(state.offers)).toMatchObject([
      { offer: { kind: 'loosen-mark', byMarks: 1 }, accepted: true },
    ]);
    expect(englishOf(inHand(strappedPlan, state)?.limbs)).toMatchObject([{ kind: 'by-feel', mark: 5 }]);
  });
});
