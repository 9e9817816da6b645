import { isMessage, msg } from '../message/message';
import type { Basis } from './basis';
import type { ExerciseChoice, SessionChoice } from './choices';
import { fixAll } from './draft/fix-all';
import type { Draft } from './draft/wish';
import { draftLimb } from './draft-limb';
import { GOALS } from './goals';
import { proposedMovements, withMovements } from './movements-for';
import { changeEveryRung, onRung } from './rungs';
import { fitTemplate } from './template';

/**
 * A course of another person for this one (rule CRS-1): the same exercises and schemes, and every figure from this person: the
 * pressure by their own LOP, school and ramp, the load from their own test and kit, how it all moves and up to where.
 * @returns the session, or why there is none; `notes` list what could not be derived
 */
export function deriveFor(source: SessionChoice, basis: Basis): Draft {
  const stood = source.rungs && basis.rungs.get(source.rungs.limb);
  const fitted = fitTemplate(stood ? onRung(source, stood) : source, basis);
  if (!fitted.session) return fitted;
  const { goal, schoolId } = fitted.session;
  const derived = changeEveryRung(fitted.session, (choice: ExerciseChoice) => {
    const own = withOwnFigures(choice, goal, schoolId, basis);
    return withMovements(own, proposedMovements(own, goal, { schoolId, basis }), basis);
  });
  const fixed = fixAll(derived, basis);
  return isMessage(fixed)
    ? { session: null, notes: [...fitted.notes, msg('It cannot be signed for them: {why}', { why: fixed })] }
    : {
        session: fixed,
        notes: [
          ...fitted.notes,
          ...(source.rungs && !fixed.rungs ? [msg('The rungs are left out: the limb is on no ladder.')] : []),
        ],
      };
}

function withOwnFigures(
  { movements: _, ...choice }: ExerciseChoice,
  goal: SessionChoice['goal'],
  schoolId: SessionChoice['schoolId'],
  basis: Basis,
): ExerciseChoice {
  const percentOneRepMax = GOALS[goal].percentOneRepMax;
  return {
    ...choice,
    limbs: choice.limbs.map(
      (worn) =>
        draftLimb(worn.limb, choice.position, choice.protocolId, schoolId, basis, {
          carried: undefined,
          lowered: undefined,
        }) ?? worn,
    ),
    load:
      choice.load.kind === 'weighed' && percentOneRepMax !== null
        ? { ...choice.load, percentOneRepMax }
        : choice.load,
  };
}
