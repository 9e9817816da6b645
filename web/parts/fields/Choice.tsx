import { ToggleGroup } from 'radix-ui';
import { Tip } from '../base/Tip';

/** One of a few, as a row of buttons. */
export function Choice<T extends string>({
  label,
  hideLabel = false,
  value,
  options,
  onChange,
}: {
  label: string;
  /** Kept for screen readers only, where what it is about is next to it. */
  hideLabel?: boolean;
  value: T;
  options: readonly { value: T; label: string; hint?: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <fieldset>
      <legend className={hideLabel ? 'sr-only' : 'text-[15px] font-semibold'}>{label}</legend>
      <ToggleGroup.Root
        type="single"
        value={value}
        onValueChange={(next) => next && onChange(next as T)}
        aria-label={label}
        className="mt-1 flex flex-wrap gap-1"
      >
        {options.map((option) => (
          <Tip key={option.value} words={option.hint}>
            <ToggleGroup.Item
              value={option.value}
              className="min-h-11 rounded-sm border border-ink/40 px-3 aria-checked:border-plum aria-checked:bg-plum aria-checked:text-on-plum"
            >
              {option.label}
            </ToggleGroup.Item>
          </Tip>
        ))}
      </ToggleGroup.Root>
    </fieldset>
  );
}
