import { t } from '@lingui/core/macro';
import { Link } from 'react-router';
import type { Lead } from '#core/plan';
import { RUNG_NAMES } from '#core/plan';
import { isEqual, LIMB_NAMES, limbKind } from '#core/quantity';
import { translate } from '../../../language/translate';
import { kitAddress } from '../../../parts/plan/kit-address';
import { usePlanSearch } from '../../../parts/plan/use-plan-in-hand';
import { trainableLimbs } from './state/choices';
import type { ComposerState } from './state/use-composer';

const STYLE = 'inline-flex min-h-11 items-center font-semibold underline underline-offset-4';

/** Where one goes on from what a draft lacks: no draft ends without a way out. */
export function Leads({ composer, clientId }: { composer: ComposerState; clientId: string }) {
  const { leads, wish, draftAgain, basis, session } = composer;
  const search = usePlanSearch();
  const once = leads.filter((lead, place) => leads.findIndex((other) => isEqual(other, lead)) === place);
  const person = `/people/${clientId}`;
  const shown = once.flatMap((lead) => {
    const key = JSON.stringify(lead);
    const link = (to: string, words: string) => [
      <Link key={key} className={STYLE} to={to}>
        {words}
      </Link>,
    ];
    const draft = (part: Partial<typeof wish>, words: string) => [
      <button key={key} type="button" className={STYLE} onClick={() => draftAgain({ ...wish, ...part })}>
        {words}
      </button>,
    ];
    switch (lead.to) {
      case 'measure':
        return link(`${person}/measure${search}`, t`Measure the ${translate(LIMB_NAMES[lead.limb])}`);
      case 'test':
        return link(`${person}/load${exerciseSearch(lead)}`, t`Test a 1RM, or check 30 repetitions`);
      case 'kit':
        return link(kitAddress({ back: `${person}/prescribe${search}` }), t`Change the kit`);
      case 'rung':
        return draft(
          { goal: 'rehab', rung: lead.rung },
          t`Draft the rung ${translate(RUNG_NAMES[lead.rung])}`,
        );
      case 'any-place':
        return draft({ place: undefined }, t`Draft for any place`);
      case 'both-limbs': {
        const limbs = trainableLimbs(basis, limbKind(wish.limbs[0] ?? 'left-thigh'));
        if (limbs.length === 2) return draft({ limbs, together: true }, t`Draft for both`);
        return link(`${person}/measure${search}`, t`Measure the other side`);
      }
    }
  });
  if (shown.length === 0) return null;
  return (
    <nav aria-label={session ? t`More is possible` : t`What to do`} className="flex flex-wrap gap-x-6">
      {shown}
    </nav>
  );
}

const exerciseSearch = ({ exerciseId }: Extract<Lead, { to: 'test' }>): string =>
  exerciseId === undefined ? '' : `?${new URLSearchParams({ exercise: exerciseId })}`;
