import { list, type Message, msg, type Text } from '../message/message';
import { byName } from '../quantity/by-name';
import { musclesOf } from './exercise';

/** The muscles of the standard exercises by the name that is in them; a practice may type others. */
const MUSCLE_NAMES: Readonly<Record<string, Message>> = byName({
  quadriceps: msg('quadriceps'),
  hamstrings: msg('hamstrings'),
  buttock: msg('buttock'),
  calf: msg('calf'),
  shin: msg('shin'),
  thigh: msg('thigh'),
  legs: msg('legs'),
  'hip abductors': msg('hip abductors'),
  'hip adductors': msg('hip adductors'),
  'hip flexors': msg('hip flexors'),
  biceps: msg('biceps'),
  triceps: msg('triceps'),
  forearm: msg('forearm'),
  'upper arm': msg('upper arm'),
  arms: msg('arms'),
  chest: msg('chest'),
  shoulder: msg('shoulder'),
  'rear shoulder': msg('rear shoulder'),
  'shoulder blade': msg('shoulder blade'),
  'rotator cuff': msg('rotator cuff'),
  'upper back': msg('upper back'),
});

export const muscleName = (muscle: string): Text => MUSCLE_NAMES[muscle] ?? muscle;

/** A muscle group as it is said. @example musclesText('chest and triceps') //=> "chest and triceps", each in the language */
export const musclesText = (group: string): Message => list(musclesOf(group).map(muscleName), 'and');
