import type { RuleId } from '../rules/catalogue';

export const LINK_IDS = ['screen', 'fit', 'measure', 'load', 'prescribe', 'run'] as const;
export type LinkId = (typeof LINK_IDS)[number];

export const LINK_LABELS: Record<LinkId, string> = {
  screen: 'Screen',
  fit: 'Fit',
  measure: 'Measure',
  load: 'Load',
  prescribe: 'Prescribe',
  run: 'Run',
};

/** `missing`: never done. `due`: done, but to be done again. `held`: must not go on. `good`: holds. */
export type LinkState = 'missing' | 'due' | 'held' | 'good';

/** One link of the chain: its state, the one number that matters, and why, in words. */
export type Link = { id: LinkId; state: LinkState; figure: string; reason: string; rules: RuleId[] };
