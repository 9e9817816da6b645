import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { VisitNote } from '#contract/visit-notes';
import { serverNow } from '../../data/clock';
import { useKeepVisitNote } from '../../data/visit-notes';
import { isoDay, momentOn } from '../../words/noon';
import { DateField } from '../fields/DateField';
import { Field } from '../fields/Field';
import { LongField } from '../fields/LongField';
import { FormFooter } from '../forms/FormFooter';
import { useFields } from '../forms/use-fields';

/**
 * A note of a visit: free text, signed by the practitioner who writes it.
 * @param atMs when the visit was, where that is known; else its day is asked
 * @param corrects the note that it takes the place of
 */
export function VisitNoteForm({
  clientId,
  atMs,
  corrects,
  leave,
}: {
  clientId: string;
  atMs?: number;
  corrects?: VisitNote;
  leave?: () => void;
}) {
  const keep = useKeepVisitNote(clientId);
  const { typed, set, field, problem, send, empty } = useFields(
    { words: corrects?.words ?? '', reason: '', onDay: isoDay(corrects?.atMs ?? serverNow()) },
    keep.error,
  );
  const [isSaved, setSaved] = useState(false);
  const isEmpty = typed.words.trim() === '' || (corrects !== undefined && typed.reason.trim() === '');
  return (
    <form
      className="space-y-2"
      {...send(({ words, reason, onDay }) =>
        keep.mutate(
          {
            words,
            atMs: atMs ?? momentOn(onDay, corrects?.atMs ?? serverNow()),
            corrects: corrects ? { id: corrects.id, reason } : null,
          },
          {
            onSuccess: () => {
              empty();
              setSaved(true);
              leave?.();
            },
          },
        ),
      )}
    >
      <LongField
        label={t`Note of the visit`}
        rows={2}
        maxLength={4000}
        autoFocus={corrects !== undefined}
        {...field('words')}
      />
      {isEmpty && isSaved && <p role="status">{t`The note is on record.`}</p>}
      {(typed.words.trim() !== '' || corrects) && (
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          {atMs === undefined && (
            <DateField
              className="w-56"
              label={t`Visit on`}
              value={typed.onDay}
              onChange={(iso) => set('onDay', iso)}
              error={problem('onDay', 'atMs')}
            />
          )}
          {corrects && (
            <Field
              className="min-w-56 flex-1"
              label={t`Why it is corrected`}
              maxLength={400}
              {...field('reason', 'corrects.reason')}
            />
          )}
          <FormFooter
            send={corrects ? t`Sign the correction` : t`Sign the note`}
            isSending={keep.isPending}
            maySend={!isEmpty && (atMs !== undefined || typed.onDay !== '')}
            error={keep.error}
            leave={leave}
          />
        </div>
      )}
    </form>
  );
}
