export type { AerobicEstimate } from './estimate';
export { missingWords, paceWords } from './estimate-words';
export { type Reached, reachedSchema, reachedWords } from './fitness';
export { outputSchema, outputWords } from './output';
export { heartRateWords, type Zone, zoneOf } from './zone';
