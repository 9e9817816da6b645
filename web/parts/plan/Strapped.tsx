import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { type AtMark, markWords } from '#core/cuff';
import { LIMB_LABELS, type Limb } from '#core/quantity';
import { translate } from '../../language/translate';

/** A limb under a strap: its mark and how it felt. Never a pressure, never a share of LOP (rule TIGHT). */
export function Strapped({ limb, felt, ...at }: AtMark & { limb: Limb; felt: number }) {
  return (
    <div>
      <p className="text-[13px] text-quiet">{t`${translate(LIMB_LABELS[limb])}, by feel`}</p>
      <p>
        <Trans>
          <span className="figures text-3xl">{translate(markWords(at))}</span> felt {felt} of 10
        </Trans>
      </p>
    </div>
  );
}
