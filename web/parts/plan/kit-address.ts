/** A piece of kit that is added there, as far as it is known already. */
export type KitToAdd = { kind: string; item: Readonly<Record<string, string | number>> };

/** Where the kit is changed, and where one goes back to; with a piece to add its form is open, filled in as far as it is known. */
export const kitAddress = ({ add, back }: { add?: KitToAdd; back: string }): string =>
  `/kit?${new URLSearchParams({ back, ...(add ? { add: JSON.stringify(add) } : {}) })}`;

/** What such an address asks for; nothing where it is another. */
export function readKitAddress(search: URLSearchParams): { add: KitToAdd | null; back: string | null } {
  const back = search.get('back');
  const isHere = back?.startsWith('/people/') === true;
  return { add: readPiece(search.get('add')), back: isHere ? back : null };
}

function readPiece(text: string | null): KitToAdd | null {
  if (text === null) return null;
  try {
    const piece: unknown = JSON.parse(text);
    return isPiece(piece) ? piece : null;
  } catch {
    return null;
  }
}

const isPiece = (piece: unknown): piece is KitToAdd =>
  typeof piece === 'object' &&
  piece !== null &&
  'kind' in piece &&
  typeof piece.kind === 'string' &&
  'item' in piece &&
  typeof piece.item === 'object' &&
  piece.item !== null;
