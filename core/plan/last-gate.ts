import type { Finding } from '../findings/finding';
import { LIMB_LABELS } from '../quantity/limb';
import { type LimbTarget, type Plan, type PlannedExercise, type PlannedSet, plannedKg } from './plan';

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
      return [finding(exerciseIndex, 'exercises', `${exercise.label} was not signed.`)];
    return [
      ...exercise.limbs.flatMap((target) => pastLimb(signed, target, exerciseIndex)),
      ...pastLoad(signed, exercise, exerciseIndex),
      ...pastSets(signed, exercise, exerciseIndex),
      ...pastWay(signed, exercise, exerciseIndex),
    ];
  });
}

const finding = (exerciseIndex: number, subject: string, message: string): Finding => ({
  rule: 'START-5',
  level: 'hard',
  subject,
  exerciseIndex,
  message,
  remedy: 'Sign it as it is to be done.',
});

/** Two shares that differ by less are the same figure, worked out in two ways. */
const SAME_PERCENT = 0.05;

function pastLimb({ label, limbs }: PlannedExercise, target: LimbTarget, exerciseIndex: number): Finding[] {
  const where = `${label}, ${LIMB_LABELS[target.limb].toLowerCase()}`;
  const signed = limbs.find(({ limb }) => limb === target.limb);
  if (!signed) return [finding(exerciseIndex, 'limbs', `${where}: this limb was not signed.`)];
  const past = (words: string) => [finding(exerciseIndex, 'percentLop', `${where}: ${words}`)];
  if (signed.kind === 'measured' && target.kind === 'measured') {
    if (target.percentLop > signed.percentLop + SAME_PERCENT)
      return past(`${target.percentLop} % of LOP, and ${signed.percentLop} % was signed.`);
    const mostMmHg = (target.occlusion.value * signed.percentLop) / 100;
    const highest = Math.max(target.pressure.value, ...target.primingMmHg);
    return highest > mostMmHg + target.divisionMmHg * SAME_PERCENT
      ? past(`${highest} mmHg, and ${signed.percentLop} % of ${target.occlusion.value} was signed.`)
      : [];
  }
  if (signed.kind === 'arbitrary' && target.kind === 'arbitrary')
    return Math.max(target.pressure.value, ...target.primingMmHg) > signed.pressure.value
      ? past(`${target.pressure.value} mmHg, and ${signed.pressure.value} was signed.`)
      : [];
  if (signed.kind === 'by-feel' && target.kind === 'by-feel')
    return target.mark > signed.mark ? past(`mark ${target.mark}, and ${signed.mark} was signed.`) : [];
  return past('another way of setting the pressure was signed.');
}

function pastLoad(signed: PlannedExercise, exercise: PlannedExercise, exerciseIndex: number): Finding[] {
  const [most, kg] = [plannedKg(signed.load), plannedKg(exercise.load)];
  const past = (words: string) => [finding(exerciseIndex, 'load', `${signed.label}: ${words}`)];
  if (kg !== null) {
    if (most === null) return past(`${kg} kg, and ${signed.load.recipe} was signed.`);
    return kg > most ? past(`${kg} kg, and ${most} kg was signed.`) : [];
  }
  // Without kilograms nobody can tell which of two is lighter, but for none at all beside a weight.
  return most === null && exercise.load.recipe !== signed.load.recipe
    ? past(`${exercise.load.recipe}, and ${signed.load.recipe} was signed.`)
    : [];
}

function pastSets(signed: PlannedExercise, { sets }: PlannedExercise, exerciseIndex: number): Finding[] {
  const past = (words: string) => finding(exerciseIndex, 'sets', `${signed.label}: ${words}`);
  if (sets.length > signed.sets.length)
    return [past(`${sets.length} sets, and ${signed.sets.length} were signed.`)];
  return sets.flatMap((set, place) => {
    const was = signed.sets[place];
    if (!was) return [];
    const isLast = place === sets.length - 1;
    const name = `set ${place + 1}`;
    return [
      ...(asksForMore(was, set) ? [past(`${name} asks for more than was signed.`)] : []),
      ...(!isLast && set.restMs < was.restMs
        ? [past(`${name}: ${set.restMs / 1_000} s rest, and ${was.restMs / 1_000} s was signed.`)]
        : []),
      ...(!isLast && was.release && !set.release
        ? [past(`${name}: the cuff was to come down after it.`)]
        : []),
      ...((set.ofTarget ?? 100) > (was.ofTarget ?? 100)
        ? [past(`${name}: a larger share of the target than was signed.`)]
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
    JSON.stringify(signed.intensity) === JSON.stringify(exercise.intensity);
  return isSame
    ? []
    : [finding(exerciseIndex, 'position', `${signed.label}: it was signed to be done another way.`)];
}
