import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { cuffedLimbs, type ExerciseChoice, isByFeel, type PlannedExercise } from '#core/plan';
import { type Priming, USUAL_PRIMING } from '#core/pressure';
import { Choice } from '../../../../parts/fields/Choice';
import { NumberField } from '../../../../parts/fields/NumberField';
import { Tick } from '../../../../parts/fields/Tick';

/** Whether the cuff is got used to first, and how: where it begins, the step, the time up and down (rule PRS-6). */
export function PrimingEditor({
  choice,
  planned,
  set,
}: {
  choice: Pick<ExerciseChoice, 'primed' | 'priming'>;
  planned: PlannedExercise | undefined;
  set: (part: Pick<ExerciseChoice, 'primed' | 'priming'>) => void;
}) {
  const [opened, setOpened] = useState(false);
  const priming = choice.priming ?? USUAL_PRIMING;
  const pressures = planned ? (cuffedLimbs(planned)[0]?.primingMmHg ?? []) : [];
  // A strap is primed by its marks, and there is nothing to change in that.
  const marks = planned?.limbs.flatMap((target) =>
    target.kind === 'by-feel' ? [target.primingMarks ?? []] : [],
  )[0];
  const change = (part: Partial<Priming>) => set({ primed: true, priming: { ...priming, ...part } });
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-3">
        <Tick
          checked={choice.primed}
          onChange={(primed) => set({ primed, ...(choice.priming ? { priming: choice.priming } : {}) })}
        >
          {t`Priming cycles first`}
        </Tick>
        {choice.primed && (
          <>
            <span className="figures text-[14px] text-quiet">
              {marks ? t`to ${marks.join(', ')}` : `${pressures.join(', ')} mmHg`}
            </span>
            {!(planned && isByFeel(planned)) && (
              <button
                type="button"
                aria-expanded={opened}
                onClick={() => setOpened(!opened)}
                className="min-h-11 underline underline-offset-4"
              >
                {t`Change`}
              </button>
            )}
          </>
        )}
      </div>
      {choice.primed && opened && (
        <div className="space-y-3 border-l-4 border-rule pl-3">
          <Choice
            label={t`Begins at`}
            value={priming.start.of}
            onChange={(of) =>
              change({
                start: of === 'target' ? USUAL_PRIMING.start : { of, mmHg: pressures[0] ?? 50 },
              })
            }
            options={[
              { value: 'target', label: t`a share of the target` },
              { value: 'nothing', label: t`a pressure` },
            ]}
          />
          <div className="grid grid-cols-2 gap-3">
            {priming.start.of === 'target' ? (
              <NumberField
                label={t`Begins at`}
                unit="%"
                value={priming.start.percent}
                onValue={(percent) => change({ start: { of: 'target', percent } })}
              />
            ) : (
              <NumberField
                label={t`Begins at`}
                unit="mmHg"
                value={priming.start.mmHg}
                onValue={(mmHg) => change({ start: { of: 'nothing', mmHg } })}
              />
            )}
            <NumberField
              label={t`Step`}
              unit="mmHg"
              value={priming.stepMmHg}
              onValue={(stepMmHg) => change({ stepMmHg })}
            />
            <NumberField
              label={t`Up for`}
              unit="s"
              value={priming.onMs / 1000}
              onValue={(seconds) => change({ onMs: Math.round(seconds * 1000) })}
            />
            <NumberField
              label={t`Down for`}
              unit="s"
              value={priming.offMs / 1000}
              onValue={(seconds) => change({ offMs: Math.round(seconds * 1000) })}
            />
          </div>
          {choice.priming && (
            <button
              type="button"
              onClick={() => set({ primed: true, priming: undefined })}
              className="min-h-11 underline underline-offset-4"
            >
              {t`As usual again`}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
