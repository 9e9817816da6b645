export { arbitraryMostMmHg, CEILING_MMHG } from './arbitrary';
export { exposureWords } from './cycles';
export { type Priming, USUAL_PRIMING } from './priming';
export { proposedPercent } from './ramp';
export { rangeSensitivity } from './range-sensitivity';
export { percentOf } from './target-pressure';
