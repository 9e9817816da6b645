import type { Message } from '../../message/message';

/** What a session is judged by, what counts most first. */
export const ASPECT_IDS = [
  'goal',
  'shape',
  'load',
  'dose',
  'muscle',
  'known',
  'measured',
  'isolates',
  'time',
  'changes',
] as const;
export type AspectId = (typeof ASPECT_IDS)[number];

/** What a session was found to be, of 100 points, aspect by aspect. */
export type Judged = {
  points: number;
  aspects: { id: AspectId; label: Message; points: number; most: number; words: Message }[];
};
