import { list, type Message, msg, sentences } from '../message/message';
import type { Limb } from '../quantity/limb';
import { LIMB_NAMES } from '../quantity/limb';
import { normal, seededRandom } from '../simulation/random';
import type { Bout } from './bouts';
import { MODEL } from './fatigue-model';
import { drawerOf, fitTrainee, USUAL } from './fit-trainee';
import { boutRunner } from './run-bouts';

/**
 * Likely repetitions of one set: the median, and the band that eight of ten runs fall in, to the nearest whole.
 * `plannedReps`, `chance`, that all of them are done (0–1), and `likelyLeft`, the repetitions
 * that would still go, are null for a set to failure: there is no "all" of it, and nothing is left.
 */
export type SetForecast = {
  exerciseIndex: number;
  setIndex: number;
  plannedReps: number | null;
  likelyReps: number;
  lowReps: number;
  highReps: number;
  chance: number | null;
  likelyLeft: number | null;
};

/**
 * What the sets ahead are likely to bring. `chance` is that of doing all repetitions of every set that plans a number
 * (0–1), null when none does; `seen` says from how many logged sets of each limb it was learnt.
 */
export type Forecast = {
  sets: SetForecast[];
  chance: number | null;
  seen: { limb: Limb; sets: number }[];
  runs: number;
};

/** `bouts` are a session's, done and ahead; `past` those of sessions before it. */
export type ForecastQuestion = { bouts: Bout[]; past: Bout[][]; runs: number; seed: number };

const NONE = new Float64Array();
const BAND = { low: 0.1, high: 0.9 };

/**
 * Repetitions that each set ahead is likely to see, by a seeded Monte Carlo over people and days (see `fatigue-model`).
 * The same question gives the same answer. @returns `null` when nothing ahead can be foreseen
 */
export function forecast({ bouts, past, runs, seed }: ForecastQuestion): Forecast | null {
  const ahead = bouts.flatMap(({ done }, place) => (done ? [] : [place]));
  if (ahead.length === 0) return null;
  const limbs = [...new Set(bouts.flatMap(({ muscles }) => muscles.map(({ limb }) => limb)))];
  const posteriors = limbs.map((limb) => fitTrainee([...past, bouts], limb));
  const drawers = posteriors.map(drawerOf);
  const random = seededRandom(seed);
  const runOnce = boutRunner(bouts);
  const columns = bouts.map(() => new Float64Array(runs));
  const leftOver = bouts.map(() => new Float64Array(runs));
  let finished = 0;
  for (let run = 0; run < runs; run += 1) {
    const trainees = new Map(limbs.map((limb, i) => [limb, drawers[i]?.(random) ?? USUAL]));
    const varied = bouts.map(() => Math.exp(MODEL.setSpread * normal(random)));
    const result = runOnce(
      (limb) => trainees.get(limb) ?? USUAL,
      (place) => varied[place] ?? 1,
    );
    let all = true;
    for (const place of ahead) {
      const { done: reps, possible } = result[place] ?? { done: 0, possible: 0 };
      const [column, left] = [columns[place], leftOver[place]];
      if (column) column[run] = reps;
      if (left) left[run] = possible - reps;
      if (reps < (bouts[place]?.plannedReps ?? 0)) all = false;
    }
    if (all) finished += 1;
  }
  const sets = ahead.flatMap((place) => {
    const bout = bouts[place];
    return bout ? [setForecast(columns[place] ?? NONE, leftOver[place] ?? NONE, bout)] : [];
  });
  return {
    sets,
    chance: sets.some(({ plannedReps }) => plannedReps !== null) ? finished / runs : null,
    seen: limbs.map((limb, i) => ({ limb, sets: posteriors[i]?.setsSeen ?? 0 })),
    runs,
  };
}

function setForecast(
  column: Float64Array,
  left: Float64Array,
  { exerciseIndex, setIndex, plannedReps }: Pick<SetForecast, 'exerciseIndex' | 'setIndex' | 'plannedReps'>,
): SetForecast {
  const sorted = column.slice().sort();
  const at = (share: number) => Math.round(quantile(sorted, share));
  const full =
    plannedReps && column.reduce((sum, reps) => sum + (reps >= plannedReps ? 1 : 0), 0) / column.length;
  return {
    exerciseIndex,
    setIndex,
    plannedReps,
    likelyReps: at(0.5),
    lowReps: at(BAND.low),
    highReps: at(BAND.high),
    chance: full,
    likelyLeft: plannedReps === null ? null : Math.round(quantile(left.slice().sort(), 0.5)),
  };
}

const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.floor(share * (sorted.length - 1))] ?? 0;

/**
 * What is known about the person's limbs, in words.
 * @example knowledgeWords([{ limb: 'left-thigh', sets: 12 }]) //=> 'Fitted to 12 logged sets of the left thigh.'
 */
export function knowledgeWords(seen: Forecast['seen']): Message {
  const fitted = seen
    .filter(({ sets }) => sets > 0)
    .map(({ limb, sets }) =>
      msg('{sets, plural, one {# logged set} other {# logged sets}} of the {limb}', {
        sets,
        limb: LIMB_NAMES[limb],
      }),
    );
  const unknown = seen
    .filter(({ sets }) => sets === 0)
    .map(({ limb }) => msg('the {limb}', { limb: LIMB_NAMES[limb] }));
  return sentences(
    fitted.length > 0 ? msg('Fitted to {sets}.', { sets: list(fitted, 'and') }) : null,
    unknown.length > 0
      ? msg('No logged set of {limbs}: there the band is that of people in general, and wide.', {
          limbs: list(unknown, 'or'),
        })
      : null,
  );
}
