import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { PeoplePage } from '#contract/client';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useMay } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { PastRetention } from './PastRetention';

/** People who were taken off the list, with all that is on record of them; put back by a press. */
export function ArchivedView() {
  const queries = useQueryClient();
  const mayErase = useMay('erase-person');
  const { data, error } = useQuery({
    queryKey: KEYS.archived,
    queryFn: () => read<PeoplePage>(api.clients.$get({ query: { archived: 'yes' } })),
  });
  const back = useMutation({
    mutationFn: (id: string) => read(api.clients[':id'].$post({ param: { id }, json: { archived: false } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.roster }),
  });
  const failed = error ?? back.error;
  return (
    <div className="max-w-3xl space-y-4 p-6">
      <h1 className="text-3xl font-semibold">{t`Archived people`}</h1>
      {failed && <FieldError>{failureWords(failed)}</FieldError>}
      {data?.people.length === 0 && (
        <p className="text-quiet">
          {t`No one is archived. People who no longer come are archived on their record.`}
        </p>
      )}
      <ul className="border-t border-ink/40 empty:border-0">
        {data?.people.map(({ id, name, story }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2">
            <Link className="min-w-52 font-semibold underline underline-offset-4" to={`/people/${id}/log`}>
              {name}
            </Link>
            <span className="min-w-0 flex-1 text-quiet">{story}</span>
            <Button disabled={back.isPending} onClick={() => back.mutate(id)}>
              <Trans>
                Put back<span className="sr-only">: {name}</span>
              </Trans>
            </Button>
          </li>
        ))}
      </ul>
      {mayErase && <PastRetention />}
    </div>
  );
}
