import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { LIMB_LABELS, LIMBS, type Limb } from '#core/quantity';
import { translate } from '../../language/translate';

/** Four limbs as the person's own left and right: choose one, see what is known for each. */
export function LimbCross({
  value,
  known,
  onChange,
}: {
  value: Limb;
  /** A short line for each limb, such as its girth or pressure. */
  known: Partial<Record<Limb, string>>;
  onChange: (limb: Limb) => void;
}) {
  return (
    <fieldset>
      <legend className="text-[15px] font-semibold">
        <Trans>
          Limb <span className="font-normal text-quiet">(the person’s own left and right)</span>
        </Trans>
      </legend>
      <div className="mt-1 grid w-full max-w-72 grid-cols-2 border border-ink/40">
        {LIMBS.map((limb, place) => (
          <label
            key={limb}
            className={`flex min-h-14 flex-col justify-center px-3 has-checked:bg-plum has-checked:text-on-plum has-focus-visible:outline-3 has-focus-visible:outline-plum ${place % 2 === 0 ? 'border-r border-ink/40' : 'text-right'} ${place < 2 ? 'border-b border-ink/40' : ''}`}
          >
            <input
              type="radio"
              name="limb"
              className="sr-only"
              checked={value === limb}
              onChange={() => onChange(limb)}
            />
            <span className="font-semibold">{translate(LIMB_LABELS[limb])}</span>
            <span className="text-[13px]">{known[limb] ?? t`nothing yet`}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
