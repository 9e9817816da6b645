import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { type BlockWish, type CalendarDays, calendarDays, SEASON_LABELS } from '#core/course';
import { byDay, dayOf, WEEKDAY_LABELS } from '#core/quantity';
import { translate } from '../../../language/translate';
import { FieldError } from '../../../parts/fields/Field';
import { FileLink } from '../../../parts/fields/FileLink';
import { isoWords } from '../../../words/noon';

const MOST_MB = 10;
/** As many as a block may have. */
const MOST_DAYS = 120;
const linkLook = 'min-h-11 underline underline-offset-4 disabled:no-underline disabled:text-quiet';

/** Days that a person's own calendar takes, and heavy training that it knows: taken over by a press, never by itself. */
export function CalendarImport({
  wish,
  change,
}: {
  wish: BlockWish;
  change: (part: Partial<BlockWish>) => void;
}) {
  const [found, setFound] = useState<CalendarDays | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const open = async (file: File) => {
    const { readCalendar, NotACalendar } = await import('./read-calendar');
    setFound(null);
    setRefused(null);
    try {
      if (file.size > MOST_MB * 1024 * 1024) throw new NotACalendar(t`At most ${MOST_MB} MB are read here.`);
      const fromDay = dayOf(wish.startsOn);
      const { appointments, broken } = readCalendar(await file.text(), fromDay, fromDay + 7 * wish.weeks - 1);
      if (broken > 0) setRefused(t`${broken} of its appointments could not be read; the others were.`);
      setFound(calendarDays(appointments, { fromDay, weeks: wish.weeks }));
    } catch (error) {
      setRefused(error instanceof Error ? error.message : String(error));
    }
  };
  const days = found?.days.filter(({ id }) => !wish.season.some((one) => one.id === id)) ?? [];
  const heavy = found?.heavy.filter(({ weekday }) => !wish.heavy.includes(weekday)) ?? [];
  return (
    <section aria-label={t`From their calendar`} className="text-[15px]">
      <FileLink label={t`Calendar to read`} accept=".ics,text/calendar" onFile={(file) => void open(file)}>
        {t`Days from a calendar file (.ics)`}
      </FileLink>
      {refused && <FieldError>{refused}</FieldError>}
      {found && days.length === 0 && heavy.length === 0 && (
        <p className="text-quiet">{t`Nothing more in it takes a day of this block.`}</p>
      )}
      {days.length > 0 && (
        <div>
          <ul>
            {days.slice(0, 8).map(({ id, kind, day, title }) => (
              <li key={id}>
                <span className="figures">{isoWords(day)}</span> {translate(SEASON_LABELS[kind])}: {title}
              </li>
            ))}
            {days.length > 8 && <li>{t`and ${days.length - 8} more`}</li>}
          </ul>
          <button
            type="button"
            className={linkLook}
            onClick={() =>
              change({
                season: [...wish.season, ...days].sort(byDay).slice(0, MOST_DAYS),
              })
            }
          >
            {days.length === 1
              ? t`Take it into the calendar`
              : t`Take these ${days.length} into the calendar`}
          </button>
        </div>
      )}
      {heavy.map(({ weekday, title, times }) => (
        <p key={weekday}>
          <Trans>
            {translate(WEEKDAY_LABELS[weekday])}: {title}, {times} times.{' '}
            <button
              type="button"
              className={linkLook}
              onClick={() => change({ heavy: [...wish.heavy, weekday].sort() })}
            >
              Heavy on {translate(WEEKDAY_LABELS[weekday])}
            </button>
          </Trans>
        </p>
      ))}
    </section>
  );
}
