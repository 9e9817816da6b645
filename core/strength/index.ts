export { checkTest } from './check-test';
export type { StrengthFact } from './fact';
export { type HeavyWork, type HeavyWorkChoice, heavyWorkChoiceSchema } from './heavy-work';
export { sideOf, testInForce } from './in-force';
export { checkRepsToFailure, oneRepMax, strengthTestSchema } from './one-rep-max';
export { strengthTestIsDue } from './shelf-life';
export { type Side, sideSchema } from './side';
