import type { Limb, Position } from '../../quantity/limb';
import { newest } from '../../quantity/newest';
import type { ClientFacts, PrescriptionFact } from '../facts';
import type { Link, LinkState } from '../link';

/** What is prescribed, as far as there is something. */
export type Prescribed = PrescriptionFact | undefined;

/** The limb the chain speaks of: the prescribed one, else the last one measured or fitted. */
export function limbInHand(facts: ClientFacts, prescribed: Prescribed): Limb | undefined {
  const fresh = newest([...facts.occlusions, ...facts.fits]);
  return prescribed?.plan.exercises[0]?.limbs[0]?.limb ?? fresh?.limb;
}

/** A limb under a cuff in a position, as a session needs it measured. */
export type Use = { limb: Limb; position: Position | undefined };

/** Every limb and position the prescription uses, or the limb in hand when there is none. */
export function usesOf(facts: ClientFacts, prescribed: Prescribed): Use[] {
  const uses = (prescribed?.plan.exercises ?? []).flatMap(({ limbs, position }) =>
    limbs.map(({ limb }) => ({ limb, position })),
  );
  const seen = new Set<string>();
  const once = uses.filter(({ limb, position }) => {
    const key = `${limb} ${position}`;
    return !seen.has(key) && seen.add(key);
  });
  const limb = limbInHand(facts, prescribed);
  return once.length === 0 && limb ? [{ limb, position: undefined }] : once;
}

const WORST_FIRST: readonly LinkState[] = ['held', 'missing', 'due', 'good'];

/** A link that must hold for several limbs or exercises is as good as the worst of them. */
export const worstOf = (links: readonly Link[]): Link | undefined =>
  WORST_FIRST.map((state) => links.find((link) => link.state === state)).find((link) => link !== undefined);

export const limbsOf = (prescribed: Prescribed): Limb[] =>
  prescribed?.plan.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)) ?? [];
