import type { LimbKind, Position } from '../quantity/limb';

/** A rung of the rehabilitation ladder (rule PRO-5). */
export type Rung = 'passive' | 'isometric' | 'unloaded' | 'loaded' | 'functional';

/** What loads an exercise; a stack, dumbbells, a bar and ankle weights can be weighed, the others cannot. */
export type Equipment =
  | 'stack'
  | 'dumbbells'
  | 'bar'
  | 'ankle-weights'
  | 'bands'
  | 'body-weight'
  | 'machine'
  | 'none';

/** An exercise: what it works, which kind of limb wears the cuff, how it is done, and a one-line cue. */
export type Exercise = {
  label: string;
  muscle: string;
  /** Joints that move; none for holds and passive work. */
  joints: readonly string[];
  limbKind: LimbKind;
  position: Position;
  kind: 'isolated' | 'compound' | 'functional' | 'aerobic' | 'passive';
  /** Done with one limb, with both at once, or either way. */
  sides: 'one' | 'both' | 'either';
  equipment: Equipment;
  rung: Rung;
  cue: string;
};

const WEIGHED: readonly Equipment[] = ['stack', 'dumbbells', 'bar', 'ankle-weights'];

/** Whether a one-repetition maximum in kg makes sense for it (rule LOAD-1). */
export const isWeighed = ({ equipment }: Exercise): boolean => WEIGHED.includes(equipment);
