import type { Finding } from '../findings/finding';
import { list, type Message, mass, msg, type Text } from '../message/message';
import type { Intensity } from '../protocol/intensity';
import { isEqual } from '../quantity/is-equal';
import { LIMB_NAMES } from '../quantity/limb';
import type { Plan, PlannedExercise } from './plan';
import { plannedKg } from './planned-load';
import type { PlannedSet } from './planned-set';
import type { LimbTarget } from './target';

/**
 * The last gate (rule START-5): what a session would freeze, compared with the most that is allowed that day, exercise by
 * exercise and limb by limb, whatever changed it on the way. Everything found is hard; nothing is found of a plan that is the
 * bounds themselves.
 * @param bounds what was signed
 */
export function pastBounds(bounds: Plan, today: Plan): Finding[] {
  return today.exercises.flatMap((exercise, exerciseIndex) => {
    const signed = bounds.exercises[exerciseIndex];
    if (!signed || signed.exerciseId !== exercise.exerciseId)
      return [
        finding(exerciseIndex, 'exercises', msg('{exercise} was not signed.', { exercise: exercise.label })),
      ];
    return [
      ...exercise.limbs.flatMap((target) => pastLimb(signed, target, exerciseIndex)),
      ...pastLoad(signed, exercise, exerciseIndex),
      ...pastSets(signed, exercise, exerciseIndex),
      ...pastWay(signed, exercise, exerciseIndex),
    ];
  });
}

const finding = (exerciseIndex: number, subject: string, message: Message): Finding => ({
  rule: 'START-5',
  level: 'hard',
  subject,
  exerciseIndex,
  message,
  remedy: msg('Sign it as it is to be done.'),
});

/** Two shares that differ by less are the same figure, worked out in two ways. */
const SAME_PERCENT = 0.05;

function pastLimb({ label, limbs }: PlannedExercise, target: LimbTarget, exerciseIndex: number): Finding[] {
  const where = list([label, LIMB_NAMES[target.limb]], ', ');
  const signed = limbs.find(({ limb }) => limb === target.limb);
  if (!signed) return [finding(exerciseIndex, 'limbs', msg('{where}: this limb was not signed.', { where }))];
  const past = (words: Message) => [finding(exerciseIndex, 'percentLop', list([where, words], ': '))];
  if (signed.kind === 'measured' && target.kind === 'measured') {
    if (target.percentLop > signed.percentLop + SAME_PERCENT)
      return past(
        msg('{percentLop} % of LOP, and {signed} % was signed.', {
          percentLop: target.percentLop,
          signed: signed.percentLop,
        }),
      );
    const mostMmHg = (target.occlusion.value * signed.percentLop) / 100;
    const highest = Math.max(target.pressure.value, ...target.primingMmHg);
    return highest > mostMmHg + target.divisionMmHg * SAME_PERCENT
      ? past(
          msg('{highest} mmHg, and {percentLop} % of {occlusion} was signed.', {
            highest,
            percentLop: signed.percentLop,
            occlusion: target.occlusion.value,
          }),
        )
      : [];
  }
  if (signed.kind === 'arbitrary' && target.kind === 'arbitrary')
    return Math.max(target.pressure.value, ...target.primingMmHg) > signed.pressure.value
      ? past(
          msg('{pressure} mmHg, and {signed} was signed.', {
            pressure: target.pressure.value,
            signed: signed.pressure.value,
          }),
        )
      : [];
  if (signed.kind === 'by-feel' && target.kind === 'by-feel')
    return target.mark > signed.mark
      ? past(msg('mark {mark}, and {signed} was signed.', { mark: target.mark, signed: signed.mark }))
      : [];
  return past(msg('another way of setting the pressure was signed.'));
}

