import { type Message, msg } from '../../message/message';
import { applyFix } from '../apply-fix';
import type { Basis } from '../basis';
import type { SessionChoice } from '../choices';
import { composeCourse, withRoom } from '../compose-course';

/** More remedies than this in a row go round in circles. */
const MOST_REMEDIES = 24;

/**
 * A draft proposes nothing that its own checks would refuse, whatever the prescriber's role: what can be fixed is, one remedy at
 * a time. @returns the session, or the words of what cannot be fixed
 */
export function fixAll(session: SessionChoice, basis: Basis): SessionChoice | Message {
  let now = session;
  for (let remedies = 0; remedies <= MOST_REMEDIES; remedies += 1) {
    const refused = composeCourse(now, basis).findings.filter(({ level }) => level !== 'note');
    const [first] = refused;
    if (!first) return withRoom(now);
    const fixable = refused.find(({ fix }) => fix && !(fix.set === 'exercise'));
    const bound = refused.find(({ subject }) => subject === 'movements');
    if (fixable) now = applyFix(now, fixable, basis);
    // A bound that no remedy allows is not proposed: it begins as steady.
    else if (bound) now = steadyAt(now, bound.exerciseIndex);
    else return first.message;
  }
  return msg('The remedies of the rules go round in circles: compose it by hand.');
}

/** An exercise whose figures stay; all of them where none is named. */
const steadyAt = (session: SessionChoice, exerciseIndex: number | undefined): SessionChoice => ({
  ...session,
  exercises: session.exercises.map(({ movements, ...choice }, place) =>
    movements && exerciseIndex !== undefined && place !== exerciseIndex ? { ...choice, movements } : choice,
  ),
});
