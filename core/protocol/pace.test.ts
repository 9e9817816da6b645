import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paceCues, pacePosition, repsByPace, restCues } from './pace';
import { TEMPOS } from './tempo';

const tempo = TEMPOS['2-0-2'];

describe('pace (RUN-2)', () => {
  it('counts whole repetitions and stops at the plan', () => {
    expect([0, 3999, 4000, 60_000, 500_000].map((ms) => repsByPace(ms, tempo, 15))).toEqual([
      0, 0, 1, 15, 15,
    ]);
  });

  it('knows the phase of the repetition', () => {
    expect(pacePosition(5000, tempo, 15)).toMatchObject({ rep: 2, phase: 'up', share: 0.5, repsDone: 1 });
    expect(pacePosition(6000, tempo, 15)).toMatchObject({ rep: 2, phase: 'down', share: 0 });
    expect(pacePosition(60_000, tempo, 15)).toBeNull();
    expect(pacePosition(-1, tempo, 15)).toBeNull();
  });

  it('sounds every tone once, however the time is cut into windows', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 200 }), (windows) => {
        const startMs = 1_000;
        let fromMs = 0;
        const heard: number[] = [];
        for (const width of windows) {
          heard.push(...paceCues(startMs, tempo, 15, fromMs, fromMs + width).map(({ atMs }) => atMs));
          fromMs += width;
        }
        expect(heard).toEqual(paceCues(startMs, tempo, 15, 0, fromMs).map(({ atMs }) => atMs));
      }),
    );
  });

  it('gives two tones a repetition, the turn after the lift', () => {
    expect(paceCues(0, tempo, 2, 0, 60_000)).toEqual([
      { atMs: 0, tone: 'rep' },
      { atMs: 2000, tone: 'turn' },
      { atMs: 4000, tone: 'rep' },
      { atMs: 6000, tone: 'turn' },
    ]);
  });

  it('ticks five times before a set', () => {
    expect(restCues(30_000, 0, 60_000).map(({ atMs }) => atMs)).toEqual([
      25_000, 26_000, 27_000, 28_000, 29_000,
    ]);
  });
});
