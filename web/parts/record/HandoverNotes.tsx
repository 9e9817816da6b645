import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Link } from 'react-router';
import { fieldProblem } from '../../data/api';
import { useHandovers, useLeaveNote, useReadNote } from '../../data/handover';
import { usePractice } from '../../data/queries';
import { dayAndTime } from '../../words/format';
import { Button } from '../base/Button';
import { Field } from '../fields/Field';

/** What was handed over and not read yet: of everyone and the day, or of one client. */
export function HandoverNotes({ clientId }: { clientId?: string }) {
  const notes = useHandovers().filter(({ client }) => clientId === undefined || client?.id === clientId);
  const practitioners = usePractice().data?.practitioners ?? [];
  const markRead = useReadNote();
  if (notes.length === 0) return null;
  return (
    <section aria-label={t`Handed over`} className="border-l-4 border-plum pl-3">
      <h2 className="font-semibold">{t`Handed over`}</h2>
      <ul>
        {notes.map(({ id, client, atMs, practitionerId, words }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1 basis-64">
              {client && clientId === undefined && (
                <>
                  <Link to={`/people/${client.id}`} className="font-semibold underline underline-offset-4">
                    {client.name}
                  </Link>
                  {': '}
                </>
              )}
              {words}{' '}
              <span className="text-[13px] text-quiet">
                {practitioners.find((one) => one.id === practitionerId)?.name ?? ''}, {dayAndTime(atMs)}
              </span>
            </span>
            <Button disabled={markRead.isPending} onClick={() => markRead.mutate(id)}>
              {t`Read`}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A line for the next shift. @param clientId whose; null for the day */
export function LeaveNote({ clientId, label }: { clientId: string | null; label: string }) {
  const leave = useLeaveNote(clientId);
  const [words, setWords] = useState('');
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        leave.mutate(words, { onSuccess: () => setWords('') });
      }}
    >
      <Field
        className="min-w-0 flex-1 basis-56"
        label={label}
        maxLength={500}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        error={fieldProblem(leave.error, 'words')}
      />
      <Button type="submit" disabled={words.trim() === '' || leave.isPending}>
        {t`Leave it`}
      </Button>
    </form>
  );
}
