import { t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { RetentionList } from '#contract/client';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { FieldError } from '../../../parts/fields/Field';
import { day } from '../../../words/format';
import { isoWords } from '../../../words/noon';

/** For an owner: records that have been kept for as long as the practice said. Each is erased on its own page, or kept on. */
export function PastRetention() {
  const { data, error } = useQuery({
    queryKey: KEYS.retention,
    queryFn: () => read<RetentionList>(api.clients.retention.$get()),
  });
  return (
    <section aria-labelledby="past-retention" className="space-y-2">
      <h2 id="past-retention" className="text-xl font-semibold">
        {t`Kept long enough`}
      </h2>
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {data && (
        <p className="text-quiet">
          {wordsOf(data)}{' '}
          {data.keepYears === null && (
            <Link className="underline underline-offset-4" to="/kit">
              {t`Set it in Kit and practice`}
            </Link>
          )}
        </p>
      )}
      <ul className="border-t border-ink/40 empty:border-0">
        {data?.due.map(({ clientId, name, lastMs, keptUntil }) => (
          <li key={clientId} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2">
            <Link
              className="min-w-52 font-semibold underline underline-offset-4"
              to={`/people/${clientId}/record`}
            >
              {name}
            </Link>
            <span className="text-quiet">{t`Last here ${day(lastMs)}, kept until ${isoWords(keptUntil)}`}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function wordsOf({ keepYears, due }: RetentionList): string {
  if (keepYears === null) return t`How many years records are kept is not set.`;
  return due.length === 0
    ? t`No record is older than ${keepYears} years after the last visit.`
    : t`These were last here more than ${keepYears} years ago. Nothing is erased by itself: open a record to have it forgotten.`;
}
