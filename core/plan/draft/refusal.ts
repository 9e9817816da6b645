import { mayDo } from '../../access/permissions';
import { msg } from '../../message/message';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { WORK_MODE_NAMES } from '../../protocol/work-mode';
import { LIMB_LABELS } from '../../quantity/limb';
import { capOn } from '../../screening/clearance';
import { type Basis, isPostOperativeWork } from '../basis';
import { arbitraryChoice, strapFor } from '../draft-limb';
import { GOALS, protocolFor, RUNG_NAMES } from '../goals';
import { rungPassed } from '../letter-work';
import { type Nothing, nothing } from './nothing';
import type { DraftWish, Lead } from './wish';

/** Why nothing can be drafted for a wish, whatever the exercise; `null` where something may. */
export function whyNot(wish: DraftWish, basis: Basis): Nothing | null {
  const { goal, limbs, rung, schoolId } = wish;
  const { mode } = PROTOCOLS[protocolFor(goal, rung, schoolId)];
  const missing = limbs.find(
    (limb) =>
      !basis.occlusions.some((fact) => fact.limb === limb) &&
      !strapFor(limb, basis) &&
      !arbitraryChoice(limb, mode, basis),
  );
  if (limbs.length === 0) return nothing(msg('Choose a limb.'));
  if (missing)
    return nothing(
      msg('{limb}: measure its occlusion pressure first (LOP-4).', { limb: LIMB_LABELS[missing] }),
      { to: 'measure', limb: missing },
    );
  const barred = limbs.find((limb) => !basis.limits[limb].isCleared);
  if (barred)
    return nothing(msg('{limb} is not cleared (SCR-2).', { limb: LIMB_LABELS[barred] }), { to: 'screen' });
  const strapped = limbs.filter((limb) => strapFor(limb, basis));
  if (strapped.length > 0 && mode === 'passive')
    return nothing(
      msg('Passive cycles need a pressure, and a strap has none (TIGHT).'),
      ...strapped.map((limb): Lead => ({ to: 'measure', limb })),
    );
  if (capOn(basis.limits, strapped) !== null)
    return nothing(
      msg('A cap on the pressure cannot be kept by a strap (SCR-2).'),
      ...strapped.map((limb): Lead => ({ to: 'measure', limb })),
    );
  if (limbs.some((limb) => basis.limits[limb].modes?.includes(mode) === false))
    return nothing(
      msg('The clearance does not allow {mode} work (SCR-2).', { mode: WORK_MODE_NAMES[mode] }),
      {
        to: 'screen',
      },
    );
  const asked = GOALS[goal].from === 'rung' ? limbs : [];
  const [highest] = asked.flatMap((limb) => rungPassed(basis.limits[limb], rung) ?? []);
  if (highest)
    return nothing(
      msg('The clearance allows work up to {highest} only (SCR-2).', { highest: RUNG_NAMES[highest] }),
      { to: 'rung', rung: highest },
    );
  const mayPrescribe = mayDo({ role: basis.prescriber, isOwner: false }, 'sign-post-operative');
  if (!mayPrescribe && (mode === 'passive' || isPostOperativeWork(limbs, basis))) {
    return nothing(
      mode === 'passive'
        ? msg('Passive work is prescribed by a clinician (SCR-4).')
        : msg('Post-operative work is prescribed by a clinician (SCR-4).'),
      { to: 'clinician' },
    );
  }
  return null;
}
