import { useState } from 'react';
import { isUnderWay, type Measuring, measuringAt, type Place } from '#core/measuring';
import { serverNow } from '../../../data/clock';
import { useDraft } from '../../../parts/forms/use-draft';

/**
 * The state of measuring a person. It begins, and stays, where the record says that something is due, until the operator
 * chooses another place or begins a trial; what an earlier visit left counts only while it is still under way.
 */
export function useMeasuring(clientId: string, due: Place): [Measuring, (next: Measuring) => void] {
  const [kept, keep] = useDraft<Measuring | null>(`measuring ${clientId}`, null);
  const [counts, setCounts] = useState(() => kept !== null && isUnderWay(kept, serverNow()));
  const change = (next: Measuring) => {
    setCounts(true);
    keep(next);
  };
  return [kept !== null && counts ? kept : measuringAt(due), change];
}
