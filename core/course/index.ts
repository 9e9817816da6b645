export { type DayAhead, daysAhead } from './ahead';
export {
  type Block,
  type BlockLine,
  type BlockWish,
  blockSchema,
  blockWishSchema,
  onDays,
  type Scheduled,
  scheduledOn,
} from './block';
export type { BlockPlan } from './block-plan';
export { BLOCK_STARTS, type BlockStartId, startBlock } from './block-starts';
export { type BlockWeek, type Range, type WeekOfPlan, weeksOf } from './block-weeks';
export { type Appointment, type CalendarDays, calendarDays } from './calendar-days';
export { checkBlock } from './check-block';
export { comesTo } from './comes-to';
export {
  type CoursePlan,
  type CoursePlanChoice,
  type CoursePlanState,
  coursePlanChoiceSchema,
  coursePlanStateSchema,
  limbsName,
  nameOf,
  type Occasion,
  occasionWords,
  planNameSchema,
} from './course-plan';
export { type BlockEntry, followBlock } from './follow-block';
export {
  type LadderAnswers,
  ladderAnswersSchema,
  type RungCheck,
  type RungSessions,
  rungSessionsSchema,
} from './ladder';
export type { OnDay } from './on-day';
export { placeBlock, type Running } from './place-block';
export type { Unmet } from './place-sessions';
export {
  type Rehearsal,
  type RehearsalQuestion,
  type RehearsedCourse,
  type RehearsedSession,
  rehearsalOf,
  rehearse,
  rehearseRuns,
  type Spread,
} from './rehearse';
export {
  daysOf,
  postponed,
  type Rescheduled,
  rescheduled,
  SEASON_LABELS,
  type SeasonDay,
  type SeasonKind,
  seasonKindSchema,
  seasonName,
} from './season';
export { withSessionIds } from './session-ids';
export { simulatedSession } from './simulated-session';
export type { Turn } from './turn';
export { usualDays } from './usual-days';
export { readBlock } from './versions/read-block';
export { withSeason } from './with-season';
