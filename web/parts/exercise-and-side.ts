import { exerciseLabel } from '#core/record/facts';
import type { Side } from '#core/strength/side';
import { told } from '../language/told';

/** "Knee extension, left"; "Back squat" where both sides work at once. */
export function exerciseAndSide(
  facts: Parameters<typeof exerciseLabel>[0],
  { exerciseId, side }: { exerciseId: string; side: Side },
): string {
  const exercise = told(exerciseLabel(facts, exerciseId));
  return side === 'both' ? exercise : `${exercise}, ${told(side)}`;
}
