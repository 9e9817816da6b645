export { percentOfMax } from './percent-of-max';
export type { LoadStep, TargetLoad } from './target-load';
export {
  LIMB_WEIGHT,
  makeableLoads,
  resistanceText,
  unweighedSteps,
  type WeightKit,
  weightKitSchema,
} from './weight-kit';
