import { t } from '@lingui/core/macro';
import { type FormHTMLAttributes, type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { useChangePerson, useErase, useMerge } from '../../../data/corrections';
import { useExport } from '../../../data/import-export';
import { usePeople } from '../../../data/people';
import { useMay } from '../../../data/queries';
import { fileStem } from '../../../data/save-file';
import { Button } from '../../../parts/base/Button';
import { Field } from '../../../parts/fields/Field';
import { SearchField } from '../../../parts/fields/SearchField';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { useFields } from '../../../parts/forms/use-fields';
import { notifyDone } from '../../../state/notices';

type Open = 'names' | 'merge' | 'list' | 'forget' | null;

/** Who a record is of: renamed, brought together with another of the same person, taken off the list, or forgotten. */
export function AboutPerson({ client }: { client: ClientRecord }) {
  const [open, setOpen] = useState<Open>(null);
  const mayCorrect = useMay('correct-record');
  const mayErase = useMay('erase-person');
  const close = () => setOpen(null);
  return (
    <section aria-label={t`About the person`} className="space-y-4">
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => setOpen('names')}>{t`Change name or story`}</Button>
        {mayCorrect && <Button onClick={() => setOpen('merge')}>{t`On record twice`}</Button>}
        <Button onClick={() => setOpen('list')}>{t`Take off the list`}</Button>
        {mayErase && <Button onClick={() => setOpen('forget')}>{t`Have them forgotten`}</Button>}
      </div>
      {open === 'names' && <Names client={client} close={close} />}
      {open === 'merge' && <Merge client={client} close={close} />}
      {open === 'list' && <OffTheList client={client} close={close} />}
      {open === 'forget' && <Forget client={client} close={close} />}
    </section>
  );
}

function Names({ client, close }: { client: ClientRecord; close: () => void }) {
  const change = useChangePerson(client.id);
  const { field, send } = useFields({ name: client.name, story: client.story }, change.error);
  return (
    <Form
      sends={send((typed) => change.mutate(typed, { onSuccess: close }))}
      words={t`Save`}
      isPending={change.isPending}
      error={change.error}
      close={close}
    >
      <Field label={t`Name`} autoFocus autoComplete="off" {...field('name')} />
      <Field label={t`Why they come`} autoComplete="off" {...field('story')} />
    </Form>
  );
}

const MOST_FOUND = 6;

function Merge({ client, close }: { client: ClientRecord; close: () => void }) {
  const merge = useMerge(client.id);
  const [search, setSearch] = useState(client.name.split(' ').at(-1) ?? '');
  const [other, setOther] = useState<{ id: string; name: string } | null>(null);
  const { typed, field, send } = useFields({ reason: '' }, merge.error);
  const { upTo, isSettled } = usePeople(search.trim(), { first: 0, last: MOST_FOUND });
  const found = upTo(MOST_FOUND + 1).filter(({ id }) => id !== client.id);
  const [first] = found;
  return (
    <Form
      sends={send(({ reason }) => other && merge.mutate({ otherId: other.id, reason }, { onSuccess: close }))}
      words={other ? t`Bring all of ${other.name} here` : t`Choose the other record`}
      isPending={merge.isPending || other === null || typed.reason.trim() === ''}
      error={merge.error}
      close={close}
    >
      <p className="text-[15px]">
        {t`Everything of the other record comes to this one, and of both the newest counts. This cannot be taken back.`}
      </p>
      <SearchField
        label={t`The other record of the same person`}
        value={search}
        onChange={setSearch}
        first={{ isSettled, take: first ? () => setOther(first) : null }}
      />
      <ul className="flex flex-wrap gap-2">
        {found.map(({ id, name, story }) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={other?.id === id}
              onClick={() => setOther({ id, name })}
              className="min-h-11 rounded-sm border border-ink/40 px-3 text-left aria-pressed:border-plum aria-pressed:bg-plum aria-pressed:text-on-plum"
            >
              <strong>{name}</strong>
              {story && <span className="block text-[14px]">{story}</span>}
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-[15px] text-quiet">{t`No other person is found by that.`}</p>}
      <Field label={t`How you know`} {...field('reason')} />
    </Form>
  );
}

function OffTheList({ client, close }: { client: ClientRecord; close: () => void }) {
  const change = useChangePerson(client.id);
  const { send } = useFields({}, change.error);
  const navigate = useNavigate();
  return (
    <Form
      sends={send(() =>
        change.mutate(
          { archived: true },
          {
            onSuccess: () => {
              navigate('/');
              notifyDone(t`${client.name} is taken off the list.`, () => change.mutate({ archived: false }));
            },
          },
        ),
      )}
      words={t`Take off the list`}
      isPending={change.isPending}
      error={change.error}
      close={close}
    >
      <p className="text-[15px]">
        {t`${client.name} is not among the people any more; all that is on record stays. They are put back from the people who were taken off.`}
      </p>
    </Form>
  );
}

function Forget({ client, close }: { client: ClientRecord; close: () => void }) {
  const erase = useErase(client.id);
  const takeOut = useExport();
  const navigate = useNavigate();
  const { typed, field, send } = useFields({ name: '', reason: '' }, erase.error);
  const fileName = fileStem(client.name);
  return (
    <Form
      sends={send((sent) => erase.mutate(sent, { onSuccess: () => navigate('/') }))}
      words={t`Forget them for good`}
      kind="stop"
      isPending={erase.isPending || typed.name.trim() !== client.name || typed.reason.trim() === ''}
      error={erase.error}
      close={close}
    >
      <p className="text-[15px]">
        {t`Name, measurements, plans and every session of ${client.name} go for good. How long cuffs were up and what was seen with it stays counted, without a name. Backups keep them until they are thinned out: see the guide.`}
      </p>
      <Button
        disabled={takeOut.isPending}
        onClick={() => takeOut.mutate({ path: `archive/of/${client.id}`, fileName: `${fileName}.ndjson` })}
      >
        {t`First: the whole record as a file`}
      </Button>
      <Field label={t`Type the name: ${client.name}`} autoComplete="off" {...field('name')} />
      <Field
        label={t`Who asked for it, and why, without their name`}
        autoComplete="off"
        {...field('reason')}
      />
    </Form>
  );
}

function Form({
  sends,
  words,
  kind = 'main',
  isPending,
  error,
  close,
  children,
}: {
  sends: FormHTMLAttributes<HTMLFormElement>;
  words: string;
  kind?: 'main' | 'stop';
  isPending: boolean;
  error: unknown;
  close: () => void;
  children: ReactNode;
}) {
  return (
    <form className="max-w-2xl space-y-4 border-l-4 border-plum pl-4" {...sends}>
      {children}
      <FormFooter send={words} kind={kind} isSending={isPending} error={error} leave={close} />
    </form>
  );
}
