import { describe, expect, it } from 'vitest';
import { paceCues, pacePosition, restCues } from './pace';

// 1.5 s up, 0.5 s held, 1 s down: three seconds a repetition, the turn two seconds into it. A set begun at 1,000 s.
const TEMPO = { upMs: 1_500, holdMs: 500, downMs: 1_000 };
const START = 1_000_000;
const heard = (fromMs: number, toMs: number, reps = 3) =>
  paceCues(START, TEMPO, reps, START + fromMs, START + toMs).map(({ atMs, tone }) => [atMs - START, tone]);

describe('what is heard of a set (RUN-2)', () => {
  it('is a tone at each repetition and one at its turn, each in one stretch only', () => {
    expect(heard(0, 9_000)).toEqual([
      [0, 'rep'],
      [2_000, 'turn'],
      [3_000, 'rep'],
      [5_000, 'turn'],
      [6_000, 'rep'],
      [8_000, 'turn'],
    ]);
    expect(heard(0, 3_000)).toEqual([
      [0, 'rep'],
      [2_000, 'turn'],
    ]);
    expect(heard(3_000, 5_000)).toEqual([[3_000, 'rep']]);
    expect(heard(2_000, 2_001)).toEqual([[2_000, 'turn']]);
    expect(heard(-5_000, 0)).toEqual([]);
    expect(heard(-5_000, 1)).toEqual([[0, 'rep']]);
    expect(heard(9_000, 60_000)).toEqual([]);
  });

  it('begins with the set and ends with its last repetition', () => {
    expect(pacePosition(-1, TEMPO, 3)).toBeNull();
    expect(pacePosition(0, TEMPO, 3)).toEqual({ rep: 1, phase: 'up', share: 0, repsDone: 0 });
    expect(pacePosition(3_750, TEMPO, 3)).toEqual({ rep: 2, phase: 'up', share: 0.5, repsDone: 1 });
    expect(pacePosition(1_500, TEMPO, 3)).toMatchObject({ phase: 'hold', share: 0 });
    expect(pacePosition(2_500, TEMPO, 3)).toMatchObject({ phase: 'down', share: 0.5 });
    expect(pacePosition(9_000, TEMPO, 3)).toBeNull();
  });
});

it('ticks the last five seconds of a rest, each once', () => {
  const ticks = (fromMs: number, toMs: number) =>
    restCues(START, START + fromMs, START + toMs).map(({ atMs, tone }) => [atMs - START, tone]);
  expect(ticks(-60_000, 60_000)).toEqual([-5_000, -4_000, -3_000, -2_000, -1_000].map((ms) => [ms, 'tick']));
  expect(ticks(-4_000, -3_000)).toEqual([[-4_000, 'tick']]);
  expect(ticks(-3_999, -2_999)).toEqual([[-3_000, 'tick']]);
  expect(ticks(0, 10_000)).toEqual([]);
});
