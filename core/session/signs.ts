import { z } from 'zod';

export const signIdSchema = z.enum([
  'tightness',
  'burn',
  'redness',
  'bulging-veins',
  'swelling',
  'breathing-hard',
  'nothing-felt',
  'numb-or-tingling',
  'pale-blue-or-cold',
  'sharp-pain',
  'dizzy',
  'nausea',
  'chest-pain',
  'short-of-breath',
  'headache',
  'sight',
  'not-back',
  'fainted',
  'stroke-signs',
]);
export type SignId = z.infer<typeof signIdSchema>;

/** `expected` is noted; `stop` means deflate at once; `red` also means no restart that day (rule RUN-3). */
export type SignLevel = 'expected' | 'stop' | 'red';

export const SIGNS: Record<SignId, { label: string; level: SignLevel; isEmergency?: true }> = {
  tightness: { label: 'Tightness', level: 'expected' },
  burn: { label: 'Burn', level: 'expected' },
  redness: { label: 'Redness', level: 'expected' },
  'bulging-veins': { label: 'Bulging veins', level: 'expected' },
  swelling: { label: 'Swelling', level: 'expected' },
  'breathing-hard': { label: 'Breathing hard', level: 'expected' },
  'nothing-felt': { label: 'Nothing felt', level: 'expected' },
  'numb-or-tingling': { label: 'Numb or tingling', level: 'stop' },
  'pale-blue-or-cold': { label: 'Pale, blue, purple or cold skin', level: 'stop' },
  'sharp-pain': { label: 'Sharp pain', level: 'stop' },
  dizzy: { label: 'Dizzy', level: 'red' },
  nausea: { label: 'Nausea', level: 'red' },
  'chest-pain': { label: 'Chest pain', level: 'red', isEmergency: true },
  'short-of-breath': { label: 'Short of breath at rest', level: 'red', isEmergency: true },
  headache: { label: 'Headache', level: 'red' },
  sight: { label: 'Trouble seeing', level: 'red' },
  'not-back': { label: 'Feeling or colour not back 2 min after release', level: 'red' },
  fainted: { label: 'Fainted', level: 'red', isEmergency: true },
  'stroke-signs': { label: 'Face drooping, an arm weak, or speech unclear', level: 'red', isEmergency: true },
};

/** Whether a sign asks for the emergency number before anything else (rule RUN-6). */
export const isEmergency = (sign: SignId): boolean => SIGNS[sign].isEmergency === true;
