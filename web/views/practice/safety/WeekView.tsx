import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { addDays, format } from 'date-fns';
import { Link } from 'react-router';
import type { WeekView as Week } from '#contract/outcomes';
import { failureWords } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { useWeek } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { FieldError } from '../../../parts/fields/Field';

/** What the week asks of the practice: one list of who needs attention, and one strip of the hours to come. */
export function WeekView() {
  const { data, error } = useWeek();
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  return (
    <div className="space-y-6 p-6">
      <PracticeHead title={t`This week`}>{null}</PracticeHead>
      {data ? <Shown week={data} /> : <p className="text-quiet">{t`Looking at everyone who trains…`}</p>}
    </div>
  );
}

function Shown({ week: { training, away, adherence, people, load } }: { week: Week }) {
  return (
    <>
      <Hours load={load} />
      <section>
        <h2 className="text-xl font-semibold">{t`Who needs attention`}</h2>
        <p className="text-quiet">
          {t`${people.length} of ${training} who train or have a plan; ${away} with a plan do not come.`}
        </p>
        <p>
          {adherence.planned > 0
            ? t`Adherence in four weeks: ${adherence.done} of ${adherence.planned} planned sessions were done (${Math.round((100 * adherence.done) / adherence.planned)} %), by ${adherence.people} people whose days are planned.`
            : t`Adherence: no one has sessions on planned days.`}
        </p>
        <ul aria-label={t`Who needs attention`} className="mt-2 max-w-4xl border-t border-ink/40">
          {people.map(({ clientId, name, needs, adherence }) => (
            <li key={clientId} className="border-b border-rule">
              <Link
                to={`/people/${clientId}`}
                className="grid gap-x-6 py-2 hover:bg-tint sm:grid-cols-[15rem_1fr_auto]"
              >
                <span className="font-semibold">{name}</span>
                <span>
                  {needs.map(({ words, inDays }) => (
                    <span
                      key={translate(words)}
                      className={`block ${inDays < 0 ? 'notched text-ochre' : ''}`}
                    >
                      {translate(words)}
                    </span>
                  ))}
                </span>
                {adherence && (
                  <span className="text-[14px] text-quiet">
                    <Trans>
                      <span className="figures">
                        {adherence.done} of {adherence.planned}
                      </span>{' '}
                      in four weeks
                    </Trans>
                  </span>
                )}
              </Link>
            </li>
          ))}
        </ul>
        {people.length === 0 && <p className="mt-2">{t`No one: all holds for the week.`}</p>}
      </section>
    </>
  );
}

const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** The sessions that blocks have in the coming days, hour by hour. */
function Hours({ load }: { load: Week['load'] }) {
  const today = new Date(serverNow());
  const count = (inDays: number) => load.filter((one) => one.inDays === inDays);
  return (
    <table className="w-full max-w-4xl table-fixed border-t border-ink/40">
      <caption className="text-left text-quiet">{t`Sessions of the blocks, by the hour`}</caption>
      <thead>
        <tr className="text-left text-[14px] text-quiet">
          {DAYS.map((inDays) => (
            <th key={inDays} className="py-1 font-normal">
              {format(addDays(today, inDays), t`EEE d MMM`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr className="align-top">
          {DAYS.map((inDays) => (
            <td key={inDays} className="border-t border-rule py-1.5">
              {count(inDays).length === 0 && <span className="text-quiet">–</span>}
              {count(inDays).map(({ hour, sessions }) => (
                <span key={hour} className="flex items-center gap-x-2 max-sm:flex-col max-sm:items-start">
                  <span className="figures text-[14px]">{String(hour).padStart(2, '0')}:00</span>
                  <span
                    className="h-3 bg-plum max-sm:hidden"
                    style={{ width: `${Math.min(8, sessions) * 0.5}rem` }}
                  />
                  <span className="figures">{sessions}</span>
                </span>
              ))}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
