import { createHash } from 'node:crypto';

/** The SHA-256 of a text or of bytes, in hex. */
export const sha256 = (text: string | Buffer): string => createHash('sha256').update(text).digest('hex');
