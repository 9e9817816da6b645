import { t } from '@lingui/core/macro';
import { isCuffed, type PlannedExercise } from '#core/plan';
import { LIMB_NAMES, type Limb } from '#core/quantity';
import type { HeartRateMoment } from '#core/session';
import { translate } from '../language/translate';

/** What a set of a session on paper is asked, one column each; the sheet and the entry read the same list, in the same order. */
export type PaperColumn = { key: string; label: string; unit?: string } & (
  | { is: 'repetitions' | 'duration' | 'effort' | 'colour' }
  | { is: 'pressure'; limb: Limb }
  | { is: 'mark'; limb: Limb }
  | { is: 'output'; figure: 'watts' | 'kmPerHour' | 'gradientPercent' }
  | { is: 'heart-rate'; moment: HeartRateMoment }
);

const WATTS: PaperColumn = { key: 'watts', is: 'output', figure: 'watts', label: t`Power`, unit: 'W' };
const SPEED: readonly PaperColumn[] = [
  { key: 'speed', is: 'output', figure: 'kmPerHour', label: t`Speed`, unit: 'km/h' },
  { key: 'gradient', is: 'output', figure: 'gradientPercent', label: t`Gradient`, unit: '%' },
];

type OfMachine = Pick<PlannedExercise, 'intensity' | 'estimate'>;

/** What the machine shows: of one that goes by watts or by speed that alone. */
function outputColumns({ intensity, estimate }: Partial<OfMachine>): readonly PaperColumn[] {
  if (intensity?.by === 'watts' || estimate?.watts) return [WATTS];
  return intensity?.by === 'speed' || estimate?.speed ? SPEED : [WATTS, ...SPEED];
}

const HEART: readonly PaperColumn[] = [
  { key: 'heart-5', is: 'heart-rate', moment: 'minute-5', label: t`Pulse, minute 5`, unit: '/min' },
  { key: 'heart-end', is: 'heart-rate', moment: 'end', label: t`Pulse, end`, unit: '/min' },
];

/** Columns of an exercise; of one that is not known, those of counted work with one cuff. @param effort what is asked of it, in words */
export function paperColumns(
  exercise: (Pick<PlannedExercise, 'mode' | 'sets' | 'limbs'> & OfMachine) | null,
  effort: string,
): PaperColumn[] {
  const isTimed = exercise?.sets.some(({ work }) => work.kind === 'timed') ?? false;
  const isAerobic = exercise?.mode === 'aerobic';
  const several = (exercise?.limbs.length ?? 0) > 1;
  const ofLimb = (words: string, limb: Limb) =>
    several ? `${words}, ${translate(LIMB_NAMES[limb])}` : words;
  return [
    isTimed
      ? { key: 'amount', is: 'duration', label: t`Done`, unit: t`min:s` }
      : { key: 'amount', is: 'repetitions', label: t`Repetitions` },
    ...(isAerobic ? [...outputColumns(exercise ?? {}), ...HEART] : []),
    { key: 'effort', is: 'effort', label: effort },
    ...(exercise?.limbs ?? [null]).map((target): PaperColumn => {
      if (target === null)
        return { key: 'read', is: 'pressure', limb: 'left-thigh', label: t`Read`, unit: 'mmHg' };
      const { limb } = target;
      return isCuffed(target)
        ? { key: `read-${limb}`, is: 'pressure', limb, label: ofLimb(t`Read`, limb), unit: 'mmHg' }
        : { key: `mark-${limb}`, is: 'mark', limb, label: ofLimb(t`Mark`, limb) };
    }),
    { key: 'colour', is: 'colour', label: t`Colour good` },
  ];
}
