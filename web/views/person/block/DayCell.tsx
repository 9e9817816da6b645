import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import { type BlockEntry, daysOf, postponed, seasonName } from '#core/course';
import { type Day, weekdayOf } from '#core/quantity';
import { translate } from '../../../language/translate';
import { noonOf } from '../../../words/noon';
import type { BlockState } from './use-block';

/** One day of the block: which plans are planned, done or missed on it; a heavy day, a day off, today. Its words say it too. */
export function DayCell({
  day,
  block: { wish, entries, plans, today, toggle, change },
  brush,
  outside = false,
}: {
  day: Day;
  block: BlockState;
  /** The plan that pressing a day adds or takes away. */
  brush: string;
  outside?: boolean;
}) {
  const here = entries.filter((entry) => entry.day === day);
  const dated = wish.season.filter((one) => daysOf(one).includes(day));
  const isHeavy = wish.heavy.includes(weekdayOf(day));
  const beside = [...(isHeavy ? [t`heavy`] : []), ...dated.map((one) => translate(seasonName(one)))];
  const [first] = dated;
  const drop = (what: string) => {
    const { id, from }: Dragged = JSON.parse(what);
    change({
      season: wish.season.map((one) => (one.id === id ? postponed(one, day - from) : one)),
    });
  };
  const date = noonOf(day);
  const nameOf = (id: string) =>
    translate(plans.find((plan) => plan.id === id)?.name ?? t`a plan that has ended`);
  return (
    <button
      type="button"
      aria-pressed={here.some(({ coursePlanId }) => coursePlanId === brush)}
      onClick={() => toggle(day, brush)}
      onDragOver={(event) => event.dataTransfer.types.includes(DRAGGED) && event.preventDefault()}
      onDrop={(event) => drop(event.dataTransfer.getData(DRAGGED))}
      draggable={first !== undefined}
      onDragStart={(event) =>
        first &&
        event.dataTransfer.setData(DRAGGED, JSON.stringify({ id: first.id, from: day } satisfies Dragged))
      }
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
      {isHeavy && <span className="text-[13px] leading-tight">{t`heavy`}</span>}
      {dated.map((one) => (
        <span
          key={one.id}
          className="line-clamp-2 w-full border-l-2 border-ink pl-1 text-[13px] leading-tight [overflow-wrap:anywhere]"
        >
          {translate(seasonName(one))}
        </span>
      ))}
    </button>
  );
}

/** A day of the calendar that is dragged from one cell to another moves by the days between them. */
type Dragged = { id: string; from: Day };
const DRAGGED = 'application/x-calendar-day';

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
