import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ArchiveMatches, ArchivePreview } from '#contract/archive';
import { ARCHIVE_KIND_NAMES } from '#contract/archive-kind-names';
import { failureWords } from '../../../data/api';
import { useArchivePreview, useImportArchive } from '../../../data/import-export';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { notify } from '../../../state/notices';
import { day } from '../../../words/format';

const NEW = 'new';

/** An archive before its import: who is in it, who they may be here, and what differs. */
export function ArchiveImport({ file, done }: { file: File; done: () => void }) {
  const [matches, setMatches] = useState<ArchiveMatches>({});
  const { data: preview, error, isFetching } = useArchivePreview(file, matches);
  const take = useImportArchive();
  const [movedFrom, setMovedFrom] = useState('');
  // Possible matches are asked for once, by the first preview: a match changes what the second says of them.
  const [asked, setAsked] = useState<ArchivePreview['people'] | null>(null);
  if (preview && asked === null) setAsked(preview.people);
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!preview) return <Reading>{t`Reading ${file.name}…`}</Reading>;
  const added = preview.counts.reduce((sum, count) => sum + count.added, 0);
  return (
    <section aria-label={t`Archive`} className="max-w-4xl space-y-4">
      <h2 className="text-xl font-semibold">
        {preview.of.kind === 'client' ? t`${preview.of.name}, from another practice` : t`A whole practice`}
      </h2>
      <p>
        {added === 0
          ? t`Everything in it is here already.`
          : t`${added} records are new here. All of them come, or none.`}{' '}
        {preview.takesSettings && t`There are no people here yet: its settings and practitioners come, too.`}
      </p>
      <ul aria-label={t`People in it`} className="border-t border-ink/40">
        {(asked ?? []).slice(0, 50).map((person) => (
          <li
            key={person.clientId}
            className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule py-2"
          >
            <p className="min-w-60 flex-1">
              <strong>{person.name}</strong> <span className="text-quiet">{t`${person.rows} records`}</span>
            </p>
            <WhoIsIt
              person={person}
              chosen={matches[person.clientId] ?? NEW}
              choose={(clientId) => {
                const { [person.clientId]: _, ...others } = matches;
                setMatches(clientId === NEW ? others : { ...others, [person.clientId]: clientId });
              }}
            />
          </li>
        ))}
      </ul>
      {(asked?.length ?? 0) > 50 && <p className="text-quiet">{t`and ${(asked?.length ?? 0) - 50} more`}</p>}
      <Otherwise of={preview.otherwise} />
      {preview.takesSettings &&
        (preview.signedBy === null ? (
          <p className="text-quiet">{t`No site has signed it: each plan is signed here before it opens.`}</p>
        ) : (
          <Field
            label={t`Key that the old site shows under Export`}
            value={movedFrom}
            onChange={({ target }) => setMovedFrom(target.value)}
            autoComplete="off"
            className="max-w-md"
            hint={t`This file is signed with ${preview.signedBy}. With the same key from there, plans that were signed there count here; empty, each is signed here before it opens.`}
          />
        ))}
      <div className="flex flex-wrap gap-4">
        <Button
          kind="main"
          disabled={take.isPending || isFetching || added === 0}
          onClick={() =>
            take.mutate(
              { file, matches, movedFrom },
              {
                onSuccess: () => {
                  notify(t`${added} records came in. They can be taken back below.`);
                  done();
                },
              },
            )
          }
        >
          {added === 0 ? t`Nothing to import` : t`Import ${added} records`}
        </Button>
        <Button onClick={done}>{t`Cancel`}</Button>
      </div>
      {take.error && <FieldError>{failureWords(take.error)}</FieldError>}
    </section>
  );
}

function WhoIsIt({
  person: { name, match },
  chosen,
  choose,
}: {
  person: ArchivePreview['people'][number];
  chosen: string;
  choose: (clientId: string) => void;
}) {
  if (match.kind === 'new') return <p className="text-quiet">{t`new here`}</p>;
  if (match.kind === 'same-record')
    return <p className="text-quiet">{t`here already; what is new is added`}</p>;
  return (
    <Picker
      label={t`Who ${name} is`}
      hideLabel
      value={chosen}
      options={[
        { value: NEW, label: t`another person: add as new` },
        ...match.people.map((one) => ({
          value: one.clientId,
          label: t`the ${one.name} who is here since ${day(one.addedAtMs)}`,
        })),
      ]}
      onChange={choose}
    />
  );
}

function Otherwise({ of }: { of: ArchivePreview['otherwise'] }) {
  if (of.length === 0) return null;
  return (
    <div>
      <h3 className="font-semibold">{t`Different here; what is here is kept`}</h3>
      <ul className="mt-1 border-t border-ink/40">
        {of.map(({ kind, words, here, there }) => (
          <li key={`${kind} ${words} ${here}`} className="border-b border-rule py-1.5 text-[15px]">
            <Trans>
              <strong>
                {translate(ARCHIVE_KIND_NAMES[kind])} {words}
              </strong>
              <br />
              here {here} · in the file {there}
            </Trans>
          </li>
        ))}
      </ul>
    </div>
  );
}
