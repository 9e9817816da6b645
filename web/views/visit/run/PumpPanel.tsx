import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { LimbTarget } from '#core/plan';
import type { Position } from '#core/quantity';
import { failureWords } from '../../../data/api';
import { connectPump, disconnectPump, useSessionPumps } from '../../../devices/session-pumps';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';

const SQUEEZE_MMHG = 10;
const BLEED_MMHG = 4;

/** What inflates this cuff: a hand pump that is read by eye, or a simulated one that reads itself. */
export function PumpPanel({
  sessionId,
  clientId,
  position,
  target,
}: {
  sessionId: string;
  clientId: string;
  position: Position;
  target: LimbTarget;
}) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const { limb } = target;
  const pump = useSessionPumps().find((known) => known.sessionId === sessionId && known.limb === limb);
  const choose = (kind: 'typed' | 'by-hand' | 'regulated') => {
    setTrouble(null);
    if (kind === 'typed') disconnectPump(sessionId, limb);
    else {
      connectPump(sessionId, { clientId, limb, position, kind }).catch((error) =>
        setTrouble(failureWords(error)),
      );
    }
  };
  const hand = pump?.source.kind === 'by-hand' ? pump : undefined;
  return (
    <div className="space-y-1">
      <Picker
        label={t`Pump`}
        value={pump?.source.kind ?? 'typed'}
        onChange={choose}
        options={[
          { value: 'typed', label: t`by hand, read by eye` },
          { value: 'by-hand', label: t`simulated hand pump` },
          { value: 'regulated', label: t`simulated regulated pump` },
        ]}
      />
      {pump?.lost && (
        <p role="alert" className="notched py-1 font-semibold text-ochre">
          {t`The pump’s stream is lost: read the gauge and go on by hand.`}
        </p>
      )}
      {pump && !pump.lost && (
        <p className="text-[15px]">
          <Trans>
            It reports <span className="figures text-xl">{Math.round(pump.pressureMmHg ?? 0)} mmHg</span>
          </Trans>
        </p>
      )}
      {hand && !hand.lost && (
        <div className="flex gap-2">
          <Button onClick={() => hand.source.command({ do: 'squeeze', byMmHg: SQUEEZE_MMHG })}>
            {t`Squeeze`}
          </Button>
          <Button onClick={() => hand.source.command({ do: 'bleed', byMmHg: BLEED_MMHG })}>{t`Bleed`}</Button>
          <Button onClick={() => hand.source.command({ do: 'contract' })}>{t`Contract`}</Button>
        </div>
      )}
      {trouble && <FieldError>{trouble}</FieldError>}
    </div>
  );
}
