import { useEffect, useRef, useState } from 'react';
import type { PressureSource } from '../devices/pressure-source';
import { type ProbeSound, startProbe } from '../sound/probe';
import { Button } from './Button';
import { PulseTrace } from './PulseTrace';

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
            {sound ? 'Probe off' : 'Listen'}
          </Button>
          <label className="flex flex-1 items-center gap-2 text-[14px]">
            Volume
            <input
              type="range"
              min={0}
              max={1}
              step={0.05}
              value={volume}
              onChange={(event) => setVolume(Number(event.target.value))}
              className="w-full accent-plum"
            />
          </label>
        </div>
      )}
    </div>
  );
}
