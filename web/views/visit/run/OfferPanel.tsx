import { t } from '@lingui/core/macro';
import { memo } from 'react';
import type { Plan } from '#core/plan';
import { noHarderWords, offerAfterSet, type SessionState, tooHardWords } from '#core/session';
import type { Act } from '../../../act/act';
import { usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { useAction } from '../../../parts/keys/use-action';
import { offerWords } from '../../../words/offer-words';
import { useUnits } from '../../../words/units';

/** The change a practitioner would make after a set that fell short; accepted or not, it is on record. */
export const OfferPanel = memo(function OfferPanel({
  plan,
  state,
  act,
}: {
  plan: Plan;
  state: SessionState;
  act: Act;
}) {
  const { data: practice } = usePractice();
  const { mass } = useUnits();
  const offered = offerAfterSet(plan, state, practice?.weightKits ?? []);
  const answer = (accepted: boolean) => offered && act({ do: 'answer-offer', accepted });
  useAction('take', () => answer(true), { enabled: offered !== null });
  useAction('keep-on', () => answer(false), { enabled: offered !== null });
  if (!offered)
    return <ToLookAt words={translate(noHarderWords(plan, state)) ?? translate(tooHardWords(plan, state))} />;
  const words = offerWords(offered.offer, mass.words);
  return (
    <section role="status" className="border-l-4 border-plum py-1 pl-3">
      <p>
        {translate(offered.reason)} <Why rule={offered.rule} />
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <Button does="take" onClick={() => answer(true)}>
          {words.charAt(0).toUpperCase() + words.slice(1)}
        </Button>
        <Button does="keep-on" onClick={() => answer(false)}>
          {t`Keep on`}
        </Button>
      </div>
    </section>
  );
});

/** A second set that felt no harder than the first, or one too hard without a LOP, asks for a look and for no answer. */
const ToLookAt = ({ words }: { words: string | null }) =>
  words && (
    <p role="status" className="notched py-1">
      {words}
    </p>
  );
