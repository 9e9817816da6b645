export { whyNotAnswer } from './answer';
export { carryOver, loweredTo } from './carry-over';
export { type Change, changeWords, tidyChange } from './change';
export type { Recommendation } from './review';
export type { Reviewed } from './reviewed';
export { type SessionSummary, summaryOf, withFormer } from './summary';
