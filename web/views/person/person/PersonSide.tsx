import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { LIMB_NAMES } from '#core/quantity';
import { proceduresInForce } from '#core/record';
import { failureWords } from '../../../data/api';
import { useChangePerson } from '../../../data/corrections';
import { useMay } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { day } from '../../../words/format';

/** Why a person comes and what they want, on a quiet line; what else is good to know, to read and to change, behind it. */
export function PersonSide({ client }: { client: ClientRecord }) {
  const [isOpen, setOpen] = useState(false);
  const { story, about } = client;
  return (
    <p className="text-quiet">
      {story} {about.goals && t`Wants: ${about.goals}. `}
      <Popover.Root open={isOpen} onOpenChange={setOpen}>
        <Popover.Trigger className="underline underline-offset-4 print:hidden">
          <Trans>
            About<span className="sr-only"> {client.name}</span>
          </Trans>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            collisionPadding={12}
            aria-label={t`About ${client.name}`}
            className="z-40 max-h-[80vh] w-96 max-w-[calc(100vw-24px)] overflow-y-auto rounded-sm border border-ink/40 bg-paper p-4"
          >
            <AboutForm client={client} close={() => setOpen(false)} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </p>
  );
}

function AboutForm({ client, close }: { client: ClientRecord; close: () => void }) {
  const change = useChangePerson(client.id);
  const fields = useFields({ story: client.story, ...client.about }, change.error);
  const mayChange = useMay('record');
  const operations = proceduresInForce(client.facts, client.judgedAtMs);
  const field = (key: 'story' | 'goals' | 'contact' | 'notes', label: string) => (
    <Field
      label={label}
      autoComplete="off"
      readOnly={!mayChange}
      {...fields.field(key, key === 'story' ? key : `about.${key}`)}
    />
  );
  return (
    <form
      className="space-y-3"
      {...fields.send(({ story, ...about }) => change.mutate({ story, about }, { onSuccess: close }))}
    >
      {operations.length > 0 && (
        <ul className="text-[15px]">
          {operations.map(({ limb, atMs }) => (
            <li key={`${limb} ${atMs}`}>{t`Operated, ${translate(LIMB_NAMES[limb])}: ${day(atMs)}`}</li>
          ))}
        </ul>
      )}
      {field('story', t`Why they come`)}
      {field('goals', t`What they want`)}
      {field('contact', t`How they are reached`)}
      {mayChange && (
        <DateField
          label={t`Birth date`}
          value={fields.typed.bornOn}
          onChange={(bornOn) => fields.set('bornOn', bornOn)}
          hint={t`It answers the questions for under 18 and over 65.`}
        />
      )}
      {field('notes', t`Good to know`)}
      {change.error && <FieldError>{failureWords(change.error)}</FieldError>}
      <div className="flex gap-2">
        {mayChange && (
          <Button type="submit" kind="main" disabled={change.isPending}>
            {t`Save`}
          </Button>
        )}
        <Button leaves onClick={close}>
          {t`Close`}
        </Button>
      </div>
    </form>
  );
}
