import { courseRules } from './course-rules';
import { occlusionPressureRules } from './occlusion-pressure-rules';
import { outcomeRules } from './outcome-rules';
import { loadRules, pressureRules } from './pressure-and-load-rules';
import { protocolRules } from './protocol-rules';
import { reviewRules, runRules } from './run-and-review-rules';
import { fitRules, screenRules } from './screen-and-fit-rules';
import { startRules } from './start-rules';

/**
 * Every rule the app works by, by id. Screens quote `text`, checks carry the id, the guide prints the table.
 */
export const RULES = {
  ...startRules,
  ...screenRules,
  ...fitRules,
  ...occlusionPressureRules,
  ...pressureRules,
  ...loadRules,
  ...protocolRules,
  ...courseRules,
  ...runRules,
  ...reviewRules,
  ...outcomeRules,
} as const;

export type RuleId = keyof typeof RULES;
export const RULE_IDS = Object.keys(RULES) as RuleId[];
