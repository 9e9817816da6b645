import { t } from '@lingui/core/macro';
import type { ExerciseChoice } from '#core/plan';
import { INTENSITIES, type Intensity } from '#core/protocol';
import { translate } from '../../../../language/translate';
import { WordMenu } from '../../../../parts/base/WordMenu';
import { NumberField } from '../../../../parts/fields/NumberField';

const BYS = Object.keys(INTENSITIES) as Intensity['by'][];

/** The figures of each, as they are asked for. */
const FIGURES: {
  [By in Intensity['by']]: readonly {
    name: Exclude<keyof Extract<Intensity, { by: By }>, 'by'>;
    label: string;
    unit: string;
  }[];
} = {
  talking: [],
  watts: [{ name: 'watts', label: t`Power`, unit: 'W' }],
  speed: [
    { name: 'kmPerHour', label: t`Speed`, unit: 'km/h' },
    { name: 'gradientPercent', label: t`Gradient`, unit: '%' },
  ],
  'heart-rate': [
    { name: 'lowPerMinute', label: t`From`, unit: '/min' },
    { name: 'highPerMinute', label: t`To`, unit: '/min' },
  ],
  vo2max: [{ name: 'percent', label: t`Share`, unit: t`% VO2max` }],
};

const figureOf = (intensity: Intensity, name: string): number =>
  (intensity as Intensity & Record<string, number>)[name] ?? Number.NaN;

/** How hard aerobic work is: a word that says by what, and its figures. */
export function IntensityField({
  intensity,
  set,
}: {
  intensity: Intensity;
  set: (part: Pick<ExerciseChoice, 'intensity'>) => void;
}) {
  const to = (next: Intensity) => set({ intensity: next });
  return (
    <div>
      <p>
        {t`How hard: `}
        <WordMenu
          label={t`Intensity`}
          value={intensity.by}
          onChange={(by) => to(INTENSITIES[by].first)}
          options={BYS.map((value) => ({ value, label: translate(INTENSITIES[value].label) }))}
        />
      </p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        {FIGURES[intensity.by].map(({ name, label, unit }) => (
          <NumberField
            key={name}
            label={label}
            unit={unit}
            value={figureOf(intensity, name)}
            onValue={(value) => to({ ...intensity, [name]: value } as Intensity)}
          />
        ))}
      </div>
    </div>
  );
}
