import { t } from '@lingui/core/macro';
import { newest } from '#core/quantity';
import type { HeavyWorkChoice } from '#core/strength';
import { failureWords } from '../../data/api';
import { useClient } from '../../data/queries';
import { heavyWorkWords } from '../../words/heavy-work-words';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { FieldError } from '../fields/Field';
import { HeavyForm, useHeavyWork } from './HeavyForm';

/** A heavy lift of the sitting, kept as the heavy work of this person; the sitting says it in the same words (rule PRO-4). */
export function HeavyInSitting({
  clientId,
  atMs,
  onKept,
  leave,
}: {
  clientId: string;
  /** When the session ended; null while it runs. */
  atMs: number | null;
  onKept: (words: string) => void;
  leave: () => void;
}) {
  const { data: client } = useClient(clientId);
  const { mass } = useUnits();
  const { write, keep } = useHeavyWork(
    clientId,
    (work: HeavyWorkChoice) => client && onKept(heavyWorkWords(client.facts, work, mass)),
    atMs,
  );
  if (!client) return null;
  return (
    <section aria-label={t`Heavy lift`} className="border-l-4 border-plum py-1 pl-3">
      <HeavyForm
        facts={client.facts}
        last={newest(client.facts.heavyWork)}
        keep={keep}
        isPending={write.isPending}
        error={write.error}
      />
      <Button onClick={leave}>{t`Not now`}</Button>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}
