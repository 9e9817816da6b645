import { useHotkeys } from 'react-hotkeys-hook';
import { Button } from '../../parts/Button';
import { countdown } from '../../parts/format';
import { usePlusMinus } from '../../parts/use-plus-minus';
import { useSpace } from '../../parts/use-space';

/** Where the measurement stands: what the next press of Space will record. */
export type ColumnPhase = 'rising' | 'falling' | 'recovering' | 'full';

const WORDS: Record<ColumnPhase, { ask: string; button: string }> = {
  rising: { ask: 'Inflate in steps. Press when the pulse is gone.', button: 'Pulse gone' },
  falling: { ask: 'Deflate in steps. Press when the pulse is back.', button: 'Pulse back' },
  recovering: { ask: 'Cuff fully down. Wait before the next trial.', button: 'Waiting' },
  full: { ask: 'Three trials taken.', button: 'Done' },
};

/** The large reading and its keys: Space records, + and − move by the step, digits type it. */
export function PressureColumn({
  reading,
  setReading,
  phase,
  stepMmHg,
  recoveryLeftMs,
  record,
  skipRecovery,
}: {
  reading: string;
  setReading: (reading: string) => void;
  phase: ColumnPhase;
  stepMmHg: number;
  recoveryLeftMs: number;
  record: () => void;
  skipRecovery: () => void;
}) {
  const move = (by: number) => setReading(String(Math.max(0, (Number(reading) || 0) + by)));
  const ready = (phase === 'rising' || phase === 'falling') && Number(reading) > 0;
  useSpace(() => ready && record());
  const options = { enableOnFormTags: ['INPUT'] as const, preventDefault: true };
  useHotkeys('arrowup', () => move(stepMmHg), options);
  useHotkeys('arrowdown', () => move(-stepMmHg), options);
  usePlusMinus((direction) => move(direction * stepMmHg), options);
  return (
    <div className="flex flex-col items-stretch gap-3 border border-ink/40 p-3" aria-live="polite">
      <p className="min-h-12">{WORDS[phase].ask}</p>
      {phase === 'recovering' ? (
        <>
          <p className="figures text-center text-7xl">{countdown(recoveryLeftMs)}</p>
          <Button onClick={skipRecovery}>It has been 60 s already</Button>
        </>
      ) : (
        <>
          <label className="text-center">
            <span className="sr-only">Gauge reading in mmHg</span>
            <input
              inputMode="numeric"
              autoComplete="off"
              placeholder="0"
              disabled={phase === 'full'}
              value={reading}
              onChange={(event) => setReading(event.target.value.replace(/[^0-9]/g, '').slice(0, 3))}
              className="figures w-full bg-transparent text-center text-8xl leading-none placeholder:text-rule"
            />
            <span className="text-quiet">mmHg on the gauge</span>
          </label>
          <div className="grid grid-cols-2 gap-2">
            <Button className="min-h-14 text-xl" onClick={() => move(-stepMmHg)} keyHint="−">
              −{stepMmHg}
              <span className="sr-only"> mmHg</span>
            </Button>
            <Button className="min-h-14 text-xl" onClick={() => move(stepMmHg)} keyHint="+">
              +{stepMmHg}
              <span className="sr-only"> mmHg</span>
            </Button>
          </div>
          <Button
            kind="main"
            className="min-h-20 text-2xl"
            keyHint="Space"
            disabled={!ready}
            onClick={record}
          >
            {WORDS[phase].button}
          </Button>
        </>
      )}
    </div>
  );
}
