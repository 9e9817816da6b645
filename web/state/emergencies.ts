import type { Text } from '#core/message/message';
import { store } from './store';

/** Somebody who said what the emergency number is for, as this device heard it. */
export type Emergency = { clientId: string; name: string; words: Text; atMs: number };

/** Those that nobody at this device has looked at yet, the newest first (rule RUN-6). */
export const emergencies = store<readonly Emergency[]>([]);
