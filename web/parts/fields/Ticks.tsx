import { FieldError } from './Field';
import { Tick } from './Tick';

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
          <Tick
            key={value}
            checked={chosen.includes(value)}
            onChange={(next) =>
              onChange(next ? [...chosen, value] : chosen.filter((other) => other !== value))
            }
          >
            {words}
          </Tick>
        ))}
      </div>
      {error && <FieldError>{error}</FieldError>}
    </fieldset>
  );
}
