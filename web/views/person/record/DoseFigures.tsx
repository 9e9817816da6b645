import { t } from '@lingui/core/macro';
import type { Dose, TimelineSet } from '#core/plan';
import { LIMB_LABELS } from '#core/quantity';
import { translate } from '../../../language/translate';
import { clock, plain } from '../../../words/format';
import { useUnits } from '../../../words/units';

/** A figure, or a dash where no pressure is known. */
const known = (value: number | null): string => (value === null ? '–' : plain(value, 0));

/** What is said of a limb, each figure with its unit. */
const OF_A_LIMB: { label: string; unit: string; of: (limb: Dose['limbs'][number]) => string }[] = [
  { label: t`Occluded`, unit: 'min:s', of: ({ totalOcclusionMs }) => clock(totalOcclusionMs) },
  {
    label: t`Longest stretch`,
    unit: t`min:s, continuous`,
    of: ({ longestContinuousMs }) => clock(longestContinuousMs),
  },
  {
    label: t`Pressure × time`,
    unit: 'mmHg·min',
    of: ({ pressureTimeMmHgMin }) => known(pressureTimeMmHgMin),
  },
  {
    label: t`Relative`,
    unit: '%LOP·min',
    of: ({ relativePressureTimePercentLopMin }) => known(relativePressureTimePercentLopMin),
  },
];

type Figure = { label: string; value: string; unit: string };

/** The dose of a session, each figure with its unit: of the work, and of every limb that wore a cuff (rule RUN-5). */
export function DoseFigures({
  dose,
  sets,
  plannedReps,
}: {
  dose: Dose;
  sets: readonly TimelineSet[];
  /** Of the whole plan, also of sets that were never begun. */
  plannedReps: number;
}) {
  const { mass } = useUnits();
  const counted: Figure[] = [
    {
      label: t`Repetitions`,
      value: `${dose.reps}`,
      unit: t`${sets.map(({ reps }) => reps).join(' / ')} of ${plannedReps}`,
    },
    {
      label: t`Adherence`,
      value: `${Math.round((100 * dose.reps) / plannedReps)} %`,
      unit: t`of the planned repetitions`,
    },
  ];
  const volume = {
    label: t({ message: 'Volume', context: 'load times repetitions' }),
    value: plain(mass.inUnit(dose.volumeKgReps)),
    unit: t`${mass.unit}·reps`,
  };
  const [limb, ...others] = dose.limbs;
  const isOne = limb !== undefined && others.length === 0;
  const figures: Figure[] = [
    // Work by the clock has no count to keep to.
    ...(plannedReps > 0 ? counted : []),
    { label: t`Occluded in all`, value: clock(dose.occludedMs), unit: 'min:s' },
    ...(isOne ? OF_A_LIMB.slice(1).map(({ label, unit, of }) => ({ label, unit, value: of(limb) })) : []),
    ...(dose.volumeKgReps > 0 ? [volume] : []),
  ];
  return (
    <div className="space-y-4 border-y border-ink/40 py-3">
      <dl className="flex flex-wrap gap-x-10 gap-y-4">
        {figures.map(({ label, value, unit }) => (
          <div key={label}>
            <dt className="text-[14px] text-quiet">{label}</dt>
            <dd>
              <span className="figures block text-4xl">{value}</span>
              <span className="text-[14px] text-quiet">{unit}</span>
            </dd>
          </div>
        ))}
      </dl>
      {!isOne && (
        <table className="max-w-3xl text-left">
          <caption className="sr-only">{t`The dose of each limb`}</caption>
          <thead>
            <tr className="text-[14px] text-quiet">
              <th className="pr-8 font-normal">{t`Limb`}</th>
              {OF_A_LIMB.map(({ label, unit }) => (
                <th key={label} className="pr-8 font-normal">
                  {label}, {unit}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {dose.limbs.map((one) => (
              <tr key={one.limb} className="border-t border-rule">
                <th scope="row" className="py-1 pr-8 font-semibold whitespace-nowrap">
                  {translate(LIMB_LABELS[one.limb])}
                </th>
                {OF_A_LIMB.map(({ label, of }) => (
                  <td key={label} className="figures pr-8 text-2xl">
                    {of(one)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
