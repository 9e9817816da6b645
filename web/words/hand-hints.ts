import { t } from '@lingui/core/macro';
import type { LimbKind } from '#core/quantity';

/** A step at which something is done by hand. */
export type HandStep = 'fit' | 'measure' | 'strap';

/** What is done there, in one line; some of it on one kind of limb alone. */
export const HAND_HINTS: Record<HandStep, Record<LimbKind, string>> = {
  fit: {
    leg: t`Thigh rolled under the fingers, ends overlap evenly, one finger goes under it, stem or buckle faces you, strap secured`,
    arm: t`Arm hanging relaxed, ends overlap evenly, one finger goes under it, stem or buckle faces you, strap secured`,
  },
  measure: {
    leg: t`Connector clicked in, shoe and sock off, pulse marked at the ankle`,
    arm: t`Connector clicked in, pulse marked at the wrist`,
  },
  strap: {
    leg: t`Pulled and let go once, so that the recoil is out; read at the buckle`,
    arm: t`Pulled and let go once, so that the recoil is out; read at the buckle`,
  },
};
