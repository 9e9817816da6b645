export { whyNotAnswer } from './answer';
export { carryOver, loweredTo } from './carry-over';
export { type Change, changeWords, tidyChange } from './change';
export { draftFrom, nextSession } from './next-session';
export { type OpenedExercise, type OpenedFigures, openedAt } from './opened';
export type { Recommendation } from './review';
export type { Reviewed } from './reviewed';
export { type SessionSummary, summaryOf, withFormer } from './summary';
