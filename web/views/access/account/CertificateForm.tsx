import { t } from '@lingui/core/macro';
import { Button } from '../../../parts/base/Button';
import { DateField } from '../../../parts/fields/DateField';
import { useFields } from '../../../parts/forms/use-fields';

/** Until when a practitioner's certificate in this training is valid; an empty date is none. */
export function CertificateForm({
  untilDay,
  save,
}: {
  untilDay: string | null;
  save: (untilDay: string | null) => void;
}) {
  const { typed, set, send } = useFields({ chosen: untilDay ?? '' }, null);
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      {...send(({ chosen }) => save(chosen === '' ? null : chosen))}
    >
      <DateField
        label={t`Certificate valid until`}
        value={typed.chosen}
        onChange={(day) => set('chosen', day)}
      />
      <Button type="submit" kind="main">
        {typed.chosen === '' ? t`Keep none` : t`Keep the date`}
      </Button>
    </form>
  );
}
