import type { Limb } from '../quantity/limb';
import type { AtMark } from './mark-words';

/** A girth, and what goes on there: a cuff that can be measured, or a strap that cannot (rule FIT-5). */
export type FitFact = {
  limb: Limb;
  atMs: number;
  girthCm: number;
  widthCm: number;
  label: string;
} & ({ kind: 'cuff'; cuffId: string } | { kind: 'strap'; strapId: string });

/** A strap as it was last tightened by feel (rule TIGHT). */
export type TightnessFact = {
  limb: Limb;
  atMs: number;
  strapId: string;
  strapLabel: string;
  felt: number;
} & AtMark;
