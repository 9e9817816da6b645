import { z } from 'zod';

export const signIdSchema = z.enum([
  'tightness',
  'burn',
  'redness',
  'bulging-veins',
  'swelling',
  'numb-or-tingling',
  'pale-blue-or-cold',
  'sharp-pain',
  'dizzy',
  'nausea',
  'chest-pain',
  'short-of-breath',
  'headache',
  'sight',
]);
export type SignId = z.infer<typeof signIdSchema>;

/** `expected` is noted; `stop` means deflate at once; `red` also means no restart that day (rule RUN-3). */
export type SignLevel = 'expected' | 'stop' | 'red';

export const SIGNS: Record<SignId, { label: string; level: SignLevel }> = {
  tightness: { label: 'Tightness', level: 'expected' },
  burn: { label: 'Burn', level: 'expected' },
  redness: { label: 'Redness', level: 'expected' },
  'bulging-veins': { label: 'Bulging veins', level: 'expected' },
  swelling: { label: 'Swelling', level: 'expected' },
  'numb-or-tingling': { label: 'Numb or tingling', level: 'stop' },
  'pale-blue-or-cold': { label: 'Pale, blue or cold skin', level: 'stop' },
  'sharp-pain': { label: 'Sharp pain', level: 'stop' },
  dizzy: { label: 'Dizzy', level: 'red' },
  nausea: { label: 'Nausea', level: 'red' },
  'chest-pain': { label: 'Chest pain', level: 'red' },
  'short-of-breath': { label: 'Short of breath', level: 'red' },
  headache: { label: 'Headache', level: 'red' },
  sight: { label: 'Trouble seeing', level: 'red' },
};

/** How long nobody restarts after a red sign: until the next day at the same time (rule RUN-3). */
export const RED_SIGN_LOCK_MS = 24 * 3_600_000;
