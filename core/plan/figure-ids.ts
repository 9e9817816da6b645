import { type Message, msg } from '../message/message';

/** Figures that each limb has of its own: a share of its LOP, a pressure without one, the mark of a strap. */
export const LIMB_FIGURES = ['percent-lop', 'mmHg', 'mark'] as const;
export type LimbFigure = (typeof LIMB_FIGURES)[number];

/** Figures of an exercise as a whole. */
export const EXERCISE_FIGURES = [
  'percent-1rm',
  'watts',
  'km-per-hour',
  'vo2max-percent',
  'beats',
  'minutes',
  'sets',
  'reps',
] as const;
export type ExerciseFigure = (typeof EXERCISE_FIGURES)[number];

export type FigureId = LimbFigure | ExerciseFigure;

/** Of pressure, load and volume of an exercise one rises in a session (rule CRS-3). */
export type FigureKind = 'pressure' | 'load' | 'volume';

export const FIGURE_KINDS: Record<FigureId, FigureKind> = {
  'percent-lop': 'pressure',
  mmHg: 'pressure',
  mark: 'pressure',
  'percent-1rm': 'load',
  watts: 'load',
  'km-per-hour': 'load',
  'vo2max-percent': 'load',
  beats: 'load',
  minutes: 'volume',
  sets: 'volume',
  reps: 'volume',
};

/** The most a figure may rise by at once when it rises by the week. */
export const MOST_A_WEEK: Record<FigureId, number> = {
  'percent-lop': 10,
  mmHg: 10,
  mark: 1,
  'percent-1rm': 5,
  watts: 20,
  'km-per-hour': 1,
  'vo2max-percent': 5,
  beats: 10,
  minutes: 5,
  sets: 1,
  reps: 5,
};

/** A figure with its unit. @example figureWords('percent-lop', 45) //=> '45 %' */
export function figureWords(figure: FigureId, value: number): Message {
  switch (figure) {
    case 'percent-lop':
      return msg('{value} %', { value });
    case 'mmHg':
      return msg('{value} mmHg', { value });
    case 'mark':
      return msg('mark {value}', { value });
    case 'percent-1rm':
      return msg('{value} % 1RM', { value });
    case 'watts':
      return msg('{value} W', { value });
    case 'km-per-hour':
      return msg('{value} km/h', { value });
    case 'vo2max-percent':
      return msg('{value} % of VO2max', { value });
    case 'beats':
      return msg('up to {value} beats a minute', { value });
    case 'minutes':
      return msg('{value} min', { value });
    case 'sets':
      return msg('{value, plural, one {# set} other {# sets}}', { value });
    case 'reps':
      return msg('{value, plural, one {# repetition} other {# repetitions}}', { value });
  }
}