function pastLoad(signed: PlannedExercise, exercise: PlannedExercise, exerciseIndex: number): Finding[] {
  const [most, kg] = [plannedKg(signed.load), plannedKg(exercise.load)];
  const past = (words: Message) => [finding(exerciseIndex, 'load', list([signed.label, words], ': '))];
  if (kg !== null) {
    if (most === null)
      return past(msg('{kg}, and {recipe} was signed.', { kg: mass(kg), recipe: signed.load.recipe }));
    return kg > most ? past(msg('{kg}, and {most} was signed.', { kg: mass(kg), most: mass(most) })) : [];
  }
  // Without kilograms which of two is lighter is not known, but for none at all beside a weight.
  return most === null && !exercise.intensity && !isEqual(resistanceOf(exercise), resistanceOf(signed))
    ? past(
        msg('{recipe}, and {signed} was signed.', {
          recipe: exercise.load.recipe,
          signed: signed.load.recipe,
        }),
      )
    : [];
}

/** What resists in work without kilograms. */
const resistanceOf = ({ load }: PlannedExercise): Text =>
  (load.kind === 'unweighed' ? load.with : undefined) ?? load.recipe;

function pastSets(signed: PlannedExercise, { sets }: PlannedExercise, exerciseIndex: number): Finding[] {
  const past = (words: Message) => finding(exerciseIndex, 'sets', list([signed.label, words], ': '));
  if (sets.length > signed.sets.length)
    return [
      past(
        msg('{sets} sets, and {signed} were signed.', {
          sets: sets.length,
          signed: signed.sets.length,
        }),
      ),
    ];
  return sets.flatMap((set, place) => {
    const was = signed.sets[place];
    if (!was) return [];
    const isLast = place === sets.length - 1;
    const name = msg('set {place}', { place: place + 1 });
    return [
      ...(asksForMore(was, set) ? [past(msg('{name} asks for more than was signed.', { name }))] : []),
      ...(!isLast && set.restMs < was.restMs
        ? [
            past(
              msg('{name}: {rest} s rest, and {signed} s was signed.', {
                name,
                rest: set.restMs / 1_000,
                signed: was.restMs / 1_000,
              }),
            ),
          ]
        : []),
      ...(!isLast && was.release && !set.release
        ? [past(msg('{name}: the cuff was to come down after it.', { name }))]
        : []),
      ...((set.ofTarget ?? 100) > (was.ofTarget ?? 100)
        ? [past(msg('{name}: a larger share of the target than was signed.', { name }))]
        : []),
    ];
  });
}

function asksForMore({ work: was }: PlannedSet, { work }: PlannedSet): boolean {
  switch (work.kind) {
    case 'reps':
      return was.kind === 'timed' || work.reps > (was.kind === 'reps' ? was.reps : was.pacedTo);
    case 'to-failure':
      return was.kind !== 'to-failure' || work.pacedTo > was.pacedTo;
    case 'timed':
      return was.kind !== 'timed' || work.workMs > was.workMs;
  }
}

/** How it is done is what was signed: more reclined, in another mode or harder in words is something else. */
function pastWay(signed: PlannedExercise, exercise: PlannedExercise, exerciseIndex: number): Finding[] {
  const isSame =
    signed.position === exercise.position &&
    signed.mode === exercise.mode &&
    isNoHarder(exercise.intensity, signed.intensity);
  return isSame
    ? []
    : [
        finding(
          exerciseIndex,
          'position',
          msg('{signed}: it was signed to be done another way.', { signed: signed.label }),
        ),
      ];
}

/** Whether an intensity is of the kind that was signed, and asks for no more. */
function isNoHarder(now: Intensity | undefined, signed: Intensity | undefined): boolean {
  if (!now || !signed || now.by !== signed.by) return isEqual(now, signed);
  switch (signed.by) {
    case 'talking':
      return true;
    case 'watts':
      return now.by === 'watts' && now.watts <= signed.watts;
    case 'speed':
      return (
        now.by === 'speed' &&
        now.kmPerHour <= signed.kmPerHour &&
        now.gradientPercent <= signed.gradientPercent
      );
    case 'heart-rate':
      return now.by === 'heart-rate' && now.highPerMinute <= signed.highPerMinute;
    case 'vo2max':
      return now.by === 'vo2max' && now.percent <= signed.percent;
  }
}
