import { msg } from '../../message/message';
import { RULES } from '../../rules/catalogue';
import type { Protocol, ProtocolId } from '../protocols';
import { risingShares } from '../rising-shares';
import type { SetWork } from '../set-work';

const CYCLES = RULES['PRS-9'].figures;
const SECOND_MS = 1000;
const MINUTE_MS = 60 * SECOND_MS;

// A set to failure is paced no further than this: thirty clean repetitions must be possible anyway (LOAD-5).
const FAILURE_PACED_TO = 40;
const NEAR_FAILURE_PACED_TO = 30;

const sets = (...counts: number[]): SetWork[] => counts.map((reps) => ({ kind: 'reps', reps }));
const failing = (pacedTo: number): SetWork => ({ kind: 'to-failure', pacedTo });
const spells = (count: number, workMs: number): SetWork[] =>
  Array.from({ length: count }, () => ({ kind: 'timed', workMs }));

const stays = { inflation: 'continuous', reinflateLeadMs: 0 } as const;

// The cuff is up again 5 s before the set, so that 60 s of free flow restart the occlusion clock (PRO-1).
const RELEASED_REST_MS = 65 * SECOND_MS;
const released = { inflation: 'release-each-rest', reinflateLeadMs: 5 * SECOND_MS } as const;

/** What each protocol is, by its id (chapter 6). */
export const PROTOCOLS: Record<ProtocolId, Protocol> = {
  'standard-75': {
    label: msg('Standard 75'),
    mode: 'resistance',
    sets: sets(30, 15, 15, 15),
    restMs: 30 * SECOND_MS,
    restRangeMs: [20 * SECOND_MS, 60 * SECOND_MS],
    ...stays,
    tempos: ['1-0-1', '1.5-0-1.5', '2-0-2'],
    percentLop: null,
  },
  'release-75': {
    label: msg('Release 75'),
    mode: 'resistance',
    sets: sets(30, 15, 15, 15),
    restMs: RELEASED_REST_MS,
    restRangeMs: [RELEASED_REST_MS, RELEASED_REST_MS],
    ...released,
    tempos: ['2-0-2'],
    percentLop: null,
  },
  'near-failure': {
    label: msg('Near failure'),
    mode: 'resistance',
    sets: [1, 2, 3].map(() => failing(NEAR_FAILURE_PACED_TO)),
    restMs: RELEASED_REST_MS,
    restRangeMs: [RELEASED_REST_MS, RELEASED_REST_MS],
    ...released,
    tempos: ['1.5-0-1.5'],
    percentLop: null,
  },
  'fail-book-ends': {
    label: msg('Failure first and last'),
    mode: 'resistance',
    sets: [failing(FAILURE_PACED_TO), ...sets(15, 12), failing(FAILURE_PACED_TO)],
    restMs: 30 * SECOND_MS,
    restRangeMs: [30 * SECOND_MS, 30 * SECOND_MS],
    ...stays,
    tempos: ['1-0-1'],
    percentLop: null,
  },
  'falling-reps': {
    label: msg('Falling 60'),
    mode: 'resistance',
    sets: sets(25, 20, 15),
    restMs: 30 * SECOND_MS,
    restRangeMs: [30 * SECOND_MS, 30 * SECOND_MS],
    ...stays,
    tempos: ['2-0-1', '1-5-1'],
    percentLop: null,
  },
  'quick-pair': {
    label: msg('Quick pair'),
    mode: 'resistance',
    sets: sets(30, 20),
    restMs: 15 * SECOND_MS,
    restRangeMs: [15 * SECOND_MS, 15 * SECOND_MS],
    ...stays,
    tempos: ['2-0-2'],
    percentLop: null,
  },
  'warm-up': {
    label: msg('Warm-up'),
    mode: 'activation',
    sets: sets(15, 15, 15),
    restMs: 30 * SECOND_MS,
    restRangeMs: [30 * SECOND_MS, 30 * SECOND_MS],
    ...stays,
    tempos: ['1-0-1'],
    percentLop: { usual: 60, low: 60, high: 60 },
  },
  'recovery-light': {
    label: msg('Light recovery'),
    mode: 'recovery',
    sets: sets(12, 12),
    restMs: 60 * SECOND_MS,
    restRangeMs: [0, 10 * MINUTE_MS],
    ...stays,
    tempos: ['3-0-3', '2-0-2'],
    percentLop: null,
  },
  aerobic: {
    label: msg('Aerobic'),
    mode: 'aerobic',
    sets: spells(2, 5 * MINUTE_MS),
    restMs: RELEASED_REST_MS,
    restRangeMs: [0, 5 * MINUTE_MS],
    ...released,
    tempos: [],
    // To 80 % or the school's top.
    percentLop: { usual: 60, low: 40, high: 80 },
  },
  'passive-recovery': {
    label: msg('Passive recovery'),
    mode: 'passive',
    sets: spells(3, 5 * MINUTE_MS),
    restMs: MINUTE_MS,
    restRangeMs: [MINUTE_MS, MINUTE_MS],
    ...released,
    reinflateLeadMs: 0,
    tempos: [],
    percentLop: { usual: 80, low: 80, high: 100 },
  },
  'passive-rehab': {
    label: msg('Passive rehabilitation'),
    mode: 'passive',
    sets: spells(4, 5 * MINUTE_MS),
    restMs: 3 * MINUTE_MS,
    restRangeMs: [3 * MINUTE_MS, 5 * MINUTE_MS],
    ...released,
    reinflateLeadMs: 0,
    tempos: [],
    percentLop: { usual: 70, low: 70, high: 100 },
  },
  cycles: {
    label: msg('Cuff cycles'),
    mode: 'preparation',
    sets: spells(CYCLES.cycles, CYCLES.onMs),
    restMs: CYCLES.offMs.usual,
    restRangeMs: [CYCLES.offMs.shortest, CYCLES.offMs.usual],
    ...released,
    reinflateLeadMs: 0,
    tempos: [],
    percentLop: null,
    ofTarget: risingShares(CYCLES.cycles),
  },
};
