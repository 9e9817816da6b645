import { markWords } from '../cuff/mark-words';
import { type Message, msg } from '../message/message';
import { shareOfTarget } from '../pressure/cycles';
import type { SetWork } from '../protocol/set-work';
import { type CuffedTarget, type FeltTarget, isCuffed, type LimbTarget } from './target';

/** One set: what is done and how long that lasts; the rest after it; the cuff goes down in a rest with `release`. */
export type PlannedSet = {
  work: SetWork;
  lastsMs: number;
  restMs: number;
  release: boolean;
  /** Share of the target it is done at, in %; not there at the target itself (rule PRS-9). */
  ofTarget?: number | undefined;
};

/** Whether the cuffs of an exercise stay up in all its rests. */
export const staysInflated = ({ sets }: { sets: readonly Pick<PlannedSet, 'release'>[] }): boolean =>
  sets.slice(0, -1).every(({ release }) => !release);

/** The pressure a set is planned at under a cuff, in mmHg: the target, or its share of it (rule PRS-9). */
export const plannedMmHg = (
  { pressure, divisionMmHg }: Pick<CuffedTarget, 'pressure' | 'divisionMmHg'>,
  set: Pick<PlannedSet, 'ofTarget'> | undefined,
): number => shareOfTarget(pressure.value, set?.ofTarget, divisionMmHg);

/** Where a strap is tightened to in a set: its mark, or a share of it in whole steps, where cycles rise (rules PRS-9, TIGHT). */
export const plannedMark = (
  { mark }: Pick<FeltTarget, 'mark'>,
  set: Pick<PlannedSet, 'ofTarget'> | undefined,
): number => (set?.ofTarget === undefined ? mark : Math.max(1, shareOfTarget(mark, set.ofTarget, 1)));

/** What a limb is brought to in a set, in words. @example plannedWords(target, set) //=> '62 mmHg' or 'mark 3' */
export const plannedWords = (target: LimbTarget, set: Pick<PlannedSet, 'ofTarget'> | undefined): Message =>
  isCuffed(target)
    ? msg('{pressure} mmHg', { pressure: plannedMmHg(target, set) })
    : markWords({ ...target, mark: plannedMark(target, set) });
