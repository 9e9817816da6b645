import { t } from '@lingui/core/macro';
import type { Message } from '#core/message';
import { exerciseWords, isRise, moveWords, type Plan, targetWords } from '#core/plan';
import { LIMB_NAMES } from '#core/quantity';
import type { Recheck } from '#core/record';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { useAction } from '../../../parts/keys/use-action';

/**
 * What of the course is not a figure of the plan below it: another rung than last time, a deload week, and rises that wait, with why
 * (rules CRS-3, CRS-5, PRO-5).
 */
export function CourseToday({
  day: { deloadPercent, waits, keptBack },
  rung,
}: Pick<Recheck, 'day'> & { rung: Message | null }) {
  return (
    <>
      {rung && (
        <p className="notched py-1">
          {translate(rung)} <Why rule="PRO-5" />
        </p>
      )}
      {deloadPercent !== null && (
        <p className="notched py-1">
          {t`A deload week: ${deloadPercent} % of the sets, at the same pressures and loads.`}{' '}
          <Why rule="CRS-5" />
        </p>
      )}
      {keptBack.length > 0 && (
        <p className="notched py-1">
          {t`Kept back today: ${keptBack.map((move) => translate(moveWords(move))).join(' ')}`}{' '}
          <Why rule="CRS-3" />
        </p>
      )}
      {waits.map(({ why, exerciseIndex }) => (
        <p key={`${exerciseIndex} ${translate(why)}`} className="text-[15px] text-quiet">
          {translate(why)} <Why rule="CRS-3" />
        </p>
      ))}
    </>
  );
}

/** What moved, in a line each: said at the top while the plan itself lies below the questions of the day (rule CRS-3). */
export function MovesToday({ plan, day: { moves } }: Pick<Recheck, 'day'> & { plan: Plan }) {
  if (moves.length === 0) return null;
  return (
    <ul aria-label={t`What moved`} className="border-l-2 border-plum pl-3">
      {moves.map((move) => {
        const exercise = plan.exercises[move.exerciseIndex];
        const target = exercise?.limbs.find(({ limb }) => limb === move.limb);
        return (
          <li key={`${move.exerciseIndex} ${move.figure} ${move.limb ?? ''}`} className="py-0.5">
            {exercise && translate(exerciseWords(plan, move.exerciseIndex))}
            {target && (exercise?.limbs.length ?? 0) > 1 && `, ${translate(LIMB_NAMES[target.limb])}`}
            {': '}
            {target && <span className="figures font-semibold">{translate(targetWords(target))} </span>}
            {translate(moveWords(move))} <Why rule="CRS-3" />
          </li>
        );
      })}
    </ul>
  );
}

/** A rise is kept back by one key; a fall is not (rule CRS-3). */
export function AsLastTime({
  day: { moves },
  keepsBack,
  onChange,
}: Pick<Recheck, 'day'> & { keepsBack: boolean; onChange: (keepsBack: boolean) => void }) {
  const isOffered = keepsBack || moves.some(isRise);
  useAction('as-last-time', () => onChange(!keepsBack), { enabled: isOffered });
  if (!isOffered) return null;
  return (
    <Button does="as-last-time" onClick={() => onChange(!keepsBack)}>
      {keepsBack ? t`As the plan says` : t`As last time`}
    </Button>
  );
}
