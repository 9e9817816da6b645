import { DropdownMenu } from 'radix-ui';

/** A word of a sentence that is one of several, and opens them: what it is about is said to screen readers. */
export function WordMenu<T extends string>({
  label,
  value,
  options,
  isSmall = false,
  shown,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  /** Beside a figure rather than in a sentence. */
  isSmall?: boolean;
  /** What is shown of the chosen one, where that is shorter than in the list. */
  shown?: string;
  onChange: (value: T) => void;
}) {
  const chosen = options.find((option) => option.value === value)?.label ?? value;
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`${label}: ${shown ?? chosen}`}
        className={`${isSmall ? 'pt-1 text-left' : 'pt-2'} inline-block border-b-2 border-plum px-0.5 pb-0.5 leading-tight font-semibold hover:bg-tint data-[state=open]:bg-tint`}
      >
        {shown ?? chosen}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={12}
          aria-label={label}
          className="z-40 max-h-[60vh] min-w-48 overflow-y-auto rounded-sm border border-ink/40 bg-paper py-1"
        >
          <DropdownMenu.RadioGroup value={value} onValueChange={(next) => onChange(next as T)}>
            {options.map((option) => (
              <DropdownMenu.RadioItem
                key={option.value}
                value={option.value}
                className="flex min-h-11 cursor-default items-center border-l-4 border-transparent px-3 data-[highlighted]:bg-tint data-[state=checked]:border-plum data-[state=checked]:font-semibold"
              >
                {option.label}
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
