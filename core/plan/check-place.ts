import type { Finding } from '../findings/finding';
import { msg, type Text } from '../message/message';
import { isAt, type Place, type Somewhere } from '../quantity/place';
import type { Resolved } from './basis';
import type { SessionChoice } from './choices';

type Piece = Somewhere & { label: Text };

/**
 * What a plan asks for that is not at its place (rules FIT-3, LOAD-4), and a place that the practice does not have any more.
 * @param place where it is done; undefined where the practice has no such place
 */
export function checkPlace(
  resolved: readonly Resolved[],
  session: Pick<SessionChoice, 'place'>,
  place: Place | undefined,
): Finding[] {
  if (session.place === undefined) return [];
  const common = { level: 'note', subject: 'place' } as const;
  if (!place) {
    return [
      {
        ...common,
        rule: 'LOAD-4',
        message: msg('The practice does not have the place of this plan any more.'),
        remedy: msg('Choose where it is done.'),
      },
    ];
  }
  return resolved.flatMap(({ limbs, unmeasured, kit }, exerciseIndex) => {
    const cuffs: Piece[] = [...limbs, ...unmeasured].map(({ cuff }) => cuff);
    const pieces = [
      ...cuffs.map((piece) => ({ rule: 'FIT-3' as const, piece })),
      ...(kit ? [{ rule: 'LOAD-4' as const, piece: kit as Piece }] : []),
    ];
    return pieces
      .filter(({ piece }) => !isAt(piece, place))
      .map(({ rule, piece }) => ({
        ...common,
        rule,
        exerciseIndex,
        message: msg('{piece} is not {place}.', { piece: piece.label, place: place.label }),
        remedy: msg('Work it out again for that place, or choose another.'),
      }));
  });
}
