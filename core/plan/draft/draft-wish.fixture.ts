import type { DraftWish } from './wish';

/** A wish for one thigh, for size, changed by `changes`. */
export const testWish = (changes: Partial<DraftWish> = {}): DraftWish => ({
  goal: 'size',
  schoolId: 'research-consensus',
  limbs: ['left-thigh'],
  together: false,
  rung: 'isometric',
  newcomer: false,
  isolatedOnly: false,
  carried: [],
  lowered: new Map(),
  ...changes,
});
