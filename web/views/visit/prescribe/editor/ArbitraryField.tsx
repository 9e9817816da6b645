import { t } from '@lingui/core/macro';
import { type Basis, type ExerciseChoice, withArbitraryMmHg, withoutLop } from '#core/plan';
import { arbitraryMostMmHg } from '#core/pressure';
import { NumberField } from '../../../../parts/fields/NumberField';

/** The pressure of limbs without a measured LOP, in mmHg, with what their ramp allows this week (rules PRS-4, PRS-7). */
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
  const cuff = basis.cuffs.find(({ id }) => id === first.cuffId);
  const known = cuff && withoutLop(first.limb, cuff, basis);
  return (
    <NumberField
      label={t`Arbitrary pressure`}
      unit="mmHg"
      value={first.pressureMmHg}
      onValue={(mmHg) => set({ limbs: withArbitraryMmHg(choice.limbs, mmHg) })}
      hint={
        basis.arbitraryUpToMmHg === null
          ? t`This practice does not work without a LOP`
          : known
            ? t`${known.levelMmHg} mmHg this week, never over ${Math.min(basis.arbitraryUpToMmHg, arbitraryMostMmHg(known.leastLopMmHg).hard)}`
            : t`Take the girth in Fit first`
      }
    />
  );
}
