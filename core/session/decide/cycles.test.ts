import { describe, expect, it } from 'vitest';
import { setsOf } from '../../plan/choices';
import { composeSession } from '../../plan/compose';
import { testCycles } from '../../plan/cycles.fixture';
import { testBasis, testExercise, testOcclusion } from '../../plan/plan.fixture';
import type { Limb } from '../../quantity/limb';
import type { EventBody } from '../events';
import { nextStep } from '../next-step';
import { foldAll, logOf, START_MS } from '../session.fixture';
import { decide } from './decide';
import { dueEvents } from './owed';
import { pumpsGoOn } from './pumps-go-on';

const basis = testBasis({
  occlusions: [
    testOcclusion({ position: 'lying' }),
    testOcclusion({ id: 'lop-right', limb: 'right-thigh', position: 'lying' }),
  ],
});
const { plan } = composeSession(
  {
    goal: 'cycles',
    schoolId: 'research-consensus',
    exercises: [
      testCycles({
        limbs: [
          { kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 },
          { kind: 'measured', limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 50 },
        ],
        sets: setsOf('cycles', 10_000, 60_000).slice(-3),
      }),
    ],
  },
  basis,
);
const BOTH: Limb[] = ['left-thigh', 'right-thigh'];

type Entry = readonly [number, EventBody];
const stateOf = (entries: readonly Entry[]) => foldAll(plan, logOf(entries));
const at = (seconds: number) => START_MS + seconds * 1000;

/**
 * A session of cycles as it runs: one press, then the clock does what is due, and pumps take the steps that are
 * theirs; a cuff of a pump is up a second after the command.
 */
function run(pumped: Limb[], untilS: number): { log: Entry[]; presses: number } {
  const log: Entry[] = [[0, { type: 'session-started' }]];
  let presses = 0;
  for (let now = 1; now <= untilS; now += 1) {
    for (const { atMs, body } of dueEvents(plan, stateOf(log), at(now))) {
      log.push([(atMs - START_MS) / 1000, body]);
    }
    const state = stateOf(log);
    const step = nextStep(plan, state, at(now));
    if (step.do === 'nothing' || step.do === 'wait' || step.do === 'end-set' || step.do === 'finish')
      continue;
    const byPumps = pumpsGoOn(plan, state, at(now), pumped) !== null;
    if (!byPumps) presses += 1;
    const { events, effects } = decide(plan, state, { do: 'next' }, at(now), { pumped });
    for (const event of events) log.push([now, event]);
    for (const effect of effects) {
      if (effect.do !== 'bring') continue;
      log.push([now + 1, { type: 'cuff-inflated', limb: effect.limb, pressureMmHg: effect.pressureMmHg }]);
    }
    if (effects.some((effect) => effect.do === 'bring')) now += 1;
  }
  return { log, presses };
}

describe('cycles run by themselves (PRS-9)', () => {
  it('with a pump on each cuff take one press, and rise each on its own limb', () => {
    const { log, presses } = run(BOTH, 140);
    expect(presses).toBe(1);
    const up = (limb: Limb) =>
      log.flatMap(([, event]) =>
        event.type === 'cuff-inflated' && event.limb === limb ? [event.pressureMmHg] : [],
      );
    expect(up('left-thigh')).toEqual([92, 96, 104]);
    expect(up('right-thigh')).toEqual([76, 80, 86]);
    const state = stateOf(log);
    for (const { inflations } of state.limbs) {
      expect(inflations.map(({ fromMs, toMs }) => (toMs ?? 0) - fromMs)).toEqual([30_000, 30_000, 30_000]);
    }
    expect(nextStep(plan, state, at(140)).do).toBe('finish');
  });

  it('by hand are asked for each time, and each begins as the second cuff is up', () => {
    const { log, presses } = run([], 140);
    expect(presses).toBe(6);
    const starts = log.filter(([, { type }]) => type === 'set-started');
    expect(starts).toHaveLength(3);
    // One pump is not enough: the other cuff waits for a hand.
    expect(run(['left-thigh'], 140).presses).toBe(6);
  });

  it('are left to a hand where a cuff is up past its limit', () => {
    // Up, and then nothing but time: what is asked for now is because of the limit.
    const up: Entry[] = [
      [0, { type: 'session-started' }],
      ...BOTH.map((limb): Entry => [1, { type: 'cuff-inflated', limb, pressureMmHg: 92 }]),
    ];
    const late = nextStep(plan, stateOf(up), at(16 * 60));
    expect(late).toMatchObject({ do: 'release', why: 'limit' });
    expect(pumpsGoOn(plan, stateOf(up), at(16 * 60), BOTH)).toBeNull();
  });

  it('take each step once: down and up have a key of their own in every cycle', () => {
    const { log } = run(BOTH, 140);
    const keys = Array.from({ length: 140 }, (_, second) => {
      const before = log.filter(([when]) => when < second);
      const owed = dueEvents(plan, stateOf(before), at(second)).map(
        ({ atMs, body }): Entry => [(atMs - START_MS) / 1000, body],
      );
      return pumpsGoOn(plan, stateOf([...before, ...owed]), at(second), BOTH);
    });
    expect([...new Set(keys.filter((key) => key !== null))]).toEqual([
      'release 2',
      'inflate 2',
      'release 4',
      'inflate 4',
      'release 6',
    ]);
  });

  it('go on between the cycles of priming, before any set (PRS-6)', () => {
    const thigh = testBasis();
    const primed = composeSession(
      { goal: 'size', schoolId: 'research-consensus', exercises: [testExercise({}, { primed: true })] },
      thigh,
    ).plan;
    const keyAfter = (log: readonly Entry[], seconds: number) =>
      pumpsGoOn(primed, foldAll(primed, logOf(log)), at(seconds), ['left-thigh']);
    const begun: Entry[] = [[0, { type: 'session-started' }]];
    expect(keyAfter(begun, 1)).toBeNull();
    const limb = 'left-thigh';
    const once: Entry[] = [
      ...begun,
      [2, { type: 'cuff-inflated', limb, pressureMmHg: 82 }],
      [32, { type: 'cuff-released', limb }],
    ];
    expect(keyAfter(once, 62)).toBe('inflate 1');
  });

  it('do not go on after a stop, nor the first time', () => {
    const begun: Entry[] = [[0, { type: 'session-started' }]];
    expect(pumpsGoOn(plan, stateOf(begun), at(1), BOTH)).toBeNull();
    const { log } = run(BOTH, 36);
    const stopped: Entry[] = [...log, [36, { type: 'stopped', why: 'Numb.' }]];
    expect(pumpsGoOn(plan, stateOf(stopped), at(37), BOTH)).toBeNull();
  });
});
