import { t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import type { ClientRecord } from '#contract/client';
import type { LinkId } from '#core/record';
import { firstSteps } from '../../../state/first-steps';

/** What each step is, and why. */
const STEPS: Record<LinkId, string> = {
  screen: t`Ask every question, then take two readings of the blood pressure: it finds who must not train under a cuff, and who needs a letter first.`,
  fit: t`Tape the girth where the cuff goes, and the cuff that fits is chosen: one that is too narrow needs more pressure.`,
  measure: t`Find the pressure at which the pulse goes. Every later pressure is a share of it, so that it is this person’s own.`,
  load: t`One set to failure gives the 1RM, and the load is a share of it. It can be left out: the draft then does without kilograms.`,
  prescribe: t`The best draft is here already. Read it, change it, sign it: nothing runs that is not signed.`,
  run: t`Space is always the next thing. The line at the foot shows every cuff that is up, how long is left, and the key that lets it down.`,
};

/** At the first time at a step one line says what it is and why; it is gone once that step was done, for anyone. */
export function FirstStep({ client, step }: { client: ClientRecord; step: LinkId }) {
  const isDue = firstSteps.useIsDue(step);
  const link = client.chain.find(({ id }) => id === step);
  const before = useRef(client.chain);
  useEffect(() => {
    const wasGood = (id: LinkId) => before.current.some((one) => one.id === id && one.state === 'good');
    firstSteps.done(client.chain.flatMap(({ id, state }) => (state === 'good' && !wasGood(id) ? [id] : [])));
    before.current = client.chain;
  }, [client.chain]);
  if (!isDue || link?.state === 'good') return null;
  return (
    <p role="note" className="mx-6 mt-3 max-w-prose border-l-4 border-plum pl-3 text-[15px] print:hidden">
      {STEPS[step]}{' '}
      <button
        type="button"
        className="min-h-9 text-quiet underline underline-offset-4"
        onClick={firstSteps.explainNone}
      >
        {t`Explain no more`}
      </button>
    </p>
  );
}
