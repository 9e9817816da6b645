import { type AtMark, markWords } from '#core/cuff/mark-words';
import { LIMB_LABELS, type Limb } from '#core/quantity/limb';

/** A limb under a strap: its mark and how it felt. Never a pressure, never a share of LOP (rule TIGHT). */
export function Strapped({ limb, felt, ...at }: AtMark & { limb: Limb; felt: number }) {
  return (
    <div>
      <p className="text-[13px] text-quiet">{LIMB_LABELS[limb]}, by feel</p>
      <p>
        <span className="figures text-3xl">{markWords(at)}</span> felt {felt} of 10
      </p>
    </div>
  );
}
