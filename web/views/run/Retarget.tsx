import { useHotkeys } from 'react-hotkeys-hook';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { planInForce } from '#core/record/in-force';
import { recheck } from '#core/record/recheck';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { Button } from '../../parts/Button';
import { FieldError } from '../../parts/Field';

/** A plan whose pressures were measured again: one key brings it to what is in force, at the same % (rule PRS-8). */
export function Retarget({ client, practice }: { client: ClientRecord; practice: PracticeView }) {
  const prescription = planInForce(client.facts);
  const write = useRecordWrite((prescriptionId: string) =>
    read(
      api.clients[':id'].prescriptions[':prescriptionId'].retarget.$post({
        param: { id: client.id, prescriptionId },
      }),
    ),
  );
  const found = prescription && recheck(prescription, client.facts, practice, client.judgedAtMs);
  const offered = found?.retargetable ?? false;
  const retarget = () => offered && prescription && !write.isPending && write.mutate(prescription.id);
  useHotkeys('t', () => void retarget());
  if (!offered) return null;
  return (
    <section aria-label="Re-target" className="max-w-3xl space-y-2 border-l-4 border-plum pl-4">
      {found?.findings
        .filter(({ rule }) => rule === 'PRS-8')
        .map(({ message }) => (
          <p key={message}>{message}</p>
        ))}
      <Button kind="main" keyHint="T" disabled={write.isPending} onClick={retarget}>
        Re-target at the same %
      </Button>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}
