import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import type { BlockEntry } from '#core/course';
import { type Day, isoOf, weekdayOf } from '#core/quantity';
import { noonOf } from '../../../words/noon';
import type { BlockState } from './use-block';

/** One day of the block: which plans are planned, done or missed on it; a heavy day, a day off, today. Its words say it too. */
export function DayCell({
  day,
  block: { wish, entries, plans, today, toggle },
  brush,
  outside = false,
}: {
  day: Day;
  block: BlockState;
  /** The plan that pressing a day adds or takes away. */
  brush: string;
  outside?: boolean;
}) {
  const iso = isoOf(day);
  const here = entries.filter((entry) => entry.day === day);
  const beside = [
    wish.heavy.includes(weekdayOf(day)) && t`heavy`,
    wish.daysOff.includes(iso) && t`day off`,
  ].filter(Boolean);
  const date = noonOf(day);
  const nameOf = (id: string) => plans.find((plan) => plan.id === id)?.name ?? t`a plan that has ended`;
  return (
    <button
      type="button"
      aria-pressed={here.some(({ coursePlanId }) => coursePlanId === brush)}
      onClick={() => toggle(day, brush)}
      className={`flex min-h-14 w-full flex-col items-start gap-0.5 rounded-sm px-1 py-1 text-left hover:bg-tint ${outside ? 'opacity-45' : ''}`}
    >
      <span className={`figures text-[15px] ${day === today ? 'border-b-2 border-ink' : ''}`}>
        <span className="sr-only">{format(date, 'EEEE')} </span>
        {format(date, date.getDate() === 1 ? t`d MMM` : 'd')}
        <span className="sr-only">
          {format(date, ' MMMM')}
          {(here.length > 0 || beside.length > 0) && ': '}
        </span>
      </span>
      {grouped(here).map(({ entry, times }) => (
        <span
          key={`${entry.coursePlanId} ${entry.state}`}
          className={`line-clamp-2 w-full px-1 [overflow-wrap:anywhere] text-[13px] leading-tight ${LOOKS[lookOf(entry)]}`}
        >
          {nameOf(entry.coursePlanId)}
          {times > 1 && ` ×${times}`}
          <span className="sr-only">, {WORDS[lookOf(entry)]}. </span>
        </span>
      ))}
      {beside.length > 0 && <span className="text-[13px] leading-tight">{beside.join(', ')}</span>}
    </button>
  );
}

type Look = 'done' | 'missed' | 'planned' | 'made-up';
const LOOKS: Record<Look, string> = {
  done: 'bg-plum text-on-plum',
  missed: 'border border-dashed border-ochre text-ochre',
  planned: 'border border-plum',
  'made-up': 'border-2 border-plum font-semibold',
};
const WORDS: Record<Look, string> = {
  done: t`done`,
  missed: t`missed`,
  planned: t`session`,
  'made-up': t`session that makes up a missed one`,
};

const lookOf = (entry: BlockEntry): Look =>
  entry.state === 'to-come' ? (entry.makesUp ? 'made-up' : 'planned') : entry.state;

/** What is done several times a day is listed once, with how often. */
function grouped(entries: readonly BlockEntry[]): { entry: BlockEntry; times: number }[] {
  const groups = new Map<string, { entry: BlockEntry; times: number }>();
  for (const entry of entries) {
    const key = `${entry.coursePlanId} ${lookOf(entry)}`;
    groups.set(key, { entry, times: (groups.get(key)?.times ?? 0) + 1 });
  }
  return [...groups.values()];
}
