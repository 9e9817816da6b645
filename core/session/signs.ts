import { z } from 'zod';
import { type Message, msg } from '../message/message';

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

export const SIGNS: Record<SignId, { label: Message; level: SignLevel; isEmergency?: true }> = {
  tightness: { label: msg('Tightness'), level: 'expected' },
  burn: { label: msg('Burn'), level: 'expected' },
  redness: { label: msg('Redness'), level: 'expected' },
  'bulging-veins': { label: msg('Bulging veins'), level: 'expected' },
  swelling: { label: msg('Swelling'), level: 'expected' },
  'breathing-hard': { label: msg('Breathing hard'), level: 'expected' },
  'nothing-felt': { label: msg('Nothing felt'), level: 'expected' },
  'numb-or-tingling': { label: msg('Numb or tingling'), level: 'stop' },
  'pale-blue-or-cold': { label: msg('Pale, blue, purple or cold skin'), level: 'stop' },
  'sharp-pain': { label: msg('Sharp pain'), level: 'stop' },
  dizzy: { label: msg('Dizzy'), level: 'red' },
  nausea: { label: msg('Nausea'), level: 'red' },
  'chest-pain': { label: msg('Chest pain'), level: 'red', isEmergency: true },
  'short-of-breath': { label: msg('Short of breath at rest'), level: 'red', isEmergency: true },
  headache: { label: msg('Headache'), level: 'red' },
  sight: { label: msg('Trouble seeing'), level: 'red' },
  'not-back': { label: msg('Feeling or colour not back 2 min after release'), level: 'red' },
  fainted: { label: msg('Fainted'), level: 'red', isEmergency: true },
  'stroke-signs': {
    label: msg('Face drooping, an arm weak, or speech unclear'),
    level: 'red',
    isEmergency: true,
  },
};

/** Whether a sign asks for the emergency number before anything else (rule RUN-6). */
export const isEmergency = (sign: SignId): boolean => SIGNS[sign].isEmergency === true;
