import type { PulseMethod } from '#core/occlusion-pressure/methods';

export const METHOD_LABELS: Record<PulseMethod, string> = {
  doppler: 'Probe',
  palpation: 'Fingers',
  oximeter: 'Oximeter',
  'automatic-pump': 'The pump itself',
};
