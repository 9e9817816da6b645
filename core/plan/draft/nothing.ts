import type { Message } from '../../message/message';
import type { Lead } from './wish';

/** Why nothing can be drafted, or an exercise not, and where one goes on. */
export type Nothing = { why: Message; leads: Lead[] };

export const nothing = (why: Message, ...leads: Lead[]): Nothing => ({ why, leads });

export const isNothing = (made: object): made is Nothing => 'why' in made && 'leads' in made;
