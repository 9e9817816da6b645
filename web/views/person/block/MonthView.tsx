import { t } from '@lingui/core/macro';
import { addMonths, format } from 'date-fns';
import { useState } from 'react';
import { dayOf, isoOf, WEEKDAY_LABELS, weekdayOf } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { rangeWords } from './BlockWeeks';
import { DayCell } from './DayCell';
import type { BlockState } from './use-block';

/** One month, weeks from Monday; the pressure of the week is with each of its sessions. */
export function MonthView({ block, brush }: { block: BlockState; brush: string }) {
  const [month, setMonth] = useState(() => block.wish.startsOn.slice(0, 7));
  const firstDay = dayOf(`${month}-01`);
  const from = firstDay - weekdayOf(firstDay);
  const date = new Date(`${month}-01T12:00:00`);
  const go = (by: number) => setMonth(format(addMonths(date, by), 'yyyy-MM'));
  const rows = Array.from({ length: 6 }, (_, row) => from + 7 * row).filter(
    (day) => day === from || isoOf(day).startsWith(month),
  );
  const shares = block.weeks.filter(
    ({ firstDay, plans }) => isoOf(firstDay).startsWith(month) && plans.some(({ percentLop }) => percentLop),
  );
  return (
    <div>
      <div className="flex items-center gap-3">
        <Button onClick={() => go(-1)} aria-label={t`The month before`}>
          ←
        </Button>
        <h3 className="min-w-40 text-xl font-semibold" aria-live="polite">
          {format(date, 'MMMM yyyy')}
        </h3>
        <Button onClick={() => go(1)} aria-label={t`The month after`}>
          →
        </Button>
        <span className="text-[15px] text-quiet">
          {shares
            .map(
              ({ week, plans }) =>
                t`week ${week + 1}: ${[...new Set(plans.flatMap(({ percentLop }) => (percentLop ? [rangeWords(percentLop)] : [])))].join('/')} %`,
            )
            .join(', ')}
        </span>
      </div>
      <table className="mt-2 w-full max-w-3xl table-fixed">
        <caption className="sr-only">{format(date, 'MMMM yyyy')}</caption>
        <thead>
          <tr className="text-left text-[14px] text-quiet">
            {WEEKDAY_LABELS.map((label) => (
              <th key={translate(label)} className="px-2 font-normal">
                {translate(label)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row} className="border-t border-rule">
              {Array.from({ length: 7 }, (_, i) => row + i).map((day) => (
                <td key={day} className="p-0.5">
                  <DayCell day={day} block={block} brush={brush} outside={!isoOf(day).startsWith(month)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
