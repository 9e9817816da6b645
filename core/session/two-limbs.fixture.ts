import { composeSession } from '../plan/compose';
import { testExercise } from '../plan/plan.fixture';
import { wideBasis } from './decide/wide.fixture';
import type { EventBody } from './events';

// A plan and logs to work things out by hand from: two limbs on two gauges, 60 % of 174 floored to 2 (104) and of 181.5
// floored to 5 (105); then the left alone, lying, 50 % of 150 (74); then a strap by feel at mark 6.

const on = (limb: 'left-thigh' | 'right-thigh', occlusionId: string, percentLop: number) =>
  ({ kind: 'measured', limb, occlusionId, percentLop }) as const;
const bodyWeight = { kind: 'unweighed', with: 'body weight' } as const;
export const { plan: twoLimbs } = composeSession(
  {
    goal: 'size',
    schoolId: 'research-consensus',
    exercises: [
      testExercise(
        { exerciseId: 'leg-press', tempoId: '1-0-1' },
        { load: bodyWeight, limbs: [on('left-thigh', 'l-sit', 60), on('right-thigh', 'r-sit', 60)] },
      ),
      testExercise(
        { exerciseId: 'knee-extension', position: 'lying', tempoId: '1-0-1' },
        { load: bodyWeight, limbs: [on('left-thigh', 'l-lie', 50)] },
      ),
      testExercise(
        { tempoId: '1-0-1' },
        { load: bodyWeight, limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }] },
      ),
    ],
  },
  wideBasis,
);

export type Entry = readonly [number, EventBody];
export const first = (setIndex: number) => ({ exerciseIndex: 0, setIndex });
export const BEGUN: Entry[] = [[0, { type: 'session-started' }]];
export const UP: Entry[] = [
  ...BEGUN,
  [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
  [6, { type: 'cuff-inflated', limb: 'right-thigh', pressureMmHg: 105 }],
];
export const LEAKED: Entry[] = [
  ...UP,
  [10, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 96, cause: 'read' }],
];
export const IN_SET: Entry[] = [...UP, [20, { type: 'set-started', ...first(0) }]];
export const AFTER_SET: Entry[] = [
  ...IN_SET,
  [80, { type: 'set-ended', ...first(0), reps: 30, reason: 'done' }],
  [80, { type: 'rest-started', ...first(0), restMs: 30_000 }],
];
export const DOWN: Entry[] = [
  ...AFTER_SET,
  [84, { type: 'cuff-released', limb: 'left-thigh' }],
  [84, { type: 'cuff-released', limb: 'right-thigh' }],
];
export const STOPPED: Entry[] = [...UP, [30, { type: 'stopped', why: 'Dizzy' }]];
export const FINISHED: Entry[] = [...DOWN, [90, { type: 'session-finished' }]];
