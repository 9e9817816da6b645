import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { DateField } from '../../parts/DateField';

/** Until when somebody's certificate in this training is valid; an empty date is none. */
export function CertificateForm({
  untilDay,
  save,
}: {
  untilDay: string | null;
  save: (untilDay: string | null) => void;
}) {
  const [chosen, setChosen] = useState(untilDay ?? '');
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save(chosen === '' ? null : chosen);
      }}
    >
      <DateField label={t`Certificate valid until`} value={chosen} onChange={setChosen} />
      <Button type="submit" kind="main">
        {chosen === '' ? t`Keep none` : t`Keep the date`}
      </Button>
    </form>
  );
}
