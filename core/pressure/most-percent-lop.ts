import type { WorkMode } from '../protocol/work-mode';
import { RULES } from '../rules/catalogue';

const { exercisePercentLop, passivePercentLop } = RULES['PRS-3'].figures;

/** The most allowed on a limb, in %LOP: below occlusion while it exercises, never above it (rule PRS-3, hard). */
export const mostPercentLop = (mode: WorkMode): number =>
  mode === 'passive' ? passivePercentLop.most : exercisePercentLop.most;
