import { t } from '@lingui/core/macro';
import { failureWords } from '../../../data/api';
import { useRemoveMadeUp } from '../../../data/made-up';
import { useClient } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { madeUpPerson } from '../../../state/made-up-person';

/** The person made up to play with, and the key that removes them; nothing where there is none. */
export function MadeUp() {
  const id = madeUpPerson.use();
  return id === '' ? null : <Remove id={id} />;
}

function Remove({ id }: { id: string }) {
  const { data: person } = useClient(id);
  const remove = useRemoveMadeUp();
  if (!person) return null;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      <p className="text-[15px]">{t`${person.name} is made up.`}</p>
      <Button disabled={remove.isPending} onClick={() => remove.mutate({ id, name: person.name })}>
        {t`Remove them`}
      </Button>
      {remove.error && <FieldError>{failureWords(remove.error)}</FieldError>}
    </div>
  );
}
