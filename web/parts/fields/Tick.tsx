import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import type { ReactNode } from 'react';

/** A box to tick, with its words beside it; `name` instead of words where the column or row says what it is. */
export function Tick({
  children,
  name,
  checked,
  tone = 'plum',
  className = '',
  onChange,
}: {
  checked: boolean;
  /** Vermilion for what stops alone. */
  tone?: 'plum' | 'stop';
  className?: string;
  onChange: (checked: boolean) => void;
} & ({ children: ReactNode; name?: never } | { name: string; children?: never })) {
  const box = (
    <Checkbox.Root
      aria-label={name}
      checked={checked}
      onCheckedChange={(next) => onChange(next === true)}
      className={`flex size-5 shrink-0 items-center justify-center rounded-sm border border-ink/60 bg-paper ${TONES[tone]}`}
    >
      <Checkbox.Indicator>
        <Check size={16} strokeWidth={3} aria-hidden />
      </Checkbox.Indicator>
    </Checkbox.Root>
  );
  if (name !== undefined) return box;
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the box is a button, which a label names as well
    <label className={`flex min-h-11 items-center gap-2 ${className}`}>
      {box}
      <span>{children}</span>
    </label>
  );
}

const TONES = {
  plum: 'data-[state=checked]:border-plum data-[state=checked]:bg-plum data-[state=checked]:text-on-plum',
  stop: 'data-[state=checked]:border-vermilion data-[state=checked]:bg-vermilion data-[state=checked]:text-on-vermilion',
};
