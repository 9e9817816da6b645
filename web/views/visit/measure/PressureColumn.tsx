import { t } from '@lingui/core/macro';
import type { DeviceFrame } from '#contract/device';
import type { Phase } from '#core/measuring';
import type { PressureSource } from '../../../devices/pressure-source';
import { Button } from '../../../parts/base/Button';
import { NumberInput } from '../../../parts/fields/NumberInput';
import { useAction } from '../../../parts/keys/use-action';
import { usePlusMinus } from '../../../parts/keys/use-plus-minus';
import { useSpace } from '../../../parts/keys/use-space';
import { countdown } from '../../../words/format';

const WORDS: Record<Phase, { ask: string; button: string }> = {
  rising: { ask: t`Inflate in steps. Press when the pulse is gone.`, button: t`Pulse gone` },
  falling: { ask: t`Deflate in steps. Press when the pulse is back.`, button: t`Pulse back` },
  deflate: { ask: t`Let the cuff down fully.`, button: t`Release` },
  recovering: { ask: t`Cuff fully down. Wait before the next trial.`, button: t`Waiting` },
  full: { ask: t`Three trials taken.`, button: t`Done` },
  automatic: { ask: t`The pump measures by itself. Enter or let it run.`, button: t`Take the pump’s figure` },
  measuring: { ask: t`The pump is measuring. Keep still, do not talk.`, button: t`Measuring` },
};

/** The large reading and its two keys: Space does the next expected thing, + and − move by the step. */
export function PressureColumn({
  source,
  frame,
  phase,
  stepMmHg,
  recoveryLeftMs,
  next,
  skipRecovery,
}: {
  source: PressureSource;
  frame: DeviceFrame | null;
  phase: Phase;
  stepMmHg: number;
  recoveryLeftMs: number;
  next: () => void;
  skipRecovery: () => void;
}) {
  const typed = source.kind === 'typed';
  const pressureMmHg = Math.round(frame?.pressureMmHg ?? 0);
  const move = (direction: 1 | -1) => {
    if (source.kind === 'regulated') {
      source.command({ do: 'inflate-to', pressureMmHg: Math.max(0, pressureMmHg + direction * stepMmHg) });
    } else {
      source.command({ do: direction > 0 ? 'squeeze' : 'bleed', byMmHg: stepMmHg });
    }
  };
  const release = () => source.command({ do: 'release' });
  const ready =
    phase === 'deflate' ||
    (phase === 'automatic' && (!typed || pressureMmHg > 0)) ||
    ((phase === 'rising' || phase === 'falling') && pressureMmHg > 0);
  useSpace(() => ready && next());
  useAction('higher', () => move(1), { fromFields: true });
  useAction('lower', () => move(-1), { fromFields: true });
  usePlusMinus(move, true);
  useAction('release', release);
  return (
    <div className="flex flex-col items-stretch gap-3 border border-ink/40 p-3">
      <p className="min-h-12" aria-live="polite">
        {frame ? WORDS[phase].ask : t`The stream is lost. Read the gauge by hand, and let the cuff down.`}
      </p>
      {phase === 'recovering' ? (
        <>
          <p className="figures text-center text-7xl">{countdown(recoveryLeftMs)}</p>
          <Button onClick={skipRecovery}>{t`It has been 60 s already`}</Button>
        </>
      ) : (
        <>
          <label className="text-center">
            <span className="sr-only">{t`Gauge reading in mmHg`}</span>
            <NumberInput
              kind="whole"
              placeholder="0"
              disabled={phase === 'full'}
              readOnly={!typed}
              value={!frame ? '–' : pressureMmHg === 0 && typed ? '' : pressureMmHg}
              onChange={(event) =>
                source.command({
                  do: 'inflate-to',
                  pressureMmHg: Number(event.target.value.replace(/[^0-9]/g, '').slice(0, 3)),
                })
              }
              className="figures w-full bg-transparent text-center text-8xl leading-none placeholder:text-rule"
            />
            <span className="text-quiet">{typed ? t`mmHg on the gauge` : t`mmHg, read by the app`}</span>
          </label>
          <div className="grid grid-cols-2 gap-2">
            <Button className="min-h-14 text-xl" onClick={() => move(-1)} does="fewer">
              −{stepMmHg}
              <span className="sr-only"> mmHg</span>
            </Button>
            <Button className="min-h-14 text-xl" onClick={() => move(1)} does="more">
              +{stepMmHg}
              <span className="sr-only"> mmHg</span>
            </Button>
          </div>
          <Button kind="main" className="min-h-20 text-2xl" does="next" disabled={!ready} onClick={next}>
            {WORDS[phase].button}
          </Button>
          {!typed && phase !== 'deflate' && (
            <Button does="release" onClick={release}>
              {t`Release`}
            </Button>
          )}
        </>
      )}
    </div>
  );
}
