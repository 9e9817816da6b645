import { t } from '@lingui/core/macro';
import type { PulseMethod } from '#core/occlusion-pressure';

export const METHOD_LABELS: Record<PulseMethod, string> = {
  doppler: t`Probe`,
  palpation: t`Fingers`,
  oximeter: t`Oximeter`,
  'automatic-pump': t`The pump itself`,
};
