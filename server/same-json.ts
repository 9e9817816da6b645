import { isDeepStrictEqual } from 'node:util';

/** Whether two values say the same once they are stored or sent: what JSON leaves out is no difference. */
export const sameJson = (a: unknown, b: unknown): boolean => isDeepStrictEqual(plain(a), plain(b));

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));
