export { heartRateOf } from './heart-rate-measurement';
export { CUFF_DOWN_MMHG, checkGauge, type Pump, pumpSchema } from './pump';
export { STARTING_KIT } from './starting-kit';
export { type Strap, strapSchema } from './strap';
