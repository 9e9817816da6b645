import { list, type Message, mass, msg, type Text } from '../message/message';
import { adjunctName } from '../protocol/adjunct';
import { type Rung, rungSchema } from '../protocol/exercise';
import { isEqual } from '../quantity/is-equal';
import { LIMB_NAMES } from '../quantity/limb';
import { RUNG_NAMES } from './goals';
import { exerciseWords, type Plan, type PlannedExercise } from './plan';
import { plannedKg } from './planned-load';
import { onRung, workOn } from './rungs';
import { isMeasured, targetWords } from './target';

/**
 * From what to what a version changes the one before, in words (rules PRS-8, REV-10); none where the figures are the same.
 * Exercises are matched by their place.
 * @example planChanges(before, after) //=> "Knee extension: pressure 60 → 65 % of LOP, 104 → 112 mmHg."
 */
export function planChanges(signed: Plan, after: Plan): Message[] {
  // What is done on the rung of the new version is compared with what was signed for that rung.
  const before = after.rungs ? onRung(signed, after.rungs.rung) : signed;
  const places = Math.max(before.exercises.length, after.exercises.length);
  const exercises = Array.from({ length: places }, (_, place) => place).flatMap((place) => {
    const [was, is] = [before.exercises[place], after.exercises[place]];
    if (!is) return [msg('{exercise}: left out.', { exercise: exerciseWords(before, place) })];
    if (!was) return [msg('{exercise}: added.', { exercise: exerciseWords(after, place) })];
    if (was.exerciseId !== is.exerciseId) {
      return [
        msg('{now} in the place of {before}.', {
          now: exerciseWords(after, place),
          before: exerciseWords(before, place),
        }),
      ];
    }
    const changes = [
      ...targetChanges(was, is),
      ...changed((values) => msg('load {was} → {is}', values), loadText(was), loadText(is)),
      ...changed((values) => msg('rest {was} → {is}', values), restText(was), restText(is)),
      ...changed((values) => msg('{was} → {is}', values), setsText(was), setsText(is)),
      ...changed((values) => msg('{was} → {is}', values), orderText(was), orderText(is)),
    ];
    return changes.length === 0
      ? []
      : [
          msg('{exercise}: {changes}.', {
            exercise: exerciseWords(after, place),
            changes: list(changes, ', '),
          }),
        ];
  });
  return [
    ...exercises,
    ...rungChanges(before, after),
    ...changed((values) => msg('Adjuncts: {was} → {is}.', values), sittingText(before), sittingText(after)),
    ...changed((values) => msg('Place: {was} → {is}.', values), placeText(before), placeText(after)),
  ];
}

const placeText = ({ place }: Plan): Text => place?.label ?? msg('anywhere');

/** Rungs whose work is signed ahead, added or left out, or with other exercises (rule PRO-5). */
function rungChanges(before: Plan, after: Plan): Message[] {
  return rungSchema.options.flatMap((rung) =>
    rung === before.rungs?.rung || rung === after.rungs?.rung
      ? []
      : changed(
          (values) => msg('On the rung {rung}: {was} → {is}.', { rung: RUNG_NAMES[rung], ...values }),
          workText(before, rung),
          workText(after, rung),
        ),
  );
}

function workText(plan: Plan, rung: Rung): Message {
  const work = workOn(plan, rung);
  return work.length === 0
    ? msg('nothing')
    : list(
        work.map(({ label }) => label),
        ', ',
      );
}

/** What says that something is another now; nothing where it is the same. */
const changed = (say: (values: { was: Text; is: Text }) => Message, was: Text, is: Text): Message[] =>
  isEqual(was, is) ? [] : [say({ was, is })];

const sittingText = ({ sitting = [] }: Plan): Message =>
  sitting.length === 0
    ? msg('nothing')
    : list(
        sitting.map((one) =>
          one.when === 'before'
            ? msg('before it {adjunct}', { adjunct: adjunctName(one) })
            : msg('after it {adjunct}', { adjunct: adjunctName(one) }),
        ),
        ', ',
      );

/** What is asked of each limb; the limb is named where there are two. */
function targetChanges(was: PlannedExercise, is: PlannedExercise): Message[] {
  return is.limbs.flatMap((target): Message[] => {
    const before = was.limbs.find(({ limb }) => limb === target.limb);
    const limb = LIMB_NAMES[target.limb];
    if (!before) return [msg('{limb} added', { limb })];
    const named = (change: Message): Message => (is.limbs.length > 1 ? list([limb, change], ' ') : change);
    if (before.kind === 'arbitrary' && target.kind === 'arbitrary') {
      const [from, to] = [before.pressure.value, target.pressure.value];
      return from === to ? [] : [named(msg('pressure {from} → {to} mmHg, arbitrary', { from, to }))];
    }
    if (!isMeasured(before) || !isMeasured(target))
      return changed(
        (values) => named(msg('at {was} → {is}', values)),
        targetWords(before),
        targetWords(target),
      );
    const changes = [
      ...(before.percentLop === target.percentLop
        ? []
        : [msg('{from} → {to} % of LOP', { from: before.percentLop, to: target.percentLop })]),
      ...(before.pressure.value === target.pressure.value
        ? []
        : [msg('{from} → {to} mmHg', { from: before.pressure.value, to: target.pressure.value })]),
    ];
    return changes.length === 0 ? [] : [named(msg('pressure {changes}', { changes: list(changes, ', ') }))];
  });
}

const loadText = ({ load }: PlannedExercise): Text => {
  const kg = plannedKg(load);
  return kg === null ? load.recipe : list([mass(kg)], '');
};

const restText = ({ sets }: PlannedExercise): Message => {
  const rests = [...new Set(sets.slice(0, -1).map(({ restMs }) => restMs / 1000))];
  return rests.length === 0
    ? msg('none')
    : list(
        rests.map((seconds) => msg('{seconds} s', { seconds })),
        '/',
      );
};

const orderText = ({ alternates }: PlannedExercise): Message =>
  alternates ? msg('alternating, set by set') : msg('after the one before');

const setsText = ({ sets }: PlannedExercise): Message =>
  msg('{sets, plural, one {one set} other {# sets}}', { sets: sets.length });
