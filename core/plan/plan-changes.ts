import { besideText } from '../protocol/beside';
import { capital } from '../quantity/capital';
import { LIMB_LABELS } from '../quantity/limb';
import { exerciseWords, isMeasured, type Plan, type PlannedExercise, plannedKg, targetWords } from './plan';

/**
 * From what to what a version changes the one before, in words (rules PRS-8, REV-10); none where the figures are the same.
 * Exercises are told by their place.
 * @example planChanges(before, after) //=> ['Knee extension: pressure 60 → 65 % of LOP, 104 → 112 mmHg.']
 */
export function planChanges(before: Plan, after: Plan): string[] {
  const sittings = fromTo('beside the cuff:', sittingText(before), sittingText(after));
  const places = Math.max(before.exercises.length, after.exercises.length);
  const exercises = Array.from({ length: places }, (_, place) => place).flatMap((place) => {
    const [was, is] = [before.exercises[place], after.exercises[place]];
    if (!is) return [`${exerciseWords(before, place)}: left out.`];
    if (!was) return [`${exerciseWords(after, place)}: added.`];
    if (was.exerciseId !== is.exerciseId) {
      return [`${exerciseWords(after, place)} in the place of ${exerciseWords(before, place)}.`];
    }
    const changes = [
      ...targetChanges(was, is),
      fromTo('load', loadWords(was), loadWords(is)),
      fromTo('rest', restWords(was), restWords(is)),
      fromTo('', setsWords(was), setsWords(is)),
      fromTo('', orderWords(was), orderWords(is)),
    ].filter((words) => words !== null);
    return changes.length === 0 ? [] : [`${exerciseWords(after, place)}: ${changes.join(', ')}.`];
  });
  return [...exercises, ...(sittings ? [`${capital(sittings)}.`] : [])];
}

const sittingText = ({ sitting }: Plan): string =>
  (sitting ?? []).map((one) => `${one.when} it ${besideText(one).toLowerCase()}`).join(', ') || 'nothing';

const fromTo = (what: string, was: string, is: string): string | null =>
  was === is ? null : `${what}${what && ' '}${was} → ${is}`;

/** What is asked of each limb; the limb is named where there are two. */
function targetChanges(was: PlannedExercise, is: PlannedExercise): (string | null)[] {
  return is.limbs.map((target) => {
    const before = was.limbs.find(({ limb }) => limb === target.limb);
    const limb = LIMB_LABELS[target.limb].toLowerCase();
    if (!before) return `${limb} added`;
    const name = is.limbs.length > 1 ? `${limb} ` : '';
    if (before.kind === 'arbitrary' && target.kind === 'arbitrary') {
      const changed = fromTo(`${name}pressure`, `${before.pressure.value}`, `${target.pressure.value}`);
      return changed && `${changed} mmHg, arbitrary`;
    }
    if (!isMeasured(before) || !isMeasured(target)) {
      return fromTo(`${name}at`.trim(), targetWords(before), targetWords(target));
    }
    const [percents, pressures] = [
      [before.percentLop, target.percentLop],
      [before.pressure.value, target.pressure.value],
    ] as const;
    const changed = [
      percents[0] !== percents[1] && `${percents.join(' → ')} % of LOP`,
      pressures[0] !== pressures[1] && `${pressures.join(' → ')} mmHg`,
    ].filter((words) => words !== false);
    return changed.length === 0 ? null : `${name}pressure ${changed.join(', ')}`;
  });
}

const loadWords = ({ load }: PlannedExercise): string => {
  const kg = plannedKg(load);
  return kg === null ? load.recipe : `${kg} kg`;
};

const restWords = ({ sets }: PlannedExercise): string =>
  [...new Set(sets.slice(0, -1).map(({ restMs }) => `${restMs / 1000} s`))].join('/') || 'none';

const orderWords = ({ alternates }: PlannedExercise): string =>
  alternates ? 'alternating, set by set' : 'after the one before';

const setsWords = ({ sets }: PlannedExercise): string =>
  sets.length === 1 ? 'one set' : `${sets.length} sets`;
