import type { Cuff } from '../cuff/cuff';
import type { Strap } from '../kit/strap';
import { type Message, msg } from '../message/message';
import type { Plan } from './plan';
import { isCuffed } from './target';

/** What of the kit is worn, and how many of it exist; one whose number is not known is not counted. */
type Worn = Pick<Cuff | Strap, 'id' | 'label' | 'howMany'>;
type KitWorn = { cuffs: readonly Worn[]; straps: readonly Worn[] };

/** Pieces that are worn at the same time in a session, by id: the most that one of its exercises asks for. */
export function wornAtOnce({ exercises }: Pick<Plan, 'exercises'>): Map<string, number> {
  const most = new Map<string, number>();
  for (const { limbs } of exercises) {
    const ids = limbs.map((target) => (isCuffed(target) ? target.cuffId : target.strapId));
    for (const id of new Set(ids))
      most.set(id, Math.max(most.get(id) ?? 0, ids.filter((other) => other === id).length));
  }
  return most;
}

/**
 * What is short while these sessions run at the same time, in words: a cuff that one person wears is there for no other.
 * @param plans of the sessions that run, and of those to be opened
 * @example two people under a cuff of which there is one //=> "Thigh medium: 2 are worn at once, and there is 1."
 */
export function shortOf({ cuffs, straps }: KitWorn, plans: readonly Pick<Plan, 'exercises'>[]): Message[] {
  const worn = plans.map(wornAtOnce);
  return [...cuffs, ...straps].flatMap(({ id, label, howMany }) => {
    const asked = worn.reduce((sum, one) => sum + (one.get(id) ?? 0), 0);
    if (howMany === undefined || asked <= howMany) return [];
    return [
      msg('{label}: {asked} are worn at once, and there {howMany, plural, one {is #} other {are #}}.', {
        label,
        asked,
        howMany,
      }),
    ];
  });
}
