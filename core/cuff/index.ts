export { type Cuff, cuffSchema } from './cuff';
export type { FitFact, TightnessFact } from './fact';
export { checkCuff, checkGirth, rangeAround, rangeToBuy, rankCuffs } from './fit';
export { type AtMark, type Counted, markWords, stepName } from './mark-words';
export { aimWords, checkTightness, TIGHTNESS_WORDS, tightnessSchema } from './tightness';
