import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { useId } from 'react';

// An item of this list cannot be without a value, and what is chosen here may be.
const OF = 'of ';

/** One of several, as a list that opens: typed letters find, arrows go, Enter chooses, Escape leaves it as it was. */
export function Picker<T extends string>({
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
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
}) {
  const id = useId();
  const chosen = options.find((option) => option.value === value);
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'text-[15px] font-semibold'}>
        {label}
      </label>
      <Select.Root value={`${OF}${value}`} onValueChange={(next) => onChange(next.slice(OF.length) as T)}>
        <Select.Trigger
          id={id}
          className="mt-1 flex min-h-11 w-full items-center justify-between gap-2 rounded-sm border border-ink/40 bg-paper px-3 text-left hover:bg-tint"
        >
          <span className="min-w-0 py-1 leading-tight">
            <Select.Value>{chosen?.label ?? ''}</Select.Value>
          </span>
          <ChevronDown aria-hidden className="size-4 shrink-0" />
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={4}
            collisionPadding={12}
            // Keys in the list are the list's: the page beneath has its own for the same letters.
            onKeyDown={(event) => event.stopPropagation()}
            className="z-50 max-h-[min(60dvh,var(--radix-select-content-available-height))] min-w-(--radix-select-trigger-width) max-w-[92vw] overflow-hidden rounded-sm border border-ink/40 bg-paper py-1"
          >
            <Select.Viewport>
              {options.map((option) => (
                <Select.Item
                  key={option.value}
                  value={`${OF}${option.value}`}
                  className="flex min-h-11 cursor-default items-center justify-between gap-4 border-l-4 border-transparent px-3 outline-none data-[highlighted]:bg-tint data-[state=checked]:border-plum data-[state=checked]:font-semibold"
                >
                  <Select.ItemText>{option.label}</Select.ItemText>
                  <Select.ItemIndicator>
                    <Check aria-hidden className="size-4" />
                  </Select.ItemIndicator>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}
