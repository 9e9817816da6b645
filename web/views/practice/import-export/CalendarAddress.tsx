import { t } from '@lingui/core/macro';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { CalendarFeed, NewCalendarFeed } from '#contract/calendar';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { workingPractitioner } from '../../../data/practitioner';
import { Button } from '../../../parts/base/Button';
import { useAddressForPhones } from '../../../parts/base/QrForPhone';
import { FieldError } from '../../../parts/fields/Field';
import { Tick } from '../../../parts/fields/Tick';

/** The practitioner's own training calendar, at an address that a calendar program can subscribe to. */
export function CalendarAddress() {
  const who = workingPractitioner.use();
  const queries = useQueryClient();
  const key = [...KEYS.calendar, who];
  const { data: feed } = useQuery({ queryKey: key, queryFn: () => read<CalendarFeed>(api.calendar.$get()) });
  const [namesPeople, setNamesPeople] = useState(false);
  const [address, setAddress] = useState<string | null>(null);
  const phones = useAddressForPhones();
  const make = useMutation({
    mutationFn: () => read<NewCalendarFeed>(api.calendar.$post({ json: { namesPeople } })),
    onSuccess: ({ path }) => {
      setAddress(new URL(path, phones.address).href);
      void queries.invalidateQueries({ queryKey: key });
    },
  });
  const end = useMutation({
    mutationFn: () => read<CalendarFeed>(api.calendar.end.$post()),
    onSuccess: () => {
      setAddress(null);
      void queries.invalidateQueries({ queryKey: key });
    },
  });
  const copy = async (text: string) => {
    await navigator.clipboard.writeText(text);
    toast(t`Address copied.`);
  };
  const error = make.error ?? end.error;
  return (
    <section aria-labelledby="calendar-address" className="max-w-4xl space-y-2">
      <h2 id="calendar-address" className="text-xl font-semibold">
        {t`Your calendar`}
      </h2>
      <p className="max-w-prose text-[15px] text-quiet">
        {t`The sessions of everyone whose block you have kept, for your calendar program. Anyone with the address can read it; it is shown once, and a new one ends the old.`}
      </p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Tick checked={namesPeople} onChange={setNamesPeople}>
          {t`with names`}
        </Tick>
        <Button disabled={make.isPending} onClick={() => make.mutate()}>
          {feed?.exists ? t`Make a new address` : t`Make an address`}
        </Button>
        {feed?.exists && (
          <Button disabled={end.isPending} onClick={() => end.mutate()}>
            {t`End it`}
          </Button>
        )}
      </div>
      {address && (
        <p className="flex flex-wrap items-center gap-4">
          <code className="figures max-w-full break-all text-[14px]">{address}</code>
          <Button onClick={() => void copy(address)}>{t`Copy`}</Button>
        </p>
      )}
      {error && <FieldError>{failureWords(error)}</FieldError>}
    </section>
  );
}
