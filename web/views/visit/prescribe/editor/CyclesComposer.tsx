import { t } from '@lingui/core/macro';
import { useRef } from 'react';
import {
  atShare,
  type ExerciseChoice,
  isCuffed,
  type PlannedExercise,
  plannedMark,
  plannedMmHg,
  plannedWords,
  type SetChoice,
} from '#core/plan';
import { risingShares } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import { RULES } from '#core/rules';
import { translate } from '../../../../language/translate';
import { Button } from '../../../../parts/base/Button';
import { NumberField } from '../../../../parts/fields/NumberField';

const MOST_CYCLES = 12;
const LEAST_SHARE = 10;
const STEP_SHARE = 5;
const USUAL = RULES['PRS-9'].figures;

/** Cycles of the cuff as a row of steps to drag up and down, with how many there are and how long each is on and off (rule PRS-9). */
export function CyclesComposer({
  choice,
  planned,
  change,
}: {
  choice: ExerciseChoice;
  planned: PlannedExercise | undefined;
  change: (to: ExerciseChoice) => void;
}) {
  const { sets } = choice;
  const [first] = sets;
  const withSets = (next: SetChoice[]) => change({ ...choice, sets: next });
  const limbs = planned?.limbs ?? [];
  const timeOn = first?.work.kind === 'timed' ? first.work.workMs : USUAL.onMs;
  const timeOff = sets.length > 1 ? (first?.restMs ?? USUAL.offMs.usual) : USUAL.offMs.usual;
  const shares = sets.map(({ ofTarget }) => ofTarget ?? 100);
  const withShares = (next: readonly number[]) =>
    withSets(
      next.map((share, place): SetChoice => {
        const last = place === next.length - 1;
        return {
          work: { kind: 'timed', workMs: timeOn },
          restMs: last ? (sets.at(-1)?.restMs ?? 0) : timeOff,
          release: true,
          ...atShare(share),
        };
      }),
    );
  return (
    <fieldset className="space-y-3">
      <legend className="text-[15px] font-semibold">{t`Cycles, each a share of the target`}</legend>
      <ol className="flex h-44 items-stretch gap-1 border-b border-ink/40">
        {shares.map((share, place) => (
          <Step
            // biome-ignore lint/suspicious/noArrayIndexKey: a cycle is its place
            key={place}
            place={place}
            share={share}
            steps={limbs.map((target) => ({
              figure: isCuffed(target)
                ? plannedMmHg(target, atShare(share))
                : plannedMark(target, atShare(share)),
              words: translate(plannedWords(target, atShare(share))),
            }))}
            onShare={(next) => withShares(shares.map((was, at) => (at === place ? next : was)))}
          />
        ))}
      </ol>
      {limbs.length > 1 && (
        <p className="text-[14px] text-quiet">
          {t`Above each: ${limbs.map(({ limb }) => translate(LIMB_NAMES[limb])).join(t`, then `)}.`}
        </p>
      )}
      <div className="grid grid-cols-3 gap-3">
        <NumberField
          label={t`Cycles`}
          value={sets.length}
          onValue={(count) => {
            if (Number.isInteger(count) && count >= 1 && count <= MOST_CYCLES)
              withShares(isSteady(shares) ? Array(count).fill(shares[0] ?? 100) : risingShares(count));
          }}
          hint={t`1 to ${MOST_CYCLES}`}
        />
        <NumberField
          label={t`On`}
          unit="s"
          value={timeOn / 1000}
          onValue={(seconds) =>
            withSets(
              sets.map((set) => ({ ...set, work: { kind: 'timed', workMs: Math.round(seconds * 1000) } })),
            )
          }
        />
        <NumberField
          label={t`Off`}
          unit="s"
          value={timeOff / 1000}
          onValue={(seconds) =>
            withSets(
              sets.map((set, place) =>
                place < sets.length - 1 ? { ...set, restMs: Math.round(seconds * 1000) } : set,
              ),
            )
          }
        />
      </div>
      <p className="flex flex-wrap gap-2">
        <Button onClick={() => withShares(risingShares(sets.length))}>{t`Rising`}</Button>
        <Button onClick={() => withShares(sets.map(() => 100))}>{t`Steady, at the target`}</Button>
      </p>
    </fieldset>
  );
}

const isSteady = (shares: readonly number[]): boolean => shares.every((share) => share === shares[0]);

/** One cycle: a bar to drag, or to move by the arrow keys. */
function Step({
  place,
  share,
  steps,
  onShare,
}: {
  place: number;
  share: number;
  /** Of each limb: what it is brought to, in mmHg or as a mark. */
  steps: readonly { figure: number; words: string }[];
  onShare: (share: number) => void;
}) {
  const bar = useRef<HTMLDivElement>(null);
  const to = (wanted: number) =>
    onShare(Math.min(100, Math.max(LEAST_SHARE, Math.round(wanted / STEP_SHARE) * STEP_SHARE)));
  const follow = (event: React.PointerEvent) => {
    const box = bar.current?.getBoundingClientRect();
    if (box && event.buttons > 0) to((100 * (box.bottom - event.clientY)) / box.height);
  };
  return (
    <li className="flex min-w-0 flex-1 flex-col text-center">
      <span className="figures h-10 text-[14px] leading-5">
        {steps.map(({ figure }, limb) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a limb is its place
          <span key={limb} className="block">
            {figure}
          </span>
        ))}
      </span>
      <div
        ref={bar}
        role="slider"
        tabIndex={0}
        aria-label={t`Cycle ${place + 1}, share of the target`}
        aria-orientation="vertical"
        aria-valuemin={LEAST_SHARE}
        aria-valuemax={100}
        aria-valuenow={share}
        aria-valuetext={`${share} %, ${steps.map(({ words }) => words).join(' and ')}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          follow(event);
        }}
        onPointerMove={follow}
        onKeyDown={(event) => {
          const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
          if (!by) return;
          event.preventDefault();
          to(share + by * STEP_SHARE);
        }}
        className="relative min-h-0 flex-1 cursor-ns-resize touch-none border-x border-rule"
      >
        <span
          className="absolute inset-x-0 bottom-0 border-t-4 border-plum bg-plum/25"
          style={{ height: `${share}%` }}
        />
      </div>
    </li>
  );
}
