export { RULE_IDS, RULES, type RuleId } from './catalogue';
