import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord, NewScreening } from '#contract/client';
import { newest } from '#core/chain/facts';
import { STOP_ITEMS } from '#core/screening/screening';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { BenchHeading } from '../../parts/Bench';
import { Button } from '../../parts/Button';
import { Field, FieldError } from '../../parts/Field';
import { dayAndTime } from '../../parts/format';

/** Declares the outcome of a screening done in person. */
export function ScreenBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const [note, setNote] = useState('');
  const write = useRecordWrite((json: NewScreening) =>
    read(api.clients[':id'].screenings.$post({ param: { id: client.id }, json })),
  );
  const last = newest(client.facts.screenings);
  const declare = async (outcome: NewScreening['outcome']) => {
    const record = await write.mutateAsync({ outcome, note }).catch(() => null);
    if (!record) return;
    setNote('');
    if (outcome === 'clear-to-start') navigate(`/people/${client.id}/fit`);
  };
  return (
    <section className="grid gap-8 lg:grid-cols-[1fr_22rem]">
      <div>
        <BenchHeading title="Screen">
          Ask each of these, take a resting blood pressure, then declare the outcome.
        </BenchHeading>
        <ul className="grid gap-x-8 md:grid-cols-2">
          {STOP_ITEMS.map((item) => (
            <li key={item} className="border-b border-rule py-1.5">
              {item}
            </li>
          ))}
        </ul>
        <p className="mt-3 text-[14px] text-quiet">
          Any of these stops the start until a physician has cleared it (SCR-1). A screening holds 12 weeks.
        </p>
      </div>
      <div className="space-y-4">
        {last && (
          <p>
            Last: <strong>{last.outcome === 'clear-to-start' ? 'clear to start' : 'do not start'}</strong>,{' '}
            {dayAndTime(last.atMs)}. {last.note}
          </p>
        )}
        <Field
          label="Blood pressure and anything to remember"
          placeholder="Resting 128/78"
          value={note}
          maxLength={400}
          onChange={(event) => setNote(event.target.value)}
        />
        <div className="flex flex-col gap-2">
          <Button kind="main" disabled={write.isPending} onClick={() => void declare('clear-to-start')}>
            None of these: clear to start
          </Button>
          <Button disabled={write.isPending} onClick={() => void declare('do-not-start')}>
            Something found: do not start
          </Button>
        </div>
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      </div>
    </section>
  );
}
