import { capital, list, type Message, msg } from '../message/message';
import { type Limb, limbsWords } from '../quantity/limb';
import type { Plan } from './plan';

/** Cuffs and straps that come off before an exercise, and those that go on. */
export type CuffStep = { off: Limb[]; on: Limb[] };

/**
 * What is put on and taken off before each exercise, in their order: on a limb for its first one, off after its last (rule PRO-2).
 * @returns by the place of the exercise
 */
export function cuffSteps({ exercises }: Pick<Plan, 'exercises'>): CuffStep[] {
  const worn = exercises.map(({ limbs }) => limbs.map(({ limb }) => limb));
  return worn.map((limbs, place) => {
    const before = worn.slice(0, place).flat();
    const later = worn.slice(place).flat();
    return {
      off: [...new Set(worn[place - 1] ?? [])].filter((limb) => !later.includes(limb)),
      on: limbs.filter((limb) => !before.includes(limb)),
    };
  });
}

/** A step in words; null where nothing changes. @example cuffStepWords(step) //=> 'Both thighs: cuffs off. Both arms: cuffs on.' */
export function cuffStepWords({ off, on }: CuffStep): Message | null {
  const words = [
    ...(off.length > 0
      ? [
          msg('{limbs}: {count, plural, one {cuff} other {cuffs}} off.', {
            limbs: capital(limbsWords(off)),
            count: off.length,
          }),
        ]
      : []),
    ...(on.length > 0
      ? [
          msg('{limbs}: {count, plural, one {cuff} other {cuffs}} on.', {
            limbs: capital(limbsWords(on)),
            count: on.length,
          }),
        ]
      : []),
  ];
  return words.length === 0 ? null : list(words, ' ');
}
