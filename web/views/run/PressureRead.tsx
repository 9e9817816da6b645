import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { CuffedInHand } from '#core/session/in-hand';
import type { Act } from '../../act/act';
import { NumberInput } from '../../parts/NumberInput';
import { Why } from '../../parts/Why';

/** The pressure last read, and a place to type a new reading. */
export function PressureRead({ target, act }: { target: CuffedInHand; act: Act }) {
  const [typed, setTyped] = useState('');
  const { limb, targetMmHg, readMmHg } = target;
  const pressureMmHg = readMmHg ?? targetMmHg;
  const occlusionMmHg = target.kind === 'measured' ? target.signed.occlusion.value : null;
  const reading = Number(typed);
  const over = occlusionMmHg !== null && reading > occlusionMmHg;
  const drift = pressureMmHg - targetMmHg;
  const drifts = Math.abs(drift) > target.signed.divisionMmHg;
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    if (typed === '' || over) return;
    act({ do: 'read', limb, pressureMmHg: reading });
    setTyped('');
  };
  return (
    <form onSubmit={save}>
      <div className="flex items-baseline gap-3">
        <p className="figures text-3xl">{pressureMmHg}</p>
        <p className="text-[14px] text-quiet">
          {t`mmHg, target ${targetMmHg}${target.kind === 'arbitrary' ? t`, arbitrary` : ''}`}
        </p>
        <NumberInput
          kind="whole"
          aria-label={t`Pressure read, mmHg`}
          placeholder={t`read`}
          value={typed}
          onChange={(event) => setTyped(event.target.value.replace(/[^0-9]/g, '').slice(0, 3))}
          className="figures ml-auto min-h-11 w-20 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
        />
      </div>
      {drifts && (
        <p className="text-[14px] text-ochre">
          {Math.abs(drift)}{' '}
          {drift < 0 ? t`under the target: top up before a set` : t`over the target: let some out`}
        </p>
      )}
      {over && (
        <p role="alert" className="notched py-1 text-ochre">
          {t`${reading} is above this limb’s LOP of ${occlusionMmHg}: let it down, then enter what you read.`}{' '}
          <Why rule="PRS-3" />
        </p>
      )}
    </form>
  );
}
