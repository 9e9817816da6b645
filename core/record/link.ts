import { type Message, msg, type Text } from '../message/message';
import type { RuleId } from '../rules/catalogue';

export const LINK_IDS = ['screen', 'fit', 'measure', 'load', 'prescribe', 'run'] as const;
export type LinkId = (typeof LINK_IDS)[number];

export const LINK_LABELS: Record<LinkId, Message> = {
  screen: msg('Screen'),
  fit: msg('Fit'),
  measure: msg('Measure'),
  load: msg('Load'),
  prescribe: msg('Prescribe'),
  run: msg('Run'),
};

/** `missing`: never done. `due`: done, but to be done again. `held`: must not go on. `good`: holds. */
export type LinkState = 'missing' | 'due' | 'held' | 'good';

/** One link of the chain: its state, the one number that matters, and why, in words. */
export type Link = { id: LinkId; state: LinkState; figure: Text; reason: Message; rules: RuleId[] };
