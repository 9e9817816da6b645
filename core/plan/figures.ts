import { tidy } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import type { ExerciseChoice, LimbChoice, SetChoice } from './choices';
import type { ExerciseFigure, FigureId, LimbFigure } from './figure-ids';

/** The figure a limb goes by. */
export function limbFigure({ kind }: Pick<LimbChoice, 'kind'>): LimbFigure {
  switch (kind) {
    case 'measured':
      return 'percent-lop';
    case 'arbitrary':
      return 'mmHg';
    case 'by-feel':
      return 'mark';
  }
}

/** What a limb is set to, in the unit of its figure; null under a strap whose mark was not chosen. */
export function limbValue(limb: LimbChoice): number | null {
  switch (limb.kind) {
    case 'measured':
      return limb.percentLop;
    case 'arbitrary':
      return limb.pressureMmHg;
    case 'by-feel':
      return limb.mark ?? null;
  }
}

export function withLimbValue(limb: LimbChoice, value: number): LimbChoice {
  switch (limb.kind) {
    case 'measured':
      return { ...limb, percentLop: value };
    case 'arbitrary':
      return { ...limb, pressureMmHg: value };
    case 'by-feel':
      return { ...limb, mark: value };
  }
}

type Access = {
  /** Null where the exercise has no such figure. */
  read: (choice: ExerciseChoice) => number | null;
  write: (choice: ExerciseChoice, value: number) => ExerciseChoice;
};

/** How a figure of an exercise is read and set. */
export const FIGURE_OF: Record<ExerciseFigure, Access> = {
  'percent-1rm': {
    read: ({ load }) => (load.kind === 'weighed' ? load.percentOneRepMax : null),
    write: (choice, percentOneRepMax) =>
      choice.load.kind === 'weighed' ? { ...choice, load: { ...choice.load, percentOneRepMax } } : choice,
  },
  watts: {
    read: ({ intensity }) => (intensity?.by === 'watts' ? intensity.watts : null),
    write: (choice, watts) => ({ ...choice, intensity: { by: 'watts', watts } }),
  },
  'km-per-hour': {
    read: ({ intensity }) => (intensity?.by === 'speed' ? intensity.kmPerHour : null),
    write: (choice, kmPerHour) =>
      choice.intensity?.by === 'speed'
        ? { ...choice, intensity: { ...choice.intensity, kmPerHour } }
        : choice,
  },
  'vo2max-percent': {
    read: ({ intensity }) => (intensity?.by === 'vo2max' ? intensity.percent : null),
    write: (choice, percent) => ({ ...choice, intensity: { by: 'vo2max', percent } }),
  },
  // The zone keeps its width.
  beats: {
    read: ({ intensity }) => (intensity?.by === 'heart-rate' ? intensity.highPerMinute : null),
    write: (choice, highPerMinute) =>
      choice.intensity?.by === 'heart-rate'
        ? {
            ...choice,
            intensity: {
              by: 'heart-rate',
              highPerMinute,
              lowPerMinute: choice.intensity.lowPerMinute + highPerMinute - choice.intensity.highPerMinute,
            },
          }
        : choice,
  },
  minutes: {
    read: ({ sets }) =>
      same(
        sets.map(({ work }) => (work.kind === 'timed' ? work.workMs : null)),
        MS_PER_MINUTE,
      ),
    write: (choice, minutes) =>
      inEachSet(choice, { kind: 'timed', workMs: Math.round(minutes * MS_PER_MINUTE) }),
  },
  sets: {
    read: ({ sets }) => sets.length,
    write: (choice, count) => ({ ...choice, sets: setsInNumber(choice.sets, count) }),
  },
  reps: {
    read: ({ sets }) =>
      same(
        sets.map(({ work }) => (work.kind === 'reps' ? work.reps : null)),
        1,
      ),
    write: (choice, reps) => inEachSet(choice, { kind: 'reps', reps }),
  },
};

/** What all sets have alike, in another unit; null where they differ or have no such figure. */
const same = (values: readonly (number | null)[], unit: number): number | null => {
  const [first] = values;
  return first === undefined || first === null || values.some((value) => value !== first)
    ? null
    : first / unit;
};

const inEachSet = (choice: ExerciseChoice, work: SetChoice['work']): ExerciseChoice => ({
  ...choice,
  sets: choice.sets.map((set) => ({ ...set, work })),
});

/**
 * How many of some sets a share of them is: floored, and never none (rule CRS-5).
 * @example setsAtShare(4, 60) //=> 2
 */
export const setsAtShare = (sets: number, percent: number): number =>
  Math.max(1, Math.floor(tidy((sets * percent) / 100)));

/** Fewer sets are the first of them; more repeat the one before the last. What follows the exercise stays. */
export function setsInNumber(sets: readonly SetChoice[], count: number): SetChoice[] {
  const last = sets.at(-1);
  const between = sets.at(-2) ?? last;
  if (!last || !between || count === sets.length) return [...sets];
  if (count > sets.length) {
    const more = Array.from({ length: count - sets.length }, () => ({ ...between, work: last.work }));
    return [...sets.slice(0, -1), ...more, last];
  }
  return sets
    .slice(0, count)
    .map((set, place, kept) =>
      place === kept.length - 1 ? { ...set, restMs: last.restMs, release: last.release } : set,
    );
}

/** What a figure of an exercise is; the most of its limbs where each has its own; null where it has none. */
export function figureValue(choice: ExerciseChoice, figure: FigureId): number | null {
  if (figure === 'percent-lop' || figure === 'mmHg' || figure === 'mark') {
    const values = choice.limbs.flatMap((limb) => limbValue(limb) ?? []);
    return values.length === 0 ? null : Math.max(...values);
  }
  return FIGURE_OF[figure].read(choice);
}

/** An exercise with a figure changed from what it is; of each limb by its own. */
export function withFigure(
  choice: ExerciseChoice,
  figure: FigureId,
  change: (value: number) => number,
): ExerciseChoice {
  if (figure === 'percent-lop' || figure === 'mmHg' || figure === 'mark')
    return {
      ...choice,
      limbs: choice.limbs.map((limb) => {
        const value = limbFigure(limb) === figure ? limbValue(limb) : null;
        return value === null ? limb : withLimbValue(limb, change(value));
      }),
    };
  const value = FIGURE_OF[figure].read(choice);
  return value === null || change(value) === value ? choice : FIGURE_OF[figure].write(choice, change(value));
}
