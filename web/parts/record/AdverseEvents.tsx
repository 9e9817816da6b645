import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { NewAdverseEvent } from '#contract/outcomes';
import { serverNow } from '../../data/clock';
import { useKeepAdverseEvent, useOutcomes } from '../../data/outcomes';
import { dayAndTime } from '../../words/format';
import { Field } from '../fields/Field';
import { FormFooter } from '../forms/FormFooter';
import { useFields } from '../forms/use-fields';

const EMPTY = { what: '', done: '', outcome: '', notified: '' };
const FIELDS: [keyof typeof EMPTY, string, string][] = [
  ['what', t`What happened`, t`Where, how much, for how long.`],
  ['done', t`What was done`, t`Released, lying down, ice, physician called.`],
  ['outcome', t`What became of it`, t`May be written later as another entry.`],
  ['notified', t`Who was notified`, t`The client, the referrer, the practice’s own book.`],
];

/** Adverse events of a person, of one session or of none, and the form for another; nothing is ever deleted (rule OUT-7). */
export function AdverseEvents({
  clientId,
  sessionId,
  atMs,
}: {
  clientId: string;
  sessionId: string | null;
  /** When it will have been, unless it is said; now where it is of no session. */
  atMs?: number;
}) {
  const { data } = useOutcomes(clientId);
  const keep = useKeepAdverseEvent(clientId);
  const [isWriting, setWriting] = useState(false);
  const fields = useFields(EMPTY, keep.error);
  const known = (data?.adverseEvents ?? []).filter(
    (event) => sessionId === null || event.sessionId === sessionId,
  );
  const leave = () => {
    setWriting(false);
    fields.empty();
  };
  const save = async (typed: typeof EMPTY) => {
    const event: NewAdverseEvent = {
      ...typed,
      id: newId(),
      sessionId,
      atMs: atMs ?? Math.round(serverNow()),
    };
    if (await keep.mutateAsync(event).catch(() => null)) leave();
  };
  return (
    <section aria-label={t`Adverse events`} className="max-w-4xl space-y-2 print:hidden">
      {known.map(({ id, atMs: at, what, done, outcome, notified }) => (
        <div key={id} className="notched">
          <p className="font-semibold text-ochre">{t`Adverse event, ${dayAndTime(at)}: ${what}`}</p>
          <p className="text-[15px]">{t`${done}. ${outcome ? `${outcome}. ` : ''}Notified: ${notified}.`}</p>
        </div>
      ))}
      {!isWriting ? (
        <button
          type="button"
          className="min-h-9 underline underline-offset-4"
          onClick={() => setWriting(true)}
        >
          {t`Write down an adverse event`}
        </button>
      ) : (
        <form
          className="grid gap-3 border-l-4 border-ochre pl-4 sm:grid-cols-2"
          {...fields.send((typed) => void save(typed))}
        >
          {FIELDS.map(([field, label, hint]) => (
            <Field
              key={field}
              label={label}
              hint={hint}
              maxLength={field === 'notified' ? 200 : 500}
              {...fields.field(field)}
            />
          ))}
          <FormFooter
            className="sm:col-span-2"
            send={t`Save`}
            isSending={keep.isPending}
            error={keep.error}
            leave={leave}
          />
        </form>
      )}
    </section>
  );
}
