import { t } from '@lingui/core/macro';
import { Slider } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import type { PressureSource } from '../../devices/pressure-source';
import { type ProbeSound, startProbe } from '../../sound/probe';
import { Button } from '../base/Button';
import { PulseTrace } from '../drawing/PulseTrace';

/** The probe to hear and see: its volume knob, the sound once switched on, and the trace that says the same. */
export function ProbeKnob({
  source,
  follows,
  volume,
  roomNoise = 0,
  setVolume,
}: {
  source: PressureSource;
  follows: 'probe' | 'oximeter';
  volume: number;
  roomNoise?: number;
  setVolume: (volume: number) => void;
}) {
  const [sound, setSound] = useState<ProbeSound | null>(null);
  const knobs = useRef({ volume, roomNoise });
  knobs.current = { volume, roomNoise };
  useEffect(() => {
    if (!sound) return;
    const stop = source.subscribe(sound.follow);
    return () => {
      stop();
      sound.follow(null);
    };
  }, [sound, source]);
  useEffect(() => () => sound?.close(), [sound]);
  return (
    <div className="space-y-2">
      <PulseTrace source={source} follows={follows} volume={volume} />
      {follows === 'probe' && (
        <div className="flex items-center gap-3">
          <Button onClick={() => setSound(sound ? null : startProbe(() => knobs.current))}>
            {sound ? t`Probe off` : t`Listen`}
          </Button>
          <span className="flex flex-1 items-center gap-3 text-[14px]">
            {t`Volume`}
            <Slider.Root
              min={0}
              max={1}
              step={0.05}
              value={[volume]}
              onValueChange={([next = 0]) => setVolume(next)}
              className="relative flex h-11 w-full touch-none items-center"
            >
              <Slider.Track className="relative h-1 w-full bg-ink/30">
                <Slider.Range className="absolute h-full bg-plum" />
              </Slider.Track>
              <Slider.Thumb aria-label={t`Volume`} className="block size-6 rounded-sm bg-plum" />
            </Slider.Root>
          </span>
        </div>
      )}
    </div>
  );
}
