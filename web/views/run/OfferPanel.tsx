import { useHotkeys } from 'react-hotkeys-hook';
import type { Plan } from '#core/plan/plan';
import { RULES } from '#core/rules/catalogue';
import type { EventBody } from '#core/session/events';
import { offerAfterSet } from '#core/session/offer';
import type { SessionState } from '#core/session/state';
import { usePractice } from '../../data/queries';
import { Button } from '../../parts/Button';
import { useUnits } from '../../parts/units';
import { loosenEvents } from './actions';

/** The change a practitioner would make after a set that fell short; accepted or not, it is on record. */
export function OfferPanel({
  plan,
  state,
  append,
}: {
  plan: Plan;
  state: SessionState;
  append: (...bodies: EventBody[]) => Promise<void>;
}) {
  const { data: practice } = usePractice();
  const { mass } = useUnits();
  const offered = offerAfterSet(plan, state, practice?.weightKits ?? []);
  const answer = (accepted: boolean) => {
    if (!offered) return;
    const { exerciseIndex, setIndex, offer, reason } = offered;
    const answered: EventBody = { type: 'offer-answered', exerciseIndex, setIndex, offer, accepted, reason };
    const done = accepted && offer.kind === 'loosen' ? loosenEvents(plan, state) : [];
    void append(answered, ...done);
  };
  useHotkeys('y', () => answer(true));
  useHotkeys('n', () => answer(false));
  if (!offered) return null;
  const { offer } = offered;
  const words =
    offer.kind === 'loosen'
      ? `Loosen by ${offer.byMmHg}`
      : offer.kind === 'rest'
        ? `Rest ${offer.restMs / 1000} s from now on`
        : `Go on with ${mass.words(offer.loadKg)}`;
  return (
    <section role="status" className="border-l-4 border-plum py-1 pl-3">
      <p>
        {offered.reason}{' '}
        <abbr className="text-[13px] no-underline" title={RULES[offered.rule].text}>
          {offered.rule}
        </abbr>
      </p>
      <div className="mt-1 flex gap-2">
        <Button keyHint="Y" onClick={() => answer(true)}>
          {words}
        </Button>
        <Button keyHint="N" onClick={() => answer(false)}>
          Keep on
        </Button>
      </div>
    </section>
  );
}
