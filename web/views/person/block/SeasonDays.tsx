import { t } from '@lingui/core/macro';
import { useState } from 'react';
import {
  daysOf,
  postponed,
  SEASON_LABELS,
  type SeasonDay,
  type SeasonKind,
  seasonKindSchema,
} from '#core/course';
import { byDay, isoOf } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { DateField } from '../../../parts/fields/DateField';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { isoWords } from '../../../words/noon';

const KINDS = seasonKindSchema.options.map((value) => ({ value, label: translate(SEASON_LABELS[value]) }));
const linkLook = 'min-h-11 px-1 underline underline-offset-4';

/** The calendar of a season: games, journeys, sore days, heavy training and days off, each moved by one press (rule CRS-5). */
export function SeasonDays({
  season,
  onChange,
}: {
  season: readonly SeasonDay[];
  onChange: (season: SeasonDay[]) => void;
}) {
  const put = (one: SeasonDay) => onChange([...season.filter(({ id }) => id !== one.id), one].sort(byDay));
  return (
    <fieldset>
      <legend className="text-[15px] font-semibold">{t`Calendar`}</legend>
      <ul>
        {season.map((one) => (
          <SeasonLine
            key={one.id}
            one={one}
            change={put}
            takeAway={() => onChange(season.filter(({ id }) => id !== one.id))}
          />
        ))}
      </ul>
      {/* What was added leaves empty fields for the next. */}
      <NewSeasonDay key={season.length} add={put} />
    </fieldset>
  );
}

/** One of them, in two lines: what and when, and what a press does to it. */
function SeasonLine({
  one,
  change,
  takeAway,
}: {
  one: SeasonDay;
  change: (one: SeasonDay) => void;
  takeAway: () => void;
}) {
  const last = daysOf(one).at(-1);
  const when =
    one.toDay === undefined || last === undefined
      ? isoWords(one.day)
      : `${isoWords(one.day)} – ${isoWords(isoOf(last))}`;
  const name = one.title === '' ? translate(SEASON_LABELS[one.kind]) : one.title;
  const steps = [
    { days: -1, label: t`−1 day`, said: t`${name} a day earlier` },
    { days: 1, label: t`+1 day`, said: t`${name} a day later` },
    { days: 7, label: t`+1 week`, said: t`${name} a week later` },
  ];
  return (
    <li className="border-b border-rule py-1 text-[15px]">
      <p className="[overflow-wrap:anywhere]">
        <span className="figures">{when}</span> {translate(SEASON_LABELS[one.kind])}
        {one.title !== '' && `: ${one.title}`}
      </p>
      <p className="flex flex-wrap gap-x-2">
        {steps.map(({ days, label, said }) => (
          <button
            key={days}
            type="button"
            aria-label={said}
            className={`figures ${linkLook}`}
            onClick={() => change(postponed(one, days))}
          >
            {label}
          </button>
        ))}
        <button type="button" aria-label={t`Take away ${name}`} className={linkLook} onClick={takeAway}>
          {t`Take away`}
        </button>
        {one.kind === 'game' && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={one.dayBeforeToo ?? false}
              onChange={({ target: { checked } }) => {
                const { dayBeforeToo: _, ...rest } = one;
                change(checked ? { ...rest, dayBeforeToo: true } : rest);
              }}
            />
            {t`the day before too`}
          </label>
        )}
      </p>
    </li>
  );
}

function NewSeasonDay({ add }: { add: (one: SeasonDay) => void }) {
  const [kind, setKind] = useState<SeasonKind>('game');
  const [day, setDay] = useState('');
  const [toDay, setToDay] = useState('');
  const [title, setTitle] = useState('');
  const isLonger = kind !== 'game' && toDay !== '';
  const isBackwards = isLonger && toDay < day;
  return (
    <div className="space-y-2 pt-2">
      <Picker label={t`Kind of day`} value={kind} options={KINDS} onChange={setKind} />
      <DateField label={t`Date`} value={day} onChange={setDay} />
      {kind !== 'game' && (
        <DateField
          label={t`Until, if longer`}
          value={toDay}
          onChange={setToDay}
          error={isBackwards ? t`Choose a day after the first.` : undefined}
        />
      )}
      <Field
        label={t`Name of the day`}
        autoComplete="off"
        maxLength={80}
        value={title}
        onChange={({ target }) => setTitle(target.value)}
      />
      <Button
        disabled={day === '' || isBackwards}
        onClick={() =>
          add({
            id: crypto.randomUUID(),
            kind,
            day,
            title: title.trim(),
            ...(isLonger ? { toDay } : {}),
          })
        }
      >
        {t`Add to the calendar`}
      </Button>
    </div>
  );
}
