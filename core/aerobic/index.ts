export { type AerobicEstimate, estimateOf } from './estimate';
export { estimateWords, missingWords, paceWords } from './estimate-words';
export { type Fitness, type Reached, reachedSchema, reachedWords } from './fitness';
export { outputSchema, outputWords } from './output';
export { heartRateWords, type Zone, zoneOf } from './zone';
