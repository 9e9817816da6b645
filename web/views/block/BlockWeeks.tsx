import { dayOf, WEEKDAY_LABELS, weekdayOf } from '#core/course/days';
import type { ProgrammeWeek } from '#core/course/programme';
import { DayCell } from './DayCell';
import type { BlockState } from './use-block';

/** The whole block, a line a week: its days, the pressure of the week, and what falls due. */
export function BlockWeeks({ weeks, block }: { weeks: ProgrammeWeek[]; block: BlockState }) {
  const startDay = dayOf(block.programme.wish.startsOn);
  return (
    <table className="w-full table-fixed">
      <caption className="sr-only">The block, a row a week</caption>
      <thead>
        <tr className="text-left text-[14px] text-quiet">
          <th className="w-10 font-normal">Week</th>
          {Array.from({ length: 7 }, (_, i) => weekdayOf(startDay + i)).map((weekday) => (
            <th key={weekday} className="px-1.5 font-normal">
              {WEEKDAY_LABELS[weekday]}
            </th>
          ))}
          <th className="w-14 font-normal">% LOP</th>
          <th className="w-32 font-normal">Due</th>
        </tr>
      </thead>
      <tbody>
        {weeks.map(({ week, percentLop, deload, due }) => (
          <tr key={week} className={`border-t border-rule align-top ${deload ? 'bg-tint' : ''}`}>
            <td className="figures pt-2">{week + 1}</td>
            {Array.from({ length: 7 }, (_, i) => startDay + 7 * week + i).map((day) => (
              <td key={day} className="p-0.5">
                <DayCell day={day} block={block} />
              </td>
            ))}
            <td className="figures pt-2 text-xl">{percentLop}</td>
            <td className="pt-2 text-[14px]">
              {[deload && 'deload: up to 60 % of the heavy volume (PRO-4)', ...due]
                .filter(Boolean)
                .join('; ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
