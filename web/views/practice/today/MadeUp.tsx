import { t } from '@lingui/core/macro';
import { failureWords } from '../../../data/api';
import { useErase } from '../../../data/corrections';
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
  const erase = useErase(id);
  if (!person) return null;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      <p className="text-[15px]">{t`${person.name} is made up.`}</p>
      <Button
        disabled={erase.isPending}
        onClick={() =>
          erase.mutate(
            { name: person.name, reason: t`Made up, to play with.` },
            { onSuccess: () => madeUpPerson.set('') },
          )
        }
      >
        {t`Remove them`}
      </Button>
      {erase.error && <FieldError>{failureWords(erase.error)}</FieldError>}
    </div>
  );
}
