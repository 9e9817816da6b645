import type { Cuff } from '../cuff/cuff';
import type { Pump } from '../kit/pump';
import type { Strap } from '../kit/strap';
import { type Message, msg } from '../message/message';
import type { Plan } from './plan';
import { isCuffed } from './target';

/** What of the kit is worn, and how many of it exist; one whose number is not known is not counted. */
type Worn = Pick<Cuff | Strap, 'id' | 'label' | 'howMany'>;
type KitWorn = {
  cuffs: readonly Worn[];
  straps: readonly Worn[];
  pumps: readonly Pick<Pump, 'keepsPressure'>[];
};

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

/** Cuffs that are up at the same time in a session: each needs a pump, unless it holds its pressure without one. */
const cuffsAtOnce = ({ exercises }: Pick<Plan, 'exercises'>): number =>
  Math.max(0, ...exercises.map(({ limbs }) => limbs.filter(isCuffed).length));

/** One pump that can be unplugged goes round; those that stay on their cuff are counted. */
function shortOfPumps(pumps: KitWorn['pumps'], plans: readonly Pick<Plan, 'exercises'>[]): Message[] {
  const cuffs = plans.reduce((sum, plan) => sum + cuffsAtOnce(plan), 0);
  if (pumps.length === 0 || pumps.some(({ keepsPressure }) => keepsPressure) || cuffs <= pumps.length)
    return [];
  return [
    msg(
      '{cuffs} cuffs are up at once, each stays on its pump, and there {pumps, plural, one {is # pump} other {are # pumps}}.',
      { cuffs, pumps: pumps.length },
    ),
  ];
}

/**
 * What is short while these sessions run at the same time, in words: a cuff that one person wears is there for no other.
 * @param plans of the sessions that run, and of those to be opened
 * @example two people under a cuff of which there is one //=> "Thigh medium: 2 are worn at once, and there is 1."
 */
export function shortOf(
  { cuffs, straps, pumps }: KitWorn,
  plans: readonly Pick<Plan, 'exercises'>[],
): Message[] {
  const worn = plans.map(wornAtOnce);
  const pieces = [...cuffs, ...straps].flatMap(({ id, label, howMany }) => {
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
  return [...pieces, ...shortOfPumps(pumps, plans)];
}
