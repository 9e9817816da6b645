import { t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import { feltPulse, flowShape } from '#core/simulation';
import type { PressureSource } from '../../../devices/pressure-source';

const BEAT_MS = 40;

/** The pulse as two fingers feel it: a spot that swells with each beat, and a tap where the device can give one. */
export function PulseUnderFingers({ source }: { source: PressureSource }) {
  const spot = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let phaseBefore = 0;
    return source.subscribe((frame) => {
      if (!frame?.pulse || !spot.current) return;
      const { strength, phase } = frame.pulse;
      const felt = feltPulse(strength);
      const swell = felt * flowShape(phase);
      spot.current.style.transform = `scale(${0.4 + 0.6 * swell})`;
      spot.current.style.opacity = String(0.15 + 0.85 * swell);
      if (phase < phaseBefore && felt > 0) navigator.vibrate?.(BEAT_MS * felt);
      phaseBefore = phase;
    });
  }, [source]);
  return (
    <div className="flex items-center gap-4">
      <div className="grid size-24 place-items-center rounded-full border border-rule">
        <div
          ref={spot}
          className="size-20 rounded-full bg-crimson"
          role="img"
          aria-label={t`Pulse under the fingers`}
        />
      </div>
      <p className="text-[15px] text-quiet">
        {t`Two fingers on the pulse. They miss the faintest beats that a probe still hears.`}
      </p>
    </div>
  );
}
