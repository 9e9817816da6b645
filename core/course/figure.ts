import type { ExerciseChoice } from '../plan/choices';
import { FIGURE_KINDS, type FigureId } from '../plan/figure-ids';
import { FIGURE_OF, limbFigure, limbValue } from '../plan/figures';
import { type Movement, movementOf } from '../plan/movement';
import type { Day } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import type { CourseRecord, OpenedSession } from './course-record';

/** A figure of an exercise as it went: a share, a pressure or a mark of one limb, or a figure of the exercise as a whole. */
export type Figure = {
  figure: FigureId;
  limb?: Limb | undefined;
  /** As it was signed. */
  start: number;
  /** As it was last opened; as signed before that. */
  last: number;
  /** What it was opened at under the signature, the oldest first; pressures in mmHg where the limb has one. */
  past: { day: Day; value: number; pressureMmHg: number | null; occlusionId?: string | undefined }[];
  /** Not there where it is steady. */
  movement: Movement | undefined;
};

type Seen = Pick<OpenedSession, 'day' | 'wasDeload'> & { exercise: OpenedSession['exercises'][number] };

/** The figures of an exercise that may be another than they were signed. */
export function figuresIn(
  choice: ExerciseChoice,
  exerciseIndex: number,
  { opened }: Pick<CourseRecord, 'opened'>,
): Figure[] {
  // The rehearsal comes by here many thousand times: plain loops, and nothing is copied that is not asked for.
  const seen: Seen[] = [];
  for (const { day, wasDeload, wasLighter, exercises } of opened) {
    const exercise = exercises[exerciseIndex];
    if (!wasLighter && exercise?.isBegun) seen.push({ day, wasDeload, exercise });
  }
  const pressure = movementOf(choice, 'pressure');
  const limbs = choice.limbs.flatMap((worn): Figure[] => {
    const start = limbValue(worn);
    if (start === null) return [];
    const figure = limbFigure(worn);
    const past: Figure['past'] = [];
    for (const { day, exercise } of seen) {
      const then = exercise.limbs.find((one) => one.limb === worn.limb && one.figure === figure);
      if (then?.value == null) continue;
      const { value, pressureMmHg, occlusionId } = then;
      past.push({ day, value, pressureMmHg, occlusionId });
    }
    const movement = pressure?.figure === figure ? pressure : undefined;
    return [{ figure, limb: worn.limb, start, last: past.at(-1)?.value ?? start, past, movement }];
  });
  const wanted = new Set<FigureId>(['percent-1rm', ...(choice.movements ?? []).map(({ figure }) => figure)]);
  const others = [...wanted].flatMap((figure): Figure[] => {
    if (figure === 'percent-lop' || figure === 'mmHg' || figure === 'mark') return [];
    const start = FIGURE_OF[figure].read(choice);
    if (start === null) return [];
    const past: Figure['past'] = [];
    for (const { day, wasDeload, exercise } of seen) {
      const value = exercise.figures[figure];
      const isCut = wasDeload && FIGURE_KINDS[figure] === 'volume';
      if (value !== undefined && !isCut) past.push({ day, value, pressureMmHg: null });
    }
    const movement = movementOf(choice, FIGURE_KINDS[figure]);
    return [
      {
        figure,
        start,
        last: past.at(-1)?.value ?? start,
        past,
        movement: movement?.figure === figure ? movement : undefined,
      },
    ];
  });
  return [...limbs, ...others];
}

/** Since when a figure is what it is; undefined before it was opened. */
export function changedOn({ past, last }: Figure): Day | undefined {
  const other = past.findLastIndex(({ value }) => value !== last);
  return past[other + 1]?.day;
}
