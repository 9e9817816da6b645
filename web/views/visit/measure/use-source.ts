import { useEffect, useState } from 'react';
import type { NewDevice } from '#contract/device';
import { CUFF_DOWN_MMHG } from '#core/kit';
import { failureWords } from '../../../data/api';
import { connect, connectedNow } from '../../../devices/connected';
import type { PressureSource } from '../../../devices/pressure-source';
import { serverSource } from '../../../devices/server-source';
import { typedSource } from '../../../devices/typed-source';
import type { ReadingFrom } from './setup';

/**
 * The source that a limb is measured with. A simulated device goes on in the dock when the bench is left with its cuff
 * up, and is taken up again here.
 */
export function useSource(
  from: ReadingFrom,
  { clientId, limb, position }: Omit<NewDevice, 'kind'>,
  label: string,
): { source: PressureSource; trouble: string | null } {
  const [typed] = useState(typedSource);
  const [device, setDevice] = useState<PressureSource | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    setDevice(null);
    setTrouble(null);
    if (from === 'typed') return;
    let left = false;
    const key = `${clientId} ${limb} ${position} ${from}`;
    const there = connectedNow();
    if (there?.key === key) {
      setDevice(there.source);
    } else {
      serverSource({ clientId, limb, position, kind: from }).then(
        (source) => {
          if (left) return source.close();
          connect({ key, label, address: `/people/${clientId}/measure`, source });
          setDevice(source);
        },
        (error) => setTrouble(failureWords(error)),
      );
    }
    return () => {
      left = true;
      const now = connectedNow();
      if (now?.key !== key) return;
      // While the stream is lost it is not known that the cuff is down, so it stays in the dock.
      let pressureMmHg = Number.POSITIVE_INFINITY;
      now.source.subscribe((frame) => {
        pressureMmHg = frame?.pressureMmHg ?? Number.POSITIVE_INFINITY;
      })();
      if (pressureMmHg < CUFF_DOWN_MMHG) connect(null);
    };
  }, [from, clientId, limb, position, label]);
  return { source: from === 'typed' ? typed : (device ?? typed), trouble };
}
