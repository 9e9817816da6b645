import type { Text } from '#core/message';
import { store } from './store';

/** A person with a sign that the emergency number is for, as this device heard it. */
export type Emergency = { clientId: string; name: string; words: Text; atMs: number };

/** Those that were not looked at on this device yet, the newest first (rule RUN-6). */
export const emergencies = store<readonly Emergency[]>([]);
