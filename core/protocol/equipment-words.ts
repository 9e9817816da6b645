import { type Message, msg } from '../message/message';
import type { Equipment } from './exercise';

/** What loads an exercise, as it is within a sentence. */
export const EQUIPMENT_NAMES: Record<Equipment, Message> = {
  stack: msg('stack'),
  dumbbells: msg('dumbbells'),
  bar: msg('bar'),
  'ankle-weights': msg('ankle weights'),
  bands: msg('bands'),
  'body-weight': msg('body weight'),
  machine: msg('machine'),
  none: msg('no kit'),
};
