export { beatPhase, flowShape, makeLimb, pulseStrength, type SimulatedLimb } from './limb';
export { CAREFUL, simulateTrial } from './operator';
export { advancePump, commandPump, newPump, type PumpState } from './pumps';
export { normal, type Random, seededRandom, seedOf } from './random';
export { dopplerAt, feltPulse, oximeterAfter, probeSound } from './sensors';
export { nextHeartRate } from './strap';
