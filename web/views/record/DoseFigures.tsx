import type { Dose } from '#core/plan/dose';
import type { TimelineSet } from '#core/plan/timeline';
import { clock, plain } from '../../parts/format';
import { useUnits } from '../../parts/units';

/** A figure, or a dash where no pressure is known. */
const known = (value: number | null | undefined): string => (value == null ? '–' : plain(value, 0));

/** The dose of a session, each figure with its unit (rule RUN-5). */
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
  const [limb] = dose.limbs;
  const figures: [string, string, string][] = [
    ['Repetitions', `${dose.reps}`, `${sets.map(({ reps }) => reps).join(' / ')} of ${plannedReps}`],
    [
      'Adherence',
      plannedReps > 0 ? `${Math.round((100 * dose.reps) / plannedReps)} %` : '–',
      'of the planned repetitions',
    ],
    ['Occluded in all', clock(dose.occludedMs), 'min:s'],
    ['Longest stretch', clock(limb?.longestContinuousMs ?? 0), 'min:s, continuous'],
    ['Pressure × time', known(limb?.pressureTimeMmHgMin), 'mmHg·min'],
    ['Relative', known(limb?.relativePressureTimePercentLopMin), '%LOP·min'],
    ['Volume', plain(Number(mass.show(dose.volumeKgReps))), `${mass.unit}·reps`],
  ];
  return (
    <dl className="grid grid-cols-3 gap-y-4 border-y border-ink/40 py-3 xl:grid-cols-7">
      {figures.map(([label, value, words]) => (
        <div key={label}>
          <dt className="text-[14px] text-quiet">{label}</dt>
          <dd>
            <span className="figures block text-4xl">{value}</span>
            <span className="text-[14px] text-quiet">{words}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}
