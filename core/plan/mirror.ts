import { list, type Text } from '../message/message';
import { LIMB_NAMES, type Limb, limbSide, otherSide } from '../quantity/limb';
import type { Basis } from './basis';
import type { SessionChoice } from './choices';
import type { Draft } from './draft/wish';
import { fitTemplate } from './template';

/**
 * The same work on the other side, on that side's own pressures and tests: nothing measured is copied (rules LOP-4, LOAD-2).
 * Work of both limbs at once stays as it is, and a ladder is one limb's.
 */
export function mirror({ rungs: _, ...session }: SessionChoice, basis: Basis): Draft {
  const exercises = session.exercises.map((choice) => ({
    ...choice,
    limbs:
      choice.limbs.length > 1
        ? choice.limbs
        : choice.limbs.map((limb) => ({ ...limb, limb: otherSide(limb.limb) })),
  }));
  return fitTemplate({ ...session, exercises }, basis);
}

/** A plan's name for the other side: its limb or side changed where it names one in English, else marked. */
export function mirrorName(name: string, limbs: readonly Limb[]): Text {
  const [limb] = limbs;
  if (!limb) return name;
  const [from, to] = [limbSide(limb), limbSide(otherSide(limb))];
  const named = name.replace(new RegExp(`\\b${from}\\b`, 'gi'), (word) =>
    word.charAt(0) === from.charAt(0) ? to : `${to.charAt(0).toUpperCase()}${to.slice(1)}`,
  );
  return named === name ? list([name, LIMB_NAMES[otherSide(limb)]], ', ') : named;
}
