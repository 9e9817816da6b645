import { t } from '@lingui/core/macro';
import type { Finding } from '#core/findings';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { FieldError } from '../../../parts/fields/Field';
import { useAction } from '../../../parts/keys/use-action';

/** A plan whose pressures were measured again: one key brings it to what is in force, at the same % (rule PRS-8). */
export function Retarget({
  clientId,
  prescriptionId,
  findings,
}: {
  clientId: string;
  prescriptionId: string;
  findings: readonly Finding[];
}) {
  const write = useRecordWrite((signed: string) =>
    read(
      api.clients[':id'].prescriptions[':prescriptionId'].retarget.$post({
        param: { id: clientId, prescriptionId: signed },
      }),
    ),
  );
  const retarget = () => !write.isPending && write.mutate(prescriptionId);
  useAction('retarget', () => void retarget());
  return (
    <section aria-label={t`Re-target`} className="max-w-3xl space-y-2 border-l-4 border-plum pl-4">
      {findings
        .filter(({ rule }) => rule === 'PRS-8')
        .map(({ message }) => (
          <p key={translate(message)}>{translate(message)}</p>
        ))}
      <Only permission="sign">
        <Button kind="main" does="retarget" disabled={write.isPending} onClick={retarget}>
          {t`Re-target at the same %`}
        </Button>
      </Only>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}
