import { length, msg, only } from '../../message/message';
import { LIMB_LABELS } from '../../quantity/limb';
import { ageWords } from '../age-words';
import type { ClientFacts } from '../facts';
import { fitInForce } from '../in-force';
import type { Link } from '../link';
import { type Prescribed, usesOf, worstOf } from './uses';

export function fitLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
  const common = { id: 'fit', rules: ['FIT-1', 'FIT-2'] } satisfies Partial<Link>;
  const links = usesOf(facts, prescribed).map(({ limb }): Link => {
    const fit = fitInForce(facts.fits, limb);
    if (!fit) {
      return {
        ...common,
        state: 'missing',
        figure: msg('no girth'),
        reason: msg('{limb}: no girth yet.', { limb: LIMB_LABELS[limb] }),
      };
    }
    const girth = length(fit.girthCm);
    return {
      ...common,
      state: 'good',
      figure: only(girth),
      reason: msg('{limb}: {girth}, {worn}, {age}.', {
        limb: LIMB_LABELS[limb],
        girth,
        worn: fit.label,
        age: ageWords(fit.atMs, nowMs),
      }),
    };
  });
  return (
    worstOf(links) ?? {
      ...common,
      state: 'missing',
      figure: msg('no girth'),
      reason: msg('No limb has a girth and a cuff yet.'),
    }
  );
}
