import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo } from 'react';
import type { Plan } from '#core/plan';
import { watchesBloodPressure } from '#core/record';
import { bloodPressureWords } from '#core/screening';
import { BLOOD_PRESSURE_MOMENTS, bloodPressureDue, type SessionState } from '#core/session';
import type { Act } from '../../act/act';
import { useClient } from '../../data/queries';
import { inSentence, translate } from '../../language/translate';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { useFields } from '../forms/use-fields';
import { useNow } from '../time/use-now';
import { BloodPressureFields } from './BloodPressureFields';
import { NO_PRESSURE, readPressure } from './typed-pressure';

const EVERY_MS = 1_000;

/** Blood pressure around the work: asked for where the record says so, and open to everyone else (rule RUN-8). */
export const BloodPressureInWork = memo(function BloodPressureInWork({
  clientId,
  plan,
  state,
  act,
}: {
  clientId: string;
  plan: Plan;
  state: SessionState;
  act: Act;
}) {
  const nowMs = useNow(EVERY_MS);
  const { data: client } = useClient(clientId);
  const { typed, set, empty, send } = useFields({ pressure: NO_PRESSURE }, null);
  const due = bloodPressureDue(plan, state, nowMs);
  const isAsked = client !== undefined && watchesBloodPressure(client.facts, client.judgedAtMs);
  const { reading } = readPressure(typed.pressure);
  const taken = state.bloodPressures
    .map(
      ({ moment, reading: had }) =>
        `${inSentence(BLOOD_PRESSURE_MOMENTS[moment])} ${bloodPressureWords(had)}`,
    )
    .join(', ');
  return (
    <details open={isAsked && due !== null}>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px]">
        <Trans>
          Blood pressure{taken && `: ${taken}`}
          {isAsked && due && <strong className="notched ml-2 py-0.5">{t`take it now`}</strong>}
        </Trans>
      </summary>
      {due ? (
        <form
          className="space-y-2"
          {...send(() => {
            if (!reading) return;
            act({ do: 'note-blood-pressure', moment: due, reading });
            empty();
          })}
        >
          <BloodPressureFields
            label={translate(BLOOD_PRESSURE_MOMENTS[due])}
            typed={typed.pressure}
            onChange={(pressure) => set('pressure', pressure)}
          />
          <Button type="submit" disabled={!reading}>
            {t`Note it`}
          </Button>
        </form>
      ) : (
        <p className="text-[15px] text-quiet">
          {t`Taken before, in the last rest, and 1 and 5 min after.`} <Why rule="RUN-8" />
        </p>
      )}
    </details>
  );
});
