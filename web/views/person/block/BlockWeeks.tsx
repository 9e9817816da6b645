import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { format } from 'date-fns';
import { daysOf, type Range, seasonName, type WeekOfPlan } from '#core/course';
import { dayOf, WEEKDAY_LABELS, weekdayOf } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { clock, plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import { useUnits } from '../../../words/units';
import { DayCell } from './DayCell';
import type { BlockState, WeekShown } from './use-block';

/** The whole block, a line a week: its days, what each plan is meant to be in it, its dose, and what falls due. */
export function BlockWeeks({ block, brush }: { block: BlockState; brush: string }) {
  const { weeks } = block;
  const [first] = weeks;
  if (!first) return null;
  return (
    <>
      <WeekList block={block} />
      <table className="w-full table-fixed max-sm:hidden">
        <caption className="sr-only">{t`The block, a row a week`}</caption>
        <thead>
          <tr className="text-left text-[14px] text-quiet">
            <th className="w-10 font-normal">{t`Week`}</th>
            {Array.from({ length: 7 }, (_, i) => weekdayOf(first.firstDay + i)).map((weekday) => (
              <th key={weekday} className="px-1.5 font-normal">
                {translate(WEEKDAY_LABELS[weekday])}
              </th>
            ))}
            <th className="w-52 font-normal">{t`Meant to be`}</th>
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr
              key={week.week}
              className={`border-t border-rule align-top ${week.isDeload ? 'bg-tint' : ''}`}
            >
              <td className="figures pt-2">{week.week + 1}</td>
              {Array.from({ length: 7 }, (_, i) => week.firstDay + i).map((day) => (
                <td key={day} className="p-0.5">
                  <DayCell day={day} block={block} brush={brush} />
                </td>
              ))}
              <td className="space-y-0.5 py-1 pl-2 text-[14px]">
                <Meant week={week} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What a week is meant to be: each plan's share of LOP and of 1RM, the dose, what falls due. */
function Meant({ week }: { week: WeekShown }) {
  const { mass } = useUnits();
  return (
    <>
      {week.plans.map((plan) => (
        <p key={plan.coursePlanId}>
          {week.plans.length > 1 && `${translate(plan.name)}: `}
          <span className="figures text-[15px]">{figuresOf(plan).join(', ')}</span>
        </p>
      ))}
      <p className="text-quiet">
        <Trans>
          {week.isDeload && t`Deload: `}
          <span className="figures">{week.sets}</span> sets,{' '}
          <span className="figures">{clock(week.occludedMs)}</span> occluded
        </Trans>
      </p>
      {week.heavy && (
        <p className={week.heavy.isOverMost ? 'notched text-ochre' : 'text-quiet'}>
          {t`${week.heavy.percent} % of the heavy volume: ${plain(mass.inUnit(week.heavy.kgReps), 0)} of ${plain(mass.inUnit(week.heavy.heavyKgReps), 0)} ${mass.unit}·reps a week`}{' '}
          <Why rule="PRO-4" />
        </p>
      )}
      {week.due.map((words) => (
        <p key={translate(words)} className="notched text-ochre">
          {translate(words)}
        </p>
      ))}
    </>
  );
}

/** The figures of a plan in a week: one, or from the least to the most. */
const figuresOf = ({ percentLop, percentOneRepMax, watts, minutes }: WeekOfPlan): string[] => [
  ...(percentLop ? [t`${rangeWords(percentLop)} % of LOP`] : []),
  ...(percentOneRepMax ? [t`${rangeWords(percentOneRepMax)} % of 1RM`] : []),
  ...(watts ? [`${rangeWords(watts)} W`] : []),
  ...(minutes ? [`${rangeWords(minutes)} min`] : []),
];

/** @example rangeWords({ low: 45, high: 50 }) //=> '45–50' */
export const rangeWords = ({ low, high }: Range): string =>
  low === high ? plain(low, 1) : `${plain(low, 1)}–${plain(high, 1)}`;

const STATES = { done: t`done`, missed: t`missed` } as const;

/** The same on a phone, where seven days do not fit next to each other: a week is its sessions in words. */
function WeekList({ block: { weeks, entries, plans, wish } }: { block: BlockState }) {
  return (
    <ol className="sm:hidden" aria-label={t`The block, week by week`}>
      {weeks.map((week) => (
        <li
          key={week.week}
          className={`space-y-0.5 border-t border-rule py-2 text-[15px] ${week.isDeload ? 'bg-tint' : ''}`}
        >
          <p className="font-semibold">{t`Week ${week.week + 1}`}</p>
          {entries
            .filter(({ day }) => day >= week.firstDay && day < week.firstDay + 7)
            .map((entry, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a plan may be listed twice on a day
              <p key={place}>
                <span className="figures">{format(noonOf(entry.day), t`EEE d MMM`)}</span>{' '}
                {translate(
                  plans.find(({ id }) => id === entry.coursePlanId)?.name ?? t`a plan that has ended`,
                )}
                {entry.state !== 'to-come' && `, ${STATES[entry.state]}`}
                {entry.state === 'to-come' && entry.makesUp && t`, makes up a missed one`}
              </p>
            ))}
          {wish.season
            .filter((one) => daysOf(one).some((day) => day >= week.firstDay && day < week.firstDay + 7))
            .map((one) => (
              <p key={one.id} className="border-l-2 border-ink pl-2">
                <span className="figures">{format(noonOf(dayOf(one.day)), t`EEE d MMM`)}</span>{' '}
                {translate(seasonName(one))}
              </p>
            ))}
          <div className="text-[14px]">
            <Meant week={week} />
          </div>
        </li>
      ))}
    </ol>
  );
}
