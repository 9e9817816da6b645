import { t } from '@lingui/core/macro';
import { rampedMmHg } from '#core/plan/check-limb';
import { type ExerciseChoice, withArbitraryMmHg } from '#core/plan/choices';
import type { Basis } from '#core/plan/compose';
import { NumberField } from '../../parts/NumberField';

/** The pressure of limbs nobody measured a LOP of, in mmHg, with what their ramp allows this week (rules PRS-4, PRS-7). */
export function ArbitraryField({
  choice,
  basis,
  set,
}: {
  choice: ExerciseChoice;
  basis: Basis;
  set: (part: Pick<ExerciseChoice, 'limbs'>) => void;
}) {
  const [first] = choice.limbs;
  if (first?.kind !== 'arbitrary') return null;
  return (
    <NumberField
      label={t`Arbitrary pressure`}
      unit="mmHg"
      value={first.pressureMmHg}
      onValue={(mmHg) => set({ limbs: withArbitraryMmHg(choice.limbs, mmHg) })}
      hint={
        basis.arbitraryUpToMmHg === null
          ? t`This practice does not work without a LOP`
          : t`The ramp allows ${rampedMmHg(first.limb, basis)} this week, ${basis.arbitraryUpToMmHg} is the most`
      }
    />
  );
}
