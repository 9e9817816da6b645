import { FieldError } from './Field';

/** Any number of a few, as boxes to tick. */
export function Ticks<T extends string>({
  label,
  options,
  chosen,
  onChange,
  error,
}: {
  label: string;
  options: readonly { value: T; label: string }[];
  chosen: readonly T[];
  onChange: (chosen: T[]) => void;
  error?: string | undefined;
}) {
  return (
    <fieldset>
      <legend className="text-[15px] font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-x-4">
        {options.map(({ value, label: words }) => (
          <label key={value} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-plum"
              checked={chosen.includes(value)}
              onChange={(event) =>
                onChange(
                  event.target.checked ? [...chosen, value] : chosen.filter((other) => other !== value),
                )
              }
            />
            {words}
          </label>
        ))}
      </div>
      {error && <FieldError>{error}</FieldError>}
    </fieldset>
  );
}
