import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PressureSource } from '../../../devices/pressure-source';
import { useFrame } from '../../../devices/use-frame';
import { Button } from '../../../parts/base/Button';
import { usePlusMinus } from '../../../parts/keys/use-plus-minus';

const UP_MMHG = 10;
const DOWN_MMHG = 4;

/**
 * The pump of a case, by hand or regulated, and what its gauge shows.
 * @param offZeroMmHg what the gauge shows too much
 * @param misreadMmHg by how much the pump's own measurement is off
 */
export function PumpKeys({
  source,
  offZeroMmHg,
  misreadMmHg,
}: {
  source: PressureSource;
  offZeroMmHg: number;
  misreadMmHg: number;
}) {
  const frame = useFrame(source);
  const atMmHg = frame?.pressureMmHg ?? 0;
  const by = (mmHg: number) => {
    if (source.kind === 'regulated') source.command({ do: 'inflate-to', pressureMmHg: atMmHg + mmHg });
    else source.command(mmHg > 0 ? { do: 'squeeze', byMmHg: mmHg } : { do: 'bleed', byMmHg: -mmHg });
  };
  const up = () => by(UP_MMHG);
  const down = () => by(-DOWN_MMHG);
  usePlusMinus((direction) => (direction > 0 ? up() : down()), true);
  return (
    <div className="max-w-md space-y-3">
      <p className="figures text-center text-8xl leading-none" data-testid="practise-pressure">
        {Math.round(atMmHg + offZeroMmHg)}
        <span className="ml-2 text-xl text-quiet">mmHg</span>
      </p>
      <div className="grid grid-cols-3 gap-2">
        <Button className="min-h-14 text-xl" does="fewer" onClick={down}>
          −{DOWN_MMHG}
        </Button>
        <Button className="min-h-14 text-xl" does="more" onClick={up}>
          +{UP_MMHG}
        </Button>
        <Button className="min-h-14" onClick={() => source.command({ do: 'release' })}>
          {t`Release`}
        </Button>
      </div>
      {source.kind === 'regulated' && (
        <div className="flex flex-wrap items-center gap-3">
          <Button disabled={frame?.measuring ?? true} onClick={() => source.command({ do: 'measure' })}>
            {frame?.measuring ? t`The pump measures…` : t`Let the pump measure`}
          </Button>
          {frame?.measuredMmHg != null && (
            <p role="status">
              <Trans>
                The pump says <span className="figures text-xl">{frame.measuredMmHg + misreadMmHg}</span>{' '}
                mmHg. Check it with the probe.
              </Trans>
            </p>
          )}
        </div>
      )}
    </div>
  );
}
