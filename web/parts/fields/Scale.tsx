import { figure } from '../../language/translate';

const OF_TEN = Array.from({ length: 11 }, (_, value) => value);

/** A rating in one touch, from 0 to 10 unless other steps are said. */
export function Scale({
  label,
  keys,
  steps = OF_TEN,
  value,
  onChange,
}: {
  label: string;
  /** The keys that give the answer, as they are written, where there are some. */
  keys?: string;
  steps?: readonly number[];
  value: number | null;
  onChange: (value: number) => void;
}) {
  return (
    <fieldset>
      <legend className="text-[14px]">
        {label} {keys && <span className="figures text-[13px] text-quiet">{keys}</span>}
      </legend>
      <div className={`grid max-w-xl ${steps.length > OF_TEN.length ? 'grid-cols-8' : 'grid-cols-11'}`}>
        {steps.map((step) => (
          <button
            key={step}
            type="button"
            aria-pressed={value === step}
            onClick={() => onChange(step)}
            className="figures min-h-11 border border-rule text-[15px] aria-pressed:bg-plum aria-pressed:text-on-plum"
          >
            {figure(step)}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
