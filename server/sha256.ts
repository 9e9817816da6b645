import { createHash } from 'node:crypto';

/** The SHA-256 of a text, in hex. */
export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
