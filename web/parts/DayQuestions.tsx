import { DAY_SIGNS, type DaySign } from '#core/screening/day-check';

/** What was answered of the questions of the day: whether each is well. */
export type DayAnswers = Partial<Record<DaySign, boolean>>;

/** The questions of the day, each with yes and no; yes means well (rule SCR-3). */
export function DayQuestions({
  signs,
  well,
  setWell,
}: {
  signs: readonly DaySign[];
  well: DayAnswers;
  setWell: (well: DayAnswers) => void;
}) {
  return (
    <ul className="grid gap-x-6 sm:grid-cols-2">
      {signs.map((sign) => (
        <li key={sign} className="grid grid-cols-[1fr_auto] items-center gap-2 border-b border-rule py-1">
          <span>{DAY_SIGNS[sign].ask}</span>
          <span className="flex gap-1">
            {[true, false].map((yes) => (
              <button
                key={String(yes)}
                type="button"
                aria-pressed={well[sign] === yes}
                onClick={() => setWell({ ...well, [sign]: yes })}
                className="min-h-9 min-w-12 rounded-sm border border-ink/40 px-2 text-[15px] aria-pressed:border-plum aria-pressed:bg-plum aria-pressed:text-on-plum"
              >
                {yes ? 'Yes' : 'No'}
                <span className="sr-only">, {DAY_SIGNS[sign].ask}</span>
              </button>
            ))}
          </span>
        </li>
      ))}
    </ul>
  );
}
