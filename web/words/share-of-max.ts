import { t } from '@lingui/core/macro';
import { percentOfMax } from '#core/load';
import type { PlannedLoad } from '#core/plan';
import { plain } from './format';

/**
 * The share of 1RM that some kilograms truly are, to be shown next to them wherever they are shown (rule LOAD-4); nothing without them.
 * @example 7.5 kg of a 1RM of 37.5 kg //=> ", 20 % of 1RM"
 */
export const shareOfMax = (load: PlannedLoad, loadKg: number | null): string =>
  load.kind === 'weighed' && loadKg !== null
    ? t`, ${plain(percentOfMax(loadKg, load.oneRepMax.value))} % of 1RM`
    : '';
