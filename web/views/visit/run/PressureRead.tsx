import { t } from '@lingui/core/macro';
import { LIMB_NAMES, toNumber } from '#core/quantity';
import { type CuffedInHand, pressureMmHgSchema } from '#core/session';
import type { Act } from '../../../act/act';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { FieldError } from '../../../parts/fields/Field';
import { NumberInput } from '../../../parts/fields/NumberInput';
import { bySchema } from '../../../parts/forms/by-schema';
import { reads, useFields } from '../../../parts/forms/use-fields';

/** The pressure last read, and a place to type a new reading. */
export function PressureRead({ target, act }: { target: CuffedInHand; act: Act }) {
  const { limb, targetMmHg, readMmHg } = target;
  const pressureMmHg = readMmHg ?? targetMmHg;
  const occlusionMmHg = target.kind === 'measured' ? target.signed.occlusion.value : null;
  const { typed, empty, field, send } = useFields(
    { reading: '' },
    null,
    reads(({ reading }) => bySchema(pressureMmHgSchema, toNumber(reading), () => 'reading')),
  );
  const reading = toNumber(typed.reading);
  const over = occlusionMmHg !== null && reading > occlusionMmHg;
  const drift = pressureMmHg - targetMmHg;
  const drifts = Math.abs(drift) > target.signed.divisionMmHg;
  const { error, ...input } = field('reading');
  return (
    <form
      {...send((pressureMmHg) => {
        if (over) return;
        act({ do: 'read', limb, pressureMmHg });
        empty();
      })}
    >
      <div className="flex items-baseline gap-3">
        <p className="figures text-3xl">{pressureMmHg}</p>
        <p className="text-[14px] text-quiet">
          {t`mmHg, target ${targetMmHg}${target.kind === 'arbitrary' ? t`, arbitrary` : ''}`}
        </p>
        <NumberInput
          kind="whole"
          aria-label={t`Pressure read, ${translate(LIMB_NAMES[limb])}, mmHg`}
          placeholder={t`read`}
          {...input}
          className="figures ml-auto min-h-11 w-20 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
        />
      </div>
      {drifts && (
        <p className="text-[14px] text-ochre">
          {Math.abs(drift)}{' '}
          {drift < 0 ? t`under the target: top up before a set` : t`over the target: let some out`}
        </p>
      )}
      {error && !over && <FieldError>{error}</FieldError>}
      {over && (
        <p role="alert" className="notched py-1 text-ochre">
          {t`${reading} is above this limb’s LOP of ${occlusionMmHg}: let it down, then enter what you read.`}{' '}
          <Why rule="PRS-3" />
        </p>
      )}
    </form>
  );
}
