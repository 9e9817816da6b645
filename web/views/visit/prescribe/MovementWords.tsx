import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { comesTo } from '#core/course';
import {
  type Basis,
  byWords,
  type ExerciseChoice,
  FIGURE_KINDS,
  type FigureId,
  type FigureKind,
  figureValue,
  figureWords,
  MOST_A_WEEK,
  type Movement,
  movementOf,
  movementsFor,
  type PlannedExercise,
  type SessionChoice,
  stepWords,
  withMovements,
} from '#core/plan';
import { translate } from '../../../language/translate';
import { WordMenu } from '../../../parts/base/WordMenu';

const STEADY = 'steady';
const KIND_LABELS: Record<FigureKind, string> = {
  pressure: t`How the pressure moves`,
  load: t`How the load moves`,
  volume: t`How sets and minutes move`,
};

/** How far a bound is moved by one choice. */
const BOUND_STEPS: Record<FigureId, number> = {
  'percent-lop': 5,
  mmHg: 10,
  mark: 1,
  'percent-1rm': 5,
  watts: 5,
  'km-per-hour': 0.2,
  'vo2max-percent': 2,
  beats: 5,
  minutes: 1,
  sets: 1,
  reps: 1,
};
const BOUNDS_OFFERED = 10;
const STEPS_OFFERED = [0.5, 1, 2, 5, 10, 20];

/** How one figure of an exercise moves, in words that are the control: by what, by how much, and up to where (rule CRS-1). */
export function MovementWords({
  choice,
  planned,
  kind,
  session: { schoolId },
  basis,
  change,
}: {
  choice: ExerciseChoice;
  /** Undefined while a figure is half typed. */
  planned: PlannedExercise | undefined;
  kind: FigureKind;
  session: Pick<SessionChoice, 'schoolId'>;
  basis: Basis;
  change: (choice: ExerciseChoice) => void;
}) {
  const now = movementOf(choice, kind);
  const offered = movementsFor(choice, kind, { schoolId, basis });
  const all = now && !offered.some((one) => keyOf(one) === keyOf(now)) ? [now, ...offered] : offered;
  if (all.length === 0) return null;
  const set = (movement: Movement | undefined) =>
    change(
      withMovements(
        choice,
        [
          ...(choice.movements ?? []).filter(({ figure }) => FIGURE_KINDS[figure] !== kind),
          ...(movement ? [movement] : []),
        ],
        basis,
      ),
    );
  const bound = now && planned && comesTo(now, planned, basis.weightKits);
  return (
    <p className="text-[14px] leading-6 text-quiet [&_button]:text-ink">
      {now?.by === 'week' && (
        <>
          <WordMenu
            isSmall
            label={t`By how much a week`}
            value={String(now.step)}
            onChange={(step) => set({ ...now, step: Number(step) })}
            options={stepsOf(now.figure, now.step).map((step) => ({
              value: String(step),
              label: `+${translate(stepWords(now.figure, step))}`,
            }))}
          />{' '}
        </>
      )}
      <WordMenu
        isSmall
        {...(now ? { shown: shownWords(now) } : {})}
        label={KIND_LABELS[kind]}
        value={now ? keyOf(now) : STEADY}
        onChange={(key) => set(all.find((one) => keyOf(one) === key))}
        options={[
          { value: STEADY, label: t`steady` },
          ...all.map((one) => ({
            value: keyOf(one),
            label: translate(byWords(one)),
          })),
        ]}
      />
      {now && (
        <>
          {' '}
          <Trans>to</Trans>{' '}
          <WordMenu
            isSmall
            label={t`Up to where`}
            value={String(now.to)}
            onChange={(to) => set({ ...now, to: Number(to) })}
            options={boundsOf(choice, now).map((to) => ({
              value: String(to),
              label: translate(figureWords(now.figure, to)),
            }))}
          />
          {bound && <span className="figures"> {translate(bound)}</span>}
        </>
      )}
    </p>
  );
}

/** By what it goes, in the fewest words: its step has a word of its own. */
function shownWords(movement: Movement): string {
  switch (movement.by) {
    case 'week':
      return t`a week`;
    case 'ramp':
      return t`by the ramp`;
    case 're-entry':
      return t`re-entry`;
    case 'review':
      return translate(byWords(movement));
  }
}

const keyOf = ({ by, figure }: Movement): string => `${by} ${figure}`;

const stepsOf = (figure: FigureId, now: number): number[] =>
  [...new Set([...STEPS_OFFERED.filter((step) => step <= MOST_A_WEEK[figure]), now])].sort((a, b) => a - b);

/** Bounds above what it begins at, the one of now among them. */
function boundsOf(choice: ExerciseChoice, { figure, to }: Movement): number[] {
  const from = figureValue(choice, figure) ?? 0;
  const step = BOUND_STEPS[figure];
  const first = Math.floor(from / step) * step + step;
  const above = Array.from(
    { length: BOUNDS_OFFERED },
    (_, place) => Math.round((first + place * step) * 10) / 10,
  ).filter((bound) => figure !== 'percent-lop' || bound <= 100);
  return [...new Set([...above, to])].sort((a, b) => a - b);
}
