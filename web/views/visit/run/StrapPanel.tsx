import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { SessionView } from '#contract/session';
import { heartRateWords, type Zone } from '#core/aerobic';
import { openSet } from '#core/session';
import { foldView } from '../../../data/live-session';
import { bluetoothStrap, hasBluetooth, simulatedStrap } from '../../../devices/heart-rate-source';
import { takeOffStrap, useSessionStrap, wearStrap } from '../../../devices/session-straps';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';

/** The heart rate of aerobic work, from a strap: the figure, against the zone; minutes 5 and 15 and the end are noted by themselves. */
export function StrapPanel({ view, zone }: { view: SessionView; zone: Zone | null }) {
  const sessionId = view.id;
  const isWorking = () => openSet(foldView(view).state) !== null;
  const strap = useSessionStrap(sessionId);
  const [failure, setFailure] = useState('');
  if (!strap) {
    const connect = () => {
      setFailure('');
      bluetoothStrap()
        .then((source) => wearStrap(sessionId, source))
        .catch((error: unknown) => setFailure(error instanceof Error ? error.message : String(error)));
    };
    return (
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-[14px]">{t`Heart-rate strap`}</span>
        {hasBluetooth() && <Button onClick={connect}>{t`By Bluetooth`}</Button>}
        <Button
          onClick={() => wearStrap(sessionId, simulatedStrap(sessionId, isWorking))}
        >{t`Simulated`}</Button>
        {failure && <p className="notched w-full py-1 text-ochre">{t`No strap: ${failure}`}</p>}
      </div>
    );
  }
  const { beatsPerMinute } = strap;
  const against = beatsPerMinute === null ? null : heartRateWords(zone, beatsPerMinute);
  return (
    <section aria-label={t`Heart-rate strap`} className="flex flex-wrap items-baseline gap-x-3">
      <span className="figures text-4xl">{beatsPerMinute ?? '–'}</span>
      <span className="text-quiet">{t`beats a minute`}</span>
      <button
        type="button"
        className="ml-auto min-h-9 underline underline-offset-4"
        onClick={() => takeOffStrap(sessionId)}
      >
        {t`Take it off`}
      </button>
      {beatsPerMinute === null && (
        <p className="notched w-full py-1">{t`The strap says nothing: is it moist and snug?`}</p>
      )}
      {against && <p className="notched w-full py-1">{translate(against)}</p>}
    </section>
  );
}
