import type { Equipment } from './exercise';

/** What loads an exercise, in words. @example equipmentWords('ankle-weights') //=> 'ankle weights' */
export const equipmentWords = (equipment: Equipment): string =>
  equipment === 'none' ? 'no kit' : equipment.replace('-', ' ');
