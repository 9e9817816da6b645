import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { targetLoad } from '../load/target-load';
import type { WeightKit } from '../load/weight-kit';
import { targetPressure } from '../pressure/target-pressure';
import { compile } from './compile';
import { clockAtEnds } from './occlusion-clock';
import { type TestChoices, testPlan } from './plan.fixture';

// Worked out by hand, with paper and pencil, from the rules.

describe('pressures (PRS-1)', () => {
  // LOP ± U, %, division → target; true range (target ∓ half a division) ÷ (LOP ± U)
  it.each([
    [174, 5, 60, 2, 104, 57.5, 62.1],
    [174, 5, 80, 2, 138, 76.5, 82.2],
    [185, 6, 45, 2, 82, 42.4, 46.4],
    [121, 4, 50, 5, 60, 46, 53.4],
    [150, 9, 40, 1, 60, 37.4, 42.9],
    [240, 12, 50, 10, 120, 45.6, 54.8],
  ])('%i ± %i at %i %%, division %i → %i mmHg', (value, uncertainty, percent, division, mmHg, low, high) => {
    const { target, trueRange } = targetPressure({ value, uncertainty }, percent, division);
    expect(target.value).toBe(mmHg);
    expect(trueRange.interval).toEqual({ low, high });
  });
});

describe('loads and plates (LOAD-3, LOAD-4)', () => {
  const dumbbells: WeightKit = {
    kind: 'single-masses',
    id: 'd',
    label: 'D',
    massesKg: [1, 2, 3, 4, 5, 6, 8, 10, 12],
  };
  const stack: WeightKit = {
    kind: 'stack',
    id: 's',
    label: 'S',
    lightestKg: 2.5,
    stepKg: 2.5,
    heaviestKg: 90,
  };
  const bar: WeightKit = {
    kind: 'bar-and-plates',
    id: 'b',
    label: 'B',
    barKg: 10,
    pairs: [
      { plateKg: 1.25, pairs: 1 },
      { plateKg: 2.5, pairs: 2 },
      { plateKg: 5, pairs: 2 },
      { plateKg: 10, pairs: 2 },
    ],
  };
  it.each([
    ['dumbbells', dumbbells, 31, 25, 6, '6 kg', 19.4],
    ['dumbbells between two', dumbbells, 30, 30, 8, '8 kg', 26.7],
    ['the stack', stack, 37.5, 25, 7.5, 'pin at 7.5 kg', 20],
    ['the stack, on a pin', stack, 100, 25, 25, 'pin at 25 kg', 25],
    ['the bar alone', bar, 40, 30, 10, 'bar 10 kg alone', 25],
    ['one pair', bar, 60, 30, 17.5, 'bar 10 kg, each end 2.5 kg + 1.25 kg', 29.2],
    ['fewest plates', bar, 100, 30, 30, 'bar 10 kg, each end 10 kg', 30],
    ['three plates an end', bar, 150, 35, 52.5, 'bar 10 kg, each end 10 kg + 10 kg + 1.25 kg', 35],
  ])('%s', (_, kit, oneRepMaxKg, percent, loadKg, recipe, truePercent) => {
    expect(englishOf(targetLoad(oneRepMaxKg, percent, kit))).toMatchObject({
      recipe,
      truePercent,
      load: { value: loadKg },
    });
  });
});

describe('timelines (chapter 6, PRO-1)', () => {
  // Protocol, tempo, rest → end of the last set and the occlusion clock at it, in s: 20 s settling, then sets and rests;
  // a release counts 5 s of lead before each later set and is no free flow of 60 s.
  const rows: [TestChoices, number, number][] = [
    [{ protocolId: 'standard-75', tempoId: '1-0-1', restMs: 30_000 }, 20 + 150 + 90, 260],
    [{ protocolId: 'standard-75', tempoId: '2-0-2', restMs: 30_000 }, 20 + 300 + 90, 410],
    [{ protocolId: 'standard-75', tempoId: '1.5-0-1.5', restMs: 60_000 }, 20 + 225 + 180, 425],
    [{ protocolId: 'release-75', tempoId: '2-0-2', restMs: 60_000 }, 20 + 300 + 180, 20 + 300 + 15],
    [{ protocolId: 'near-failure', tempoId: '1.5-0-1.5', restMs: 60_000 }, 20 + 270 + 120, 20 + 270 + 10],
    [{ protocolId: 'fail-book-ends', tempoId: '1-0-1', restMs: 30_000 }, 20 + 214 + 90, 324],
    [{ protocolId: 'falling-reps', tempoId: '2-0-1', restMs: 30_000 }, 20 + 180 + 60, 260],
    [{ protocolId: 'quick-pair', tempoId: '2-0-2', restMs: 15_000 }, 20 + 200 + 15, 235],
    [{ protocolId: 'warm-up', tempoId: '1-0-1', restMs: 30_000 }, 20 + 90 + 60, 170],
    [{ protocolId: 'aerobic', restMs: 60_000 }, 20 + 600 + 60, 20 + 600 + 5],
  ];
  it.each(rows)('%j ends at %i s', (choices, endSeconds, clockSeconds) => {
    const timeline = compile(testPlan(choices).plan);
    expect(timeline.endMs / 1000).toBe(endSeconds);
    expect((clockAtEnds(timeline.lanes[0]?.inflations ?? []).at(-1) ?? 0) / 1000).toBe(clockSeconds);
  });
});
