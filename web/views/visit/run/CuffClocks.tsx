import { t } from '@lingui/core/macro';
import { memo } from 'react';
import { markWords } from '#core/cuff';
import type { Plan } from '#core/plan';
import { LIMB_LABELS } from '#core/quantity';
import { type InHand, limbClocks, type SessionState } from '#core/session';
import type { Act } from '../../../act/act';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { useNow } from '../../../parts/time/use-now';
import { clock } from '../../../words/format';
import { PressureRead } from './PressureRead';

// With the dock's, so that the same clock never reads two things at once.
const CLOCKS_EVERY_MS = 1_000;

/** Each cuff that is up: how long it has occluded of its limit, and its pressure to read or its mark. */
export const CuffClocks = memo(function CuffClocks({
  plan,
  state,
  hand,
  act,
}: {
  plan: Plan;
  state: SessionState;
  hand: InHand | null;
  act: Act;
}) {
  const nowMs = useNow(CLOCKS_EVERY_MS);
  return limbClocks(plan, state, nowMs)
    .filter(({ inflated }) => inflated)
    .map(({ limb, limitMs, clockMs, alarm }) => {
      const target = hand?.limbs.find((one) => one.limb === limb);
      return (
        <div key={limb} className="border-y border-ink/40 py-2">
          <p className="text-[14px] text-quiet">{t`${translate(LIMB_LABELS[limb])}, occluded, of ${clock(limitMs)}`}</p>
          <p className={`figures text-5xl ${alarm === 'none' ? '' : 'text-vermilion'}`}>{clock(clockMs)}</p>
          {target?.kind === 'by-feel' && (
            <p>
              {t`By feel, at ${translate(markWords(target))}: check colour and tingling.`}{' '}
              <Why rule="TIGHT" />
            </p>
          )}
          {target && target.kind !== 'by-feel' && <PressureRead target={target} act={act} />}
        </div>
      );
    });
});
