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
      <DateField label="Certificate valid until" value={chosen} onChange={setChosen} />
      <Button type="submit" kind="main">
        {chosen === '' ? 'Keep none' : 'Keep the date'}
      </Button>
    </form>
  );
}
