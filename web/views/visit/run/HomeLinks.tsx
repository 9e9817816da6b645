import { t } from '@lingui/core/macro';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { type HomeLink, LINK_WEEKS, type MadeHomeLink } from '#contract/home';
import type { CoursePlan } from '#core/course';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useMay } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { QrForPhone } from '../../../parts/base/QrForPhone';
import { Choice } from '../../../parts/fields/Choice';
import { FieldError } from '../../../parts/fields/Field';
import { day } from '../../../words/format';

const WEEKS = [1, 2, LINK_WEEKS.usual, LINK_WEEKS.most];

/** A link with which the person trains by this plan at home: made as a code for their phone, shown once, and ended here. */
export function HomeLinks({ clientId, coursePlan }: { clientId: string; coursePlan: CoursePlan }) {
  const queries = useQueryClient();
  const [search] = useSearchParams();
  const mayGive = useMay('sign');
  const key = KEYS.homeLinks(clientId);
  const { data: links } = useQuery({
    queryKey: key,
    queryFn: () => read<HomeLink[]>(api.clients[':id']['home-links'].$get({ param: { id: clientId } })),
  });
  const [weeks, setWeeks] = useState(LINK_WEEKS.usual);
  const [made, setMade] = useState<MadeHomeLink | null>(null);
  const make = useMutation({
    mutationFn: () =>
      read<MadeHomeLink>(
        api.clients[':id']['home-links'].$post({
          param: { id: clientId },
          json: { coursePlanId: coursePlan.id, weeks },
        }),
      ),
    onSuccess: (link) => {
      setMade(link);
      void queries.invalidateQueries({ queryKey: key });
    },
  });
  const end = useMutation({
    mutationFn: (linkId: string) =>
      read<HomeLink[]>(
        api.clients[':id']['home-links'][':linkId'].end.$post({ param: { id: clientId, linkId } }),
      ),
    onSuccess: (left) => {
      setMade(null);
      queries.setQueryData(key, left);
    },
  });
  const good = links?.filter(({ coursePlanId }) => coursePlanId === coursePlan.id) ?? [];
  const error = make.error ?? end.error;
  return (
    <details open={search.get('home') === 'link'}>
      <summary className="min-h-9 cursor-pointer underline underline-offset-4">
        {t`${translate(coursePlan.name)} at home: ${good.length === 0 ? t`no link` : `${good.length} ${good.length === 1 ? t`link` : t`links`}`}`}
      </summary>
      <div className="max-w-3xl space-y-3 border-l-4 border-plum py-1 pl-4">
        <p className="text-[15px] text-quiet">
          {t`A page of this plan for the person’s own phone, without an account and without their name. It asks the day’s questions, keeps the pace, works without a network, and sends what was done here to be reviewed. Nothing is done at home that would not be opened here.`}
        </p>
        <ul>
          {good.map((link) => (
            <li key={link.id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
              <span className="mr-auto">
                {t`Made ${day(link.madeAtMs)}, good until ${day(link.untilMs)}, ${link.sessions === 1 ? t`1 session` : t`${link.sessions} sessions`} so far`}
              </span>
              {mayGive && (
                <Button disabled={end.isPending} onClick={() => end.mutate(link.id)}>
                  {t`End it`}
                </Button>
              )}
            </li>
          ))}
        </ul>
        {made && (
          <div className="flex flex-wrap items-center gap-4">
            <QrForPhone path={made.path} label={t`the plan at home`} sizePx={200}>
              {(address) => (
                <div className="min-w-0 flex-1 space-y-2">
                  <p>{t`It is shown once: let them read it with their phone now.`}</p>
                  <code className="figures block max-w-full break-all text-[14px]">{address}</code>
                  <Button
                    onClick={() =>
                      void navigator.clipboard.writeText(address).then(() => toast(t`Link copied.`))
                    }
                  >
                    {t`Copy the link`}
                  </Button>
                </div>
              )}
            </QrForPhone>
          </div>
        )}
        {mayGive && (
          <div className="flex flex-wrap items-end gap-4">
            <Choice
              label={t`Good for weeks`}
              value={String(weeks)}
              onChange={(value) => setWeeks(Number(value))}
              options={WEEKS.map((value) => ({ value: String(value), label: String(value) }))}
            />
            <Button disabled={make.isPending} onClick={() => make.mutate()}>
              {t`Make a link`}
            </Button>
          </div>
        )}
        {error && <FieldError>{failureWords(error)}</FieldError>}
      </div>
    </details>
  );
}
