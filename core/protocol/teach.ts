import type { Message } from '../message/message';
import type { StandardExerciseId } from './exercises';

/** How an exercise is taught: set up, how far it goes, and what goes wrong. */
export type Teaching = {
  setUp: Message;
  /** How far it may go, full or in part, in degrees or by a hand or a mark to reach. */
  range: Message;
  wrong: Message;
  /** The muscle it is for under a cuff, where that is another than the one that tires first. */
  forMuscle?: string;
  /** May go on with a form that breaks a little when tired; else it ends there. */
  formMayBreak?: true;
  /** Small joints and loose positions: no single heavy repetition is tested (rule LOAD-1). */
  noSingle?: true;
  /** What to do instead while the limb carries only itself. */
  unloaded?: StandardExerciseId;
};

export const teach = (
  setUp: Message,
  range: Message,
  wrong: Message,
  more: Partial<Teaching> = {},
): Teaching => ({
  setUp,
  range,
  wrong,
  ...more,
});

export const BREAKS = { formMayBreak: true } as const;
export const NO_SINGLE = { noSingle: true } as const;
