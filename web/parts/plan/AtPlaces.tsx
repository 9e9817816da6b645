import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import { type AtPlace, atPlace, type Basis, type Plan, type SessionChoice } from '#core/plan';
import { isBound } from '#core/quantity';
import { usePractice } from '../../data/queries';
import { translate } from '../../language/translate';
import { Button } from '../base/Button';
import { WordMenu } from '../base/WordMenu';

const ANYWHERE = 'anywhere';

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
  const { places } = basis;
  const [chosen, choose] = useState(session.place ?? ANYWHERE);
  const place = places.find(({ id }) => id === chosen);
  const there = useMemo(
    () => (place && practice ? atPlace(session, plan, basis, practice, place) : null),
    [session, plan, basis, practice, place],
  );
  // Where all kit is everywhere, nothing changes anywhere.
  const isKept =
    places.some(({ id, kind }) => id !== kind) ||
    (practice && [...practice.cuffs, ...practice.weightKits, ...practice.straps].some(isBound));
  if (!isKept) return null;
  return (
    <section aria-label={t`Another place`} className="text-[15px]">
      <p>
        <Trans>
          Worked out{' '}
          <WordMenu
            label={t`Place`}
            value={place ? chosen : ANYWHERE}
            onChange={choose}
            options={[
              { value: ANYWHERE, label: t`with all kit` },
              ...places.map(({ id, label }) => ({ value: id, label: translate(label) })),
            ]}
          />
          .
        </Trans>
      </p>
      {there && <There there={there} isPlans={session.place === place?.id} take={take} />}
      {!place && session.place !== undefined && take && (
        <Button onClick={() => take(withoutPlace(session))}>{t`It may be done anywhere`}</Button>
      )}
    </section>
  );
}

const withoutPlace = ({ place: _, ...session }: SessionChoice): SessionChoice => session;

function There({
  there,
  isPlans,
  take,
}: {
  there: AtPlace;
  /** Whether it is the place of the plan already. */
  isPlans: boolean;
  take: ((session: SessionChoice) => void) | undefined;
}) {
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
      {take && session && (changes.length > 0 || !isPlans) && (
        <Button onClick={() => take(session)}>
          {changes.length > 0 ? t`Change it to that` : t`It is done there`}
        </Button>
      )}
    </div>
  );
}
