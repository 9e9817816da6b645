import { describe, expect, it } from 'vitest';
import { attackRuns } from '../../tests/attack-runs';
import { normal, type Random, seededRandom, seedOf } from '../simulation/random';
import { estimateOcclusionPressure } from './estimate';
import type { Spread } from './practice-spread';
import type { Trial } from './trial';

const RUNS = attackRuns(1_500);
const TRUE_MMHG = 174;
const UP = 10;
const DOWN = 4;

/** A trial of a limb whose pressure is `limbMmHg` that time, from a first step that falls anywhere. */
function trialAt(limbMmHg: number, random: Random): Trial {
  const first = random() * UP;
  const goneMmHg = first + UP * Math.ceil((limbMmHg - first) / UP);
  const backMmHg = goneMmHg - DOWN * (Math.floor((goneMmHg - limbMmHg) / DOWN) + 1);
  return { goneMmHg, upMmHg: UP, backMmHg, downMmHg: DOWN };
}

/** What a practice has seen in so many repeats. */
function seenIn(repeats: number, sdMmHg: number, random: Random): Spread {
  let squares = 0;
  for (let repeat = 0; repeat < repeats; repeat += 1) squares += (sdMmHg * normal(random)) ** 2;
  return { squares, degrees: repeats };
}

/** The share of measurements, two trials or three where they disagree, that hold the true pressure in their uncertainty. */
function coverage(sdMmHg: number, repeats: number): number {
  const random = seededRandom(seedOf(`${sdMmHg} ${repeats}`));
  let held = 0;
  for (let run = 0; run < RUNS; run += 1) {
    const practice = seenIn(repeats, sdMmHg, random);
    const trial = () => trialAt(TRUE_MMHG + sdMmHg * normal(random), random);
    const estimateOf = (trials: Trial[]) =>
      estimateOcclusionPressure(trials, { divisionMmHg: 2 }, 'bracket', 'doppler', practice);
    const two = [trial(), trial()];
    const first = estimateOf(two);
    const last = first?.advice.next === 'another-trial' ? estimateOf([...two, trial()]) : first;
    if (last && Math.abs(last.pressure.value - TRUE_MMHG) <= last.uncertaintyMmHg) held += 1;
  }
  return held / RUNS;
}

describe('the interval of a pressure holds the true one in 95 of 100 (LOP-3)', () => {
  const cells = [2, 4, 6, 8, 10].flatMap((sd) =>
    [0, 10, 20, 50, 200].map((repeats) => [sd, repeats] as const),
  );
  /** Three standard errors of a share of so many runs. */
  const byChance = 3 * Math.sqrt((0.95 * 0.05) / RUNS);

  it.each(cells)('where trials spread by %d mmHg, after %d repeats', (sd, repeats) => {
    expect(coverage(sd, repeats)).toBeGreaterThanOrEqual(0.95 - byChance);
  });
});
