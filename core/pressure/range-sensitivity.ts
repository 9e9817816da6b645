import { type Message, msg } from '../message/message';
import { expandedUncertainty, type Gauge } from '../occlusion-pressure/estimate';
import { METHODS, type PulseMethod } from '../occlusion-pressure/methods';
import { type Spread, spreadOf, withoutSpread } from '../occlusion-pressure/practice-spread';
import { type ReadingSchool, readTrial, type Trial } from '../occlusion-pressure/trial';
import { mean } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { targetPressure } from './target-pressure';

/** A pressure as it was measured: what its true range depends on. Pressures in mmHg. */
export type Measured = {
  pressureMmHg: number;
  trials: readonly Trial[];
  readingSchool: ReadingSchool;
  method: PulseMethod;
  divisionMmHg: number;
  gaugeErrorMmHg: number | null;
  /** As it was kept. */
  uncertaintyMmHg: number;
};

/** The true range of a target, in %LOP, under one way of measuring. */
export type RangeIf = { label: Message; uncertaintyMmHg: number; low: number; high: number };

/**
 * How the true range of a target would change with one more trial that agrees, and with a finer gauge (rules LOP-3,
 * PRS-1). The first row is the measurement as it is.
 * @param percentLop intended share, in % of LOP
 * @param finest the finest gauge at hand
 * @param practice what the practice has seen so far, with this measurement
 */
export function rangeSensitivity(
  measured: Measured,
  percentLop: number,
  finest: Gauge,
  practice: Spread,
): RangeIf[] {
  const { pressureMmHg, divisionMmHg } = measured;
  const gauge = { divisionMmHg, errorMmHg: measured.gaugeErrorMmHg ?? undefined };
  const used = measured.trials
    .map((trial) => readTrial(trial, measured.readingSchool))
    .filter((reading) => reading !== null);
  if (used.length === 0) return [];
  const estimates = used.map(({ estimateMmHg }) => estimateMmHg);
  const halfWidth = mean(used.map(({ halfWidthMmHg }) => halfWidthMmHg));
  const seenElsewhere = withoutSpread(practice, spreadOf(estimates));
  const ifMmHg = (values: readonly number[], by: Gauge): number =>
    Math.ceil(
      expandedUncertainty(values, {
        halfWidthMmHg: halfWidth,
        isOneWay: measured.readingSchool !== 'bracket',
        gauge: by,
        methodMmHg: METHODS[measured.method].uncertaintyMmHg,
        practice: seenElsewhere,
      }),
    );
  const rowFor = (label: Message, uncertaintyMmHg: number, division: number): RangeIf => {
    const { trueRange } = targetPressure(
      { value: pressureMmHg, uncertainty: uncertaintyMmHg },
      percentLop,
      division,
    );
    return { label, uncertaintyMmHg, low: trueRange.interval?.low ?? 0, high: trueRange.interval?.high ?? 0 };
  };
  const more = [...estimates, mean(estimates)];
  return [
    rowFor(msg('As measured'), measured.uncertaintyMmHg, divisionMmHg),
    ...(estimates.length < RULES['LOP-3'].figures.trials.most
      ? [rowFor(msg('One more trial that agrees'), ifMmHg(more, gauge), divisionMmHg)]
      : []),
    ...(finest.divisionMmHg < divisionMmHg
      ? [
          rowFor(
            msg('A gauge with divisions of {divisionMmHg} mmHg', { divisionMmHg: finest.divisionMmHg }),
            ifMmHg(estimates, finest),
            finest.divisionMmHg,
          ),
        ]
      : []),
  ];
}
