import { t } from '@lingui/core/macro';
import {
  type CuffedTarget,
  compile,
  FIGURE_KINDS,
  isCuffed,
  isRise,
  type LimbTarget,
  type Move,
  moveWords,
  type Plan,
  type PlannedExercise,
  type PlannedSet,
  plannedMmHg,
  plannedWords,
  primingCycles,
  staysInflated,
} from '#core/plan';
import { pacedReps } from '#core/protocol';
import { LIMB_LABELS, POSITION_NAMES } from '#core/quantity';
import { translate } from '../../language/translate';
import { clock, tempoWords } from '../../words/format';
import { shareOfMax } from '../../words/share-of-max';
import { Figure } from '../base/Figure';
import { OcclusionStrip } from '../drawing/OcclusionStrip';
import { SittingWords } from './SittingWords';
import { Strapped } from './Strapped';

/** What was prescribed: each exercise with its pressures, load and sets, and the strip beneath. */
export function PlanSummary({ plan }: { plan: Plan }) {
  return (
    <div className="space-y-4">
      <SittingWords plan={plan} when="before" />
      {plan.exercises.map((exercise, place) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
          key={place}
          className="border-t border-rule pt-3"
        >
          {plan.exercises.length > 1 && (
            <p className="font-semibold">
              {place + 1}. {translate(exercise.label)}, {translate(POSITION_NAMES[exercise.position])}
              {exercise.alternates && (
                <span className="font-normal text-quiet">{t`, alternating with the one before, set by set`}</span>
              )}
            </p>
          )}
          <div className="flex flex-wrap items-start gap-x-10 gap-y-4">
            {exercise.limbs.map((target) =>
              target.kind === 'by-feel' ? (
                <Strapped key={target.limb} {...target} />
              ) : (
                <div key={target.limb}>
                  <Figure
                    label={`${exercise.limbs.length > 1 || plan.exercises.length > 1 ? `${translate(LIMB_LABELS[target.limb])}, ` : ''}${shareWords(target)}`}
                    derived={target.pressure}
                    size={plan.exercises.length > 1 ? 'text-4xl' : 'text-6xl'}
                  />
                  <Moved plan={plan} place={place} isOf={({ limb }) => limb === target.limb} />
                </div>
              ),
            )}
            <div className={exercise.load.kind === 'weighed' ? '' : 'self-center'}>
              {exercise.load.kind === 'weighed' ? (
                <Figure
                  label={`${translate(exercise.load.recipe)}${shareOfMax(exercise.load, exercise.load.load.value)}`}
                  derived={exercise.load.load}
                  size={plan.exercises.length > 1 ? 'text-4xl' : 'text-6xl'}
                />
              ) : (
                <p className="text-xl">{translate(exercise.load.recipe)}</p>
              )}
              <Moved plan={plan} place={place} isOf={({ figure }) => FIGURE_KINDS[figure] === 'load'} />
            </div>
            <div>
              <p className="text-[13px] text-quiet">{translate(exercise.protocolLabel)}</p>
              <p className="figures text-3xl">{setsWords(exercise)}</p>
              <p className="text-[14px] text-quiet">{restWords(exercise)}</p>
              <Moved plan={plan} place={place} isOf={({ figure }) => FIGURE_KINDS[figure] === 'volume'} />
            </div>
          </div>
        </div>
      ))}
      <SittingWords plan={plan} when="after" />
      <OcclusionStrip planned={compile(plan)} plan={plan} />
    </div>
  );
}

/** What moved a figure since it was last opened, and why (rule CRS-3); a rise is set off. */
function Moved({ plan, place, isOf }: { plan: Plan; place: number; isOf: (move: Move) => boolean }) {
  const moves = (plan.course?.moves ?? []).filter((move) => move.exerciseIndex === place && isOf(move));
  return moves.map((move) => (
    <p key={move.figure} className={`max-w-xs text-[15px] ${isRise(move) ? 'font-semibold' : ''}`}>
      {translate(moveWords(move))}
    </p>
  ));
}

/** What share of its LOP a pressure is, or that it is not known (rule PRS-7). */
export const shareWords = (target: CuffedTarget): string =>
  target.kind === 'measured' ? t`${target.percentLop} % of LOP` : t`arbitrary pressure`;

// So many alike are given by their number.
const TOLD_ONE_BY_ONE = 5;

/** "30 / 15 / 15 / 15", or the spells of work by the clock, "8 × 0:30" where there are many alike. */
export const setsWords = ({ sets }: Pick<PlannedExercise, 'sets'>): string => {
  const amounts = sets.map((set) => `${set.work.kind === 'to-failure' ? '≤' : ''}${amountWords(set)}`);
  return amounts.length > TOLD_ONE_BY_ONE && new Set(amounts).size === 1
    ? `${amounts.length} × ${amounts[0]}`
    : amounts.join(' / ');
};

/** "62, 68 … 104 mmHg" of one limb, where its sets are at pressures of their own; null where all are at the target. */
export function stepsWords(target: LimbTarget, { sets }: Pick<PlannedExercise, 'sets'>): string | null {
  if (sets.every(({ ofTarget }) => ofTarget === undefined)) return null;
  return isCuffed(target)
    ? `${sets.map((set) => plannedMmHg(target, set)).join(', ')} mmHg`
    : sets.map((set) => translate(plannedWords(target, set))).join(', ');
}

/** "30" repetitions, or "5:00" of work by the clock. */
export const amountWords = ({ work, lastsMs }: PlannedSet): string => `${pacedReps(work) ?? clock(lastsMs)}`;

/** "rest 30 s, tempo 1–0–1, cuff stays inflated". */
export function restWords(exercise: PlannedExercise): string {
  const rests = [...new Set(exercise.sets.slice(0, -1).map(({ restMs }) => restMs / 1000))];
  const paced = exercise.sets.some(({ work }) => work.kind !== 'timed');
  return [
    rests.length > 0 && t`rest ${rests.join(', ')} s`,
    paced && t`tempo ${tempoWords(exercise.tempoId)}`,
    staysInflated(exercise) ? t`cuff stays inflated` : t`released between sets`,
    primingCycles(exercise) > 0 && t`primed first`,
  ]
    .filter(Boolean)
    .join(', ');
}
