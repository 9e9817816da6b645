import type { Step } from '../derivation/derived';
import { msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { oxygenOfOutput } from './asked';
import type { Fitness } from './fitness';
import { AT_REST } from './oxygen';

export type HeartLine = {
  perMinuteAt: (mlPerKgMin: number) => number;
  mlPerKgMinAt: (beatsPerMinute: number) => number;
  step: Step;
};

/** A straight line of heart rate over oxygen, from rest to a test of the person's own; null where one of both is not on record. */
export function heartLine(fitness: Fitness): HeartLine | null {
  const { restingPerMinute, vo2max, atWorkload } = fitness;
  if (restingPerMinute === null) return null;
  const workload = atWorkload ? oxygenOfOutput(atWorkload.output, fitness) : null;
  const end =
    vo2max?.reached?.beatsPerMinute !== undefined
      ? { mlPerKgMin: vo2max.mlPerKgMin, beats: vo2max.reached.beatsPerMinute }
      : atWorkload && workload
        ? { mlPerKgMin: workload.mlPerKgMin, beats: atWorkload.beatsPerMinute }
        : null;
  if (!end || end.beats <= restingPerMinute || end.mlPerKgMin <= AT_REST) return null;
  const beatsPerMl = (end.beats - restingPerMinute) / (end.mlPerKgMin - AT_REST);
  return {
    perMinuteAt: (mlPerKgMin) => restingPerMinute + (mlPerKgMin - AT_REST) * beatsPerMl,
    mlPerKgMinAt: (beats) => AT_REST + (beats - restingPerMinute) / beatsPerMl,
    step: {
      label: msg('Own heart, from rest to the test'),
      detail: msg('{rest} at {atRest}, {beats} a minute at {end} ml/kg/min', {
        rest: restingPerMinute,
        atRest: AT_REST,
        beats: end.beats,
        end: toDecimals(end.mlPerKgMin, 1),
      }),
    },
  };
}
