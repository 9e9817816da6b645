import { t } from '@lingui/core/macro';
import { Link } from 'react-router';
import { type Lead, RUNG_NAMES } from '#core/plan';
import { isEqual, LIMB_NAMES, limbKind } from '#core/quantity';
import { translate } from '../../../language/translate';
import { kitAddress } from '../../../parts/plan/kit-address';
import { usePlanSearch } from '../../../parts/plan/use-plan-in-hand';
import { trainableLimbs } from './state/choices';
import type { ComposerState } from './state/use-composer';
import type { Wish } from './state/wish';

/** A way on: another page, or another wish to draft by. */
type Way = { words: string } & ({ to: string } | { wish: Partial<Wish> });

/** Where one goes on from what a draft lacks: no draft ends without a way out. */
export function Leads({ composer, clientId }: { composer: ComposerState; clientId: string }) {
  const { leads, wish, draftAgain, basis, session } = composer;
  const search = usePlanSearch();
  const pair = trainableLimbs(basis, limbKind(wish.limbs[0] ?? 'left-thigh'));
  const once = leads.filter((lead, place) => leads.findIndex((other) => isEqual(other, lead)) === place);
  if (once.length === 0) return null;
  return (
    <nav aria-label={session ? t`More is possible` : t`What to do`} className="flex flex-wrap gap-x-6">
      {once
        .map((lead) => wayOf(lead, { person: `/people/${clientId}`, search, pair }))
        .map((way) =>
          'to' in way ? (
            <Link key={way.words} className={STYLE} to={way.to}>
              {way.words}
            </Link>
          ) : (
            <button
              key={way.words}
              type="button"
              className={STYLE}
              onClick={() => draftAgain({ ...wish, ...way.wish })}
            >
              {way.words}
            </button>
          ),
        )}
    </nav>
  );
}

const STYLE = 'inline-flex min-h-11 items-center font-semibold underline underline-offset-4';

function wayOf(
  lead: Lead,
  { person, search, pair }: { person: string; search: string; pair: Wish['limbs'] },
): Way {
  switch (lead.to) {
    case 'measure':
      return { to: `${person}/measure${search}`, words: t`Measure the ${translate(LIMB_NAMES[lead.limb])}` };
    case 'test':
      return {
        to: `${person}/load${lead.exerciseId ? `?${new URLSearchParams({ exercise: lead.exerciseId })}` : ''}`,
        words: t`Test a 1RM, or check 30 repetitions`,
      };
    case 'kit':
      return { to: kitAddress({ back: `${person}/prescribe${search}` }), words: t`Change the kit` };
    case 'rung':
      return {
        wish: { goal: 'rehab', rung: lead.rung },
        words: t`Draft the rung ${translate(RUNG_NAMES[lead.rung])}`,
      };
    case 'screen':
      return { to: `${person}/screen${search}`, words: t`Look at the letters` };
    case 'clinician':
      return { to: `${person}/record${search}`, words: t`Leave a note for a clinician` };
    case 'exercises':
      return { to: '/exercises', words: t`Look through the exercises` };
    case 'any-place':
      return { wish: { place: undefined }, words: t`Draft for any place` };
    case 'both-limbs':
      return pair.length === 2
        ? { wish: { limbs: pair, together: true }, words: t`Draft for both` }
        : { to: `${person}/measure${search}`, words: t`Measure the other side` };
  }
}
