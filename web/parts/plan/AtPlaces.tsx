import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import { type AtPlace, atPlace, type Basis, type Plan, type SessionChoice } from '#core/plan';
import { PLACE_IDS, PLACE_LABELS, type Place } from '#core/quantity';
import { usePractice } from '../../data/queries';
import { translate } from '../../language/translate';
import { Button } from '../base/Button';
import { WordMenu } from '../base/WordMenu';

const OPTIONS: { value: Place | 'anywhere'; label: string }[] = [
  { value: 'anywhere', label: t`with all kit` },
  ...PLACE_IDS.map((value) => ({ value, label: translate(PLACE_LABELS[value]) })),
];

/** What another place changes of a session: loads and cuffs worked out again with what is there, and what is stale or missing. */
export function AtPlaces({
  session,
  plan,
  basis,
  take,
}: {
  session: SessionChoice;
  plan: Plan;
  basis: Basis;
  /** Where it may be changed to that. */
  take?: (session: SessionChoice) => void;
}) {
  const { data: practice } = usePractice();
  const [place, setPlace] = useState<Place | 'anywhere'>('anywhere');
  const there = useMemo(
    () => (place === 'anywhere' || !practice ? null : atPlace(session, plan, basis, practice, place)),
    [session, plan, basis, practice, place],
  );
  // Where all kit is everywhere, nothing changes anywhere.
  const isKept = practice && [...practice.cuffs, ...practice.weightKits, ...practice.straps].some(hasPlaces);
  if (!isKept) return null;
  return (
    <section aria-label={t`Another place`} className="text-[15px]">
      <p>
        <Trans>
          Worked out <WordMenu label={t`Place`} value={place} onChange={setPlace} options={OPTIONS} />.
        </Trans>
      </p>
      {there && <There there={there} take={take} />}
    </section>
  );
}

const hasPlaces = ({ places }: { places?: readonly Place[] | undefined }): boolean =>
  (places ?? []).length > 0;

function There({ there, take }: { there: AtPlace; take: ((session: SessionChoice) => void) | undefined }) {
  const { session, changes, missing } = there;
  return (
    <div role="status" className="mt-1 max-w-3xl space-y-1">
      <ul>
        {changes.map((words) => (
          <li key={translate(words)}>{translate(words)}</li>
        ))}
        {missing.map((words) => (
          <li key={translate(words)} className="notched py-0.5">
            {translate(words)}
          </li>
        ))}
        {changes.length === 0 && missing.length === 0 && <li>{t`Nothing changes there.`}</li>}
      </ul>
      {take && session && changes.length > 0 && (
        <Button onClick={() => take(session)}>{t`Change it to that`}</Button>
      )}
    </div>
  );
}
