import { t } from '@lingui/core/macro';
import type { PracticeSettings } from '#contract/practice';
import { toNumber } from '#core/quantity';
import { Button } from '../../../parts/base/Button';
import { Field } from '../../../parts/fields/Field';
import { reads, useFields } from '../../../parts/forms/use-fields';

const MOST_YEARS = 50;

/** How many years a record is kept after the last visit; what is past it is listed for an owner, and never erased by itself. */
export function KeptFor({
  settings: { keepYears },
  change,
}: {
  settings: Pick<PracticeSettings, 'keepYears'>;
  change: (part: Pick<PracticeSettings, 'keepYears'>) => void;
}) {
  const { typed, field, send } = useFields(
    { years: String(keepYears ?? '') },
    null,
    reads<{ years: string }, { years: number | null }>(({ years }) => {
      if (years.trim() === '') return { sent: { years: null } };
      const typedYears = toNumber(years);
      return Number.isInteger(typedYears) && typedYears >= 1 && typedYears <= MOST_YEARS
        ? { sent: { years: typedYears } }
        : { wrong: { years: t`Enter whole years, 1 to ${MOST_YEARS}, or nothing.` } };
    }),
  );
  return (
    <form className="flex flex-wrap items-end gap-3" {...send(({ years }) => change({ keepYears: years }))}>
      <Field
        className="w-72"
        label={t`Records are kept after the last visit for`}
        hint={t`As the law where you work asks. Who is past it is listed for an owner under Archived people; nothing is erased by itself.`}
        unit={t`years`}
        number="whole"
        {...field('years')}
      />
      {typed.years !== String(keepYears ?? '') && <Button type="submit">{t`Save`}</Button>}
    </form>
  );
}
