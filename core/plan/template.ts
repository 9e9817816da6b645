import { LIMB_WEIGHT } from '../load/weight-kit';
import { type Message, msg } from '../message/message';
import { stepUpMmHg } from '../pressure/arbitrary';
import { mostPercentLop } from '../pressure/most-percent-lop';
import { PROTOCOLS } from '../protocol/data/protocols';
import type { Exercise } from '../protocol/exercise';
import { LIMB_NAMES } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { type ServingTest, testInForce } from '../strength/in-force';
import type { Basis } from './basis';
import type { ExerciseChoice, SessionChoice } from './choices';
import type { Draft } from './draft/wish';
import { bestKit } from './draft/work';
import { choiceFor } from './draft-limb';

/**
 * A kept session applied to a person: the same exercises and schemes, this person's own pressures and tests (rules LOP-4,
 * LOAD-2). Shares of LOP come down to what is cleared.
 * @returns the session, or why it cannot be made; `notes` say what was changed
 */
export function fitTemplate(template: SessionChoice, basis: Basis): Draft {
  const { rungs, ...rest } = template;
  const fitted = fitExercises(rest, basis);
  const ladder = rungs && fitRungs(rungs, rest, basis);
  return fitted.session && ladder ? { ...fitted, session: { ...fitted.session, rungs: ladder } } : fitted;
}

/** The work of the other rungs; without that of which nothing is left, and none where the limb is on no ladder (rule PRO-5). */
function fitRungs(
  rungs: NonNullable<SessionChoice['rungs']>,
  template: SessionChoice,
  basis: Basis,
): SessionChoice['rungs'] {
  if (!basis.rungs.has(rungs.limb)) return undefined;
  const others = rungs.others.flatMap(({ rung, exercises }) => {
    const { session } = fitExercises({ ...template, exercises }, basis);
    return session ? [{ rung, exercises: session.exercises }] : [];
  });
  return { ...rungs, others };
}

function fitExercises(template: SessionChoice, basis: Basis): Draft {
  const notes: Message[] = [];
  const exercises: SessionChoice['exercises'] = [];
  const placed: ExerciseChoice[] = [];
  for (const [place, choice] of template.exercises.entries()) {
    const exercise = basis.library[choice.exerciseId];
    if (!exercise) {
      notes.push(msg('An exercise of the template is no longer in the library and was left out.'));
      continue;
    }
    const cap = mostPercentLop(PROTOCOLS[choice.protocolId].mode);
    const limbs = choice.limbs.flatMap((limb) => {
      const percentLop =
        limb.kind === 'measured' ? limb.percentLop : RULES['PRS-3'].figures.exercisePercentLop.noteBelow;
      const worn = choiceFor(
        limb.limb,
        choice.position,
        choice.protocolId,
        Math.min(percentLop, cap, basis.limits[limb.limb].maxPercentLop ?? cap),
        basis,
      );
      if (worn?.kind === 'arbitrary' && limb.kind === 'arbitrary')
        return [{ ...worn, pressureMmHg: Math.min(worn.pressureMmHg, stepUpMmHg(limb.pressureMmHg)) }];
      if (worn) return [worn];
      notes.push(
        msg('{exercise}: no pressure measured on the {limb}.', {
          exercise: exercise.label,
          limb: LIMB_NAMES[limb.limb],
        }),
      );
      return [];
    });
    if (limbs.length === 0) continue;
    // Without the one it alternated with, it waits for none.
    const { alternates, ...alone } = choice;
    const together = alternates && placed.at(-1) === template.exercises[place - 1];
    placed.push(choice);
    const test =
      choice.load.kind === 'weighed'
        ? testInForce(
            basis,
            choice.exerciseId,
            choice.limbs.map(({ limb }) => limb),
          )
        : null;
    if (choice.load.kind === 'weighed' && !test) {
      notes.push(
        msg('{exercise}: no strength test on record, so it starts without kilograms.', {
          exercise: exercise.label,
        }),
      );
    }
    exercises.push({
      ...(together ? choice : alone),
      limbs,
      load:
        choice.load.kind === 'weighed'
          ? test
            ? {
                ...choice.load,
                strengthTestId: test.fact.id,
                weightKitId: kitFor(choice, test, exercise, basis),
              }
            : { kind: 'unweighed', with: LIMB_WEIGHT }
          : choice.load,
    });
  }
  return exercises.length > 0
    ? { session: { ...template, exercises }, notes }
    : { session: null, notes: [...notes, msg('Nothing of this template can be used yet.')] };
}

/** The kit of the template while the practice has it; otherwise the one that comes closest. */
function kitFor(
  { load }: ExerciseChoice,
  test: ServingTest,
  { equipment }: Exercise,
  { weightKits }: Basis,
): string {
  if (load.kind !== 'weighed') return '';
  if (weightKits.some(({ id }) => id === load.weightKitId)) return load.weightKitId;
  return bestKit(equipment, test.oneRepMax.value, load.percentOneRepMax, weightKits)?.id ?? load.weightKitId;
}
