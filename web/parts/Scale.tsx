const STEPS = Array.from({ length: 11 }, (_, value) => value);

/** A rating from 0 to 10 in one touch. */
export function Scale({
  label,
  keys,
  value,
  onChange,
}: {
  label: string;
  keys?: string;
  value: number | null;
  onChange: (value: number) => void;
}) {
  return (
    <fieldset>
      <legend className="text-[14px]">
        {label} {keys && <span className="figures text-[13px] text-quiet">{keys}</span>}
      </legend>
      <div className="grid max-w-xl grid-cols-11">
        {STEPS.map((step) => (
          <button
            key={step}
            type="button"
            aria-pressed={value === step}
            onClick={() => onChange(step)}
            className="figures min-h-11 border border-rule text-[15px] aria-pressed:bg-plum aria-pressed:text-on-plum"
          >
            {step}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
