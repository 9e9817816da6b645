import type { ExerciseChoice } from '#core/plan/choices';
import { INTENSITIES, type Intensity } from '#core/protocol/intensity';
import { NumberField } from '../../parts/NumberField';
import { WordMenu } from '../../parts/WordMenu';

const BYS = Object.keys(INTENSITIES) as Intensity['by'][];

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
        {'How hard: '}
        <WordMenu
          label="Intensity"
          value={intensity.by}
          onChange={(by) => to(INTENSITIES[by].first)}
          options={BYS.map((value) => ({ value, label: INTENSITIES[value].label }))}
        />
      </p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <Figures intensity={intensity} to={to} />
      </div>
    </div>
  );
}

function Figures({ intensity, to }: { intensity: Intensity; to: (next: Intensity) => void }) {
  switch (intensity.by) {
    case 'talking':
      return null;
    case 'watts':
      return (
        <NumberField
          label="Power"
          unit="W"
          value={intensity.watts}
          onValue={(watts) => to({ ...intensity, watts })}
        />
      );
    case 'speed':
      return (
        <>
          <NumberField
            label="Speed"
            unit="km/h"
            value={intensity.kmPerHour}
            onValue={(kmPerHour) => to({ ...intensity, kmPerHour })}
          />
          <NumberField
            label="Gradient"
            unit="%"
            value={intensity.gradientPercent}
            onValue={(gradientPercent) => to({ ...intensity, gradientPercent })}
          />
        </>
      );
    case 'heart-rate':
      return (
        <>
          <NumberField
            label="From"
            unit="/min"
            value={intensity.lowPerMinute}
            onValue={(lowPerMinute) => to({ ...intensity, lowPerMinute })}
          />
          <NumberField
            label="To"
            unit="/min"
            value={intensity.highPerMinute}
            onValue={(highPerMinute) => to({ ...intensity, highPerMinute })}
          />
        </>
      );
    case 'vo2max':
      return (
        <NumberField
          label="Share"
          unit="% VO2max"
          value={intensity.percent}
          onValue={(percent) => to({ ...intensity, percent })}
        />
      );
  }
}
