/**
 * An id for something of the practice's own, made from its name.
 * @param what stands for a name that has no letters of ours @param isTaken whether an id is in use
 * @example idFrom('Grip, dominant', 'measure', () => false) //=> 'own-grip-dominant'
 */
export function idFrom(label: string, what: string, isTaken: (id: string) => boolean): string {
  const base =
    label
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || what;
  for (let number = 1; ; number += 1) {
    const id = number === 1 ? `own-${base}` : `own-${base}-${number}`;
    if (!isTaken(id)) return id;
  }
}
