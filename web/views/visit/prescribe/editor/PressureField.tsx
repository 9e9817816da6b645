import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { type Basis, type ExerciseChoice, type LimbChoice, withPercentLop } from '#core/plan';
import { percentOf } from '#core/pressure';
import { LIMB_NAMES, roundDownToDivision } from '#core/quantity';
import { translate } from '../../../../language/translate';
import { NumberField } from '../../../../parts/fields/NumberField';
import { plain } from '../../../../words/format';

/** The pressure asked of an exercise: as a share of LOP, or in mmHg with the share it comes to on each limb (rule PRS-1). */
export function PressureField({
  choice,
  percentLop,
  targetMmHg,
  basis,
  hint,
  set,
}: {
  choice: ExerciseChoice;
  percentLop: number;
  /** What it comes to now; undefined while a figure is missing. */
  targetMmHg: number | undefined;
  basis: Pick<Basis, 'occlusions'>;
  hint: string;
  set: (part: Pick<ExerciseChoice, 'limbs'>) => void;
}) {
  const [mmHg, setMmHg] = useState<number | null>(null);
  const toOther = (
    <button
      type="button"
      className="block underline underline-offset-4"
      onClick={() => setMmHg(mmHg === null ? (targetMmHg ?? Number.NaN) : null)}
    >
      {mmHg === null ? t`Say it in mmHg` : t`Say it in % of LOP`}
    </button>
  );
  if (mmHg === null) {
    return (
      <div>
        <NumberField
          label={t`Pressure`}
          unit="% LOP"
          value={percentLop}
          onValue={(next) => set({ limbs: withPercentLop(choice.limbs, next) })}
          hint={hint}
        />
        {toOther}
      </div>
    );
  }
  const shares = choice.limbs.flatMap((limb) =>
    limb.kind === 'measured' ? [`${translate(LIMB_NAMES[limb.limb])} ${plain(limb.percentLop)} %`] : [],
  );
  return (
    <div>
      <NumberField
        label={t`Pressure`}
        unit="mmHg"
        value={mmHg}
        onValue={(next) => {
          setMmHg(next);
          set({ limbs: choice.limbs.map((limb) => atMmHg(limb, next, basis)) });
        }}
        hint={t`Comes to ${shares.join(', ')} of LOP`}
      />
      {toOther}
    </div>
  );
}

/** A limb at a pressure: the share of its own LOP that makes it, on its own gauge. */
function atMmHg(limb: LimbChoice, mmHg: number, { occlusions }: Pick<Basis, 'occlusions'>): LimbChoice {
  if (limb.kind !== 'measured') return limb;
  const fact = occlusions.find(({ id }) => id === limb.occlusionId);
  if (!fact || Number.isNaN(mmHg)) return { ...limb, percentLop: Number.NaN };
  return {
    ...limb,
    percentLop: percentOf(roundDownToDivision(mmHg, fact.divisionMmHg), fact.pressure.value),
  };
}
