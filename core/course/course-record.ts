import type { Basis } from '../plan/basis';
import type { Deload } from '../plan/movement';
import type { Day } from '../quantity/days';
import type { OpenedFigures } from '../review/opened';
import type { Recommendation } from '../review/review';
import type { RuleId } from '../rules/catalogue';

/** A session of a course as it was opened. */
export type OpenedSession = {
  day: Day;
  tolerated: boolean;
  /** Lighter for that day alone: its figures are not the course's (rule SCR-3). */
  wasLighter?: true | undefined;
  wasDeload?: true | undefined;
  /** Whether a set of it was begun. */
  exercises: readonly (OpenedFigures & { isBegun: boolean })[];
};

/** What a course is folded from: what is in force, and how it went since it was signed (rule CRS-2). */
export type CourseRecord = {
  basis: Basis;
  /** Sessions under the signature, the oldest first. */
  opened: readonly OpenedSession[];
  /** What the last of them says for the next, by the place of the exercise; as it was answered, where it was (rule REV-10). */
  advices: readonly (Pick<Recommendation, 'change' | 'reason' | 'rule'> | undefined)[];
  /** Days on which the plan was trained, whichever version; weeks are counted by them. */
  trainedDays: readonly Day[];
  /** Deload weeks of the block that schedules it, where the plan says none. */
  deload: Deload | null;
  /** Guards that were passed when it was signed: each stands for the limit it passed (rule CRS-4). */
  passed: readonly { rule: RuleId; exerciseIndex: number | null }[];
};
