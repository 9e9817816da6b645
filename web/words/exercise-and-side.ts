import { SIDE_NAMES } from '#core/quantity';
import { exerciseLabel } from '#core/record';
import type { Side } from '#core/strength';
import { translate } from '../language/translate';

/** "Knee extension, left"; "Back squat" where both sides work at once. */
export function exerciseAndSide(
  facts: Parameters<typeof exerciseLabel>[0],
  { exerciseId, side }: { exerciseId: string; side: Side },
): string {
  const exercise = translate(exerciseLabel(facts, exerciseId));
  return side === 'both' ? exercise : `${exercise}, ${translate(SIDE_NAMES[side])}`;
}
