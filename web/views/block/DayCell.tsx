import { format } from 'date-fns';
import { isoOf, weekdayOf } from '#core/course/days';
import type { BlockState } from './use-block';

/** One day of the block: a session planned, done or missed; a heavy day, a day off, today. Its words say it too. */
export function DayCell({
  day,
  block,
  outside = false,
}: {
  day: number;
  block: BlockState;
  outside?: boolean;
}) {
  const iso = isoOf(day);
  const { wish, days } = block.programme;
  const planned = days.includes(iso);
  const done = block.done.includes(day);
  const missed = block.missed.includes(iso);
  const heavy = wish.heavy.includes(weekdayOf(day));
  const off = wish.daysOff.includes(iso);
  const states = [
    done ? 'done' : missed && planned ? 'missed' : planned && 'session',
    heavy && 'heavy',
    off && 'day off',
  ].filter(Boolean);
  const date = new Date(`${iso}T12:00:00`);
  const look = done
    ? 'bg-plum text-on-plum'
    : planned
      ? missed
        ? 'border-2 border-dashed border-ochre'
        : 'border-2 border-plum font-semibold'
      : '';
  return (
    <button
      type="button"
      aria-pressed={planned}
      onClick={() => block.toggle(iso)}
      className={`flex h-14 w-full flex-col items-start rounded-sm px-1.5 py-1 text-left hover:bg-tint ${look} ${outside ? 'opacity-45' : ''} ${day === block.today ? 'underline underline-offset-4' : ''}`}
    >
      <span className="figures text-[15px]">
        <span className="sr-only">{format(date, 'EEEE')} </span>
        {format(date, date.getDate() === 1 ? 'd MMM' : 'd')}
        <span className="sr-only">
          {format(date, ' MMMM')}
          {states.length > 0 && ': '}
        </span>
      </span>
      <span className="text-[13px] leading-tight">{states.join(', ')}</span>
    </button>
  );
}
