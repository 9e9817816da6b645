export { decideMeasuring, type MeasuringIntent } from './decide';
export { type Kit, measuringInHand, type Phase } from './in-hand';
export {
  goTo,
  isUnderWay,
  type Measuring,
  measuringAt,
  type Place,
  samePlace,
  startRound,
} from './measuring';
export { readRow, type Steps, type TrialRow } from './trial-rows';
