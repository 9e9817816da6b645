import { exerciseAndSide } from './exercise-and-side';
import type { Measure } from './units';

type Work = Parameters<typeof exerciseAndSide>[1] & { sets: number; reps: number; loadKg: number };

/** "Leg press 3 × 5 × 140 kg". */
export const heavyWorkWords = (
  facts: Parameters<typeof exerciseAndSide>[0],
  work: Work,
  mass: Measure,
): string => `${exerciseAndSide(facts, work)} ${work.sets} × ${work.reps} × ${mass.words(work.loadKg)}`;
