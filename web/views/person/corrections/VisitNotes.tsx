import { t } from '@lingui/core/macro';
import { useDeferredValue, useState } from 'react';
import type { VisitNote } from '#contract/visit-notes';
import { failureWords } from '../../../data/api';
import { useMay } from '../../../data/queries';
import { useVisitNotes } from '../../../data/visit-notes';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { SearchField } from '../../../parts/fields/SearchField';
import { VisitNoteForm } from '../../../parts/record/VisitNoteForm';
import { day, dayAndTime } from '../../../words/format';
import { Retractable } from './Retractable';

/** From so many on they are searched. */
const SEARCH_FROM = 4;

/** Notes of the visits of a person: another is written, those there are found by their words and corrected. */
export function VisitNotes({ clientId, search: asked }: { clientId: string; search: string }) {
  const [search, setSearch] = useState(asked);
  const sought = useDeferredValue(search.trim());
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useVisitNotes(clientId, sought);
  const mayCorrect = useMay('correct-record');
  const [chosen, choose] = useState<string | null>(null);
  const notes = data?.pages.flatMap((page) => page.notes) ?? [];
  return (
    <section aria-labelledby="visit-notes" className="space-y-2">
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <h2 id="visit-notes" className="text-xl font-semibold">
          {t`Notes`}
        </h2>
        {(notes.length >= SEARCH_FROM || search !== '') && (
          <SearchField label={t`Words of a note`} value={search} onChange={setSearch} />
        )}
      </div>
      <VisitNoteForm clientId={clientId} />
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {notes.length > 0 && (
        <ol className="border-t border-ink/40">
          {notes.map((note) => (
            <li key={note.id} className="border-b border-rule py-2">
              {chosen === note.id ? (
                <VisitNoteForm clientId={clientId} corrects={note} leave={() => choose(null)} />
              ) : (
                <Note note={note}>
                  {mayCorrect && !note.retracted && (
                    <button
                      type="button"
                      className="min-h-9 justify-self-start underline underline-offset-4"
                      onClick={() => choose(note.id)}
                    >
                      {t`Correct`}
                      <span className="sr-only">: {note.words}</span>
                    </button>
                  )}
                </Note>
              )}
            </li>
          ))}
        </ol>
      )}
      {notes.length === 0 && !isFetching && (
        <p className="text-quiet">
          {sought === ''
            ? t`No note yet: what was seen, said or agreed at a visit is written above, dated and signed.`
            : t`No note has these words.`}
        </p>
      )}
      {hasNextPage && (
        <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
          {t`Earlier`}
        </Button>
      )}
    </section>
  );
}

function Note({
  note: { atMs, writtenAtMs, by, words, retracted },
  children,
}: {
  note: VisitNote;
  children: React.ReactNode;
}) {
  return (
    <div className="grid gap-x-6 sm:grid-cols-[10.5rem_1fr_auto]">
      <span className="text-[14px]">
        <span className="figures block">{day(atMs)}</span>
        <span className="text-quiet">{t`${by}, written ${dayAndTime(writtenAtMs)}`}</span>
      </span>
      <Retractable words={words} retracted={retracted} className="whitespace-pre-line" />
      {children}
    </div>
  );
}
