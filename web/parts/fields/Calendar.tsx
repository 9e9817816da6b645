import { t } from '@lingui/core/macro';
import { format, getDefaultOptions } from 'date-fns';
import { DayPicker } from 'react-day-picker';
import { dayOf } from '#core/quantity';
import { serverNow } from '../../data/clock';
import { noonOf } from '../../words/noon';

const BUTTON =
  'inline-flex size-11 items-center justify-center rounded-sm border border-transparent hover:bg-tint disabled:opacity-45';

/** A month to choose a day from: arrows go by days, PageUp and PageDown by months. @param iso the day that is chosen, or empty */
export function Calendar({ iso, onChoose }: { iso: string; onChoose: (iso: string) => void }) {
  const chosen = iso === '' ? undefined : noonOf(dayOf(iso));
  const today = new Date(serverNow());
  const { locale } = getDefaultOptions();
  return (
    <DayPicker
      mode="single"
      autoFocus
      weekStartsOn={1}
      {...(locale && { locale })}
      today={today}
      defaultMonth={chosen ?? today}
      selected={chosen}
      onSelect={(date) => {
        if (date) onChoose(format(date, 'yyyy-MM-dd'));
      }}
      // Begins with the figure that is seen, as a user of voice control says it.
      labels={{
        labelDayButton: (date) => format(date, t`d MMMM yyyy, EEEE`),
        labelPrevious: () => t`The month before`,
        labelNext: () => t`The month after`,
      }}
      classNames={{
        months: 'relative',
        month_caption: 'flex min-h-11 items-center justify-center font-semibold',
        nav: 'absolute inset-x-0 top-0 flex justify-between',
        button_previous: BUTTON,
        button_next: BUTTON,
        chevron: 'size-5 fill-current',
        weekday: 'size-11 text-[14px] font-normal text-quiet',
        day: 'p-0 text-center',
        day_button: `figures ${BUTTON}`,
        today: 'font-semibold underline underline-offset-4',
        selected: '[&_button]:bg-plum [&_button]:text-on-plum',
        outside: 'text-quiet',
      }}
    />
  );
}
