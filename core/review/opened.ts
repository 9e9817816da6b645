import type { ExerciseChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { EXERCISE_FIGURES, type ExerciseFigure, type LimbFigure } from '../plan/figure-ids';
import { FIGURE_OF, limbFigure, limbValue } from '../plan/figures';
import type { Plan } from '../plan/plan';
import { isCuffed, isMeasured } from '../plan/target';
import type { Limb } from '../quantity/limb';
import type { ReviewAnswer } from '../session/events/values';
import { type Change, tidyChange } from './change';
import { type Reading, readingOf } from './reading';
import type { Reviewed } from './reviewed';

/** What an exercise was opened at (rule CRS-2). */
export type OpenedFigures = {
  limbs: {
    limb: Limb;
    figure: LimbFigure;
    /** In the unit of the figure; null under a strap whose mark was not chosen. */
    value: number | null;
    /** Null under a strap. */
    pressureMmHg: number | null;
    /** The measured pressure it went by. */
    occlusionId?: string | undefined;
  }[];
  figures: { [Figure in ExerciseFigure]?: number | undefined };
  /** Rest after the first set. */
  restMs: number | null;
};

/** An exercise of a session: what it was opened at, and what was done of it, null where no set was begun. */
export type OpenedExercise = OpenedFigures & {
  reading: Reading | null;
  /** What was answered to its review; empty where it was declined, null while it is not answered (rule REV-10). */
  answer: Change | null;
};

/** What each exercise of a plan opens at. */
export const openedAt = (plan: Plan): OpenedFigures[] => figuresOf(choicesOf(plan).exercises, plan);

/** The figures of choices; pressures in mmHg where it is known what they come to. */
export const figuresOf = (exercises: readonly ExerciseChoice[], plan: Plan | null): OpenedFigures[] =>
  exercises.map((choice, place) => ({
    limbs: choice.limbs.map((worn, at) => {
      const target = plan?.exercises[place]?.limbs[at];
      return {
        limb: worn.limb,
        figure: limbFigure(worn),
        value: limbValue(worn),
        pressureMmHg: target && isCuffed(target) ? target.pressure.value : null,
        ...(target && isMeasured(target) ? { occlusionId: target.occlusionId } : {}),
      };
    }),
    figures: Object.fromEntries(
      EXERCISE_FIGURES.flatMap((figure) => {
        const value = FIGURE_OF[figure].read(choice);
        return value === null ? [] : [[figure, value]];
      }),
    ),
    restMs: choice.sets.length > 1 ? (choice.sets[0]?.restMs ?? null) : null,
  }));

/** The exercises of a session as they were opened, with what was done of each. */
export const openedExercises = (session: Reviewed): OpenedExercise[] =>
  openedAt(session.plan).map((opened, place) => {
    const answered = session.state.reviews.find(({ exerciseIndex }) => exerciseIndex === place);
    return { ...opened, reading: readingOf(session, place), answer: answered ? answerOf(answered) : null };
  });

const answerOf = ({ answer, change }: ReviewAnswer): Change =>
  answer === 'declined' ? {} : tidyChange(change);
