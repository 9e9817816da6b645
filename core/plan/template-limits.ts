import { type Message, msg } from '../message/message';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import { limbKind } from '../quantity/limb';
import type { SessionChoice } from './choices';

/**
 * Why only a clinician keeps a session as a template: it works above what its school goes to, or passively (rules SCR-4, PRS-2).
 * What is drafted from it is checked against the person in any case.
 * @returns null for a template that a coach may keep
 */
export function whyForClinicians({ schoolId, exercises }: SessionChoice): Message | null {
  const { percentLop, label } = SCHOOLS[schoolId];
  for (const { limbs, protocolId } of exercises) {
    if (PROTOCOLS[protocolId].mode === 'passive')
      return msg('It has passive work, which a clinician prescribes (SCR-4).');
    for (const choice of limbs) {
      if (choice.kind !== 'measured') continue;
      const { top } = percentLop[limbKind(choice.limb)];
      if (choice.percentLop > top)
        return msg(
          '{percentLop} % is above the {top} % that “{label}” goes to: a clinician keeps it (SCR-4).',
          { percentLop: choice.percentLop, top, label },
        );
    }
  }
  return null;
}
