import { Search } from 'lucide-react';
import { useHaste } from '../keys/use-haste';

/** The first that a search finds, by which Enter goes: `take` is null where it finds nothing, or is not known while it looks. */
export type First = { isSettled: boolean; take: (() => void) | null };

/** A field that finds as one types; Enter takes the first, also where the answer is still on its way. */
export function SearchField({
  label,
  value,
  onChange,
  first,
  className = '',
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Left out where a search only narrows what is shown. */
  first?: First;
  className?: string;
}) {
  const hurry = useHaste(first?.isSettled ?? false, () => first?.take?.());
  return (
    <label className={`flex items-center gap-2 ${className}`}>
      <Search size={18} aria-hidden className="shrink-0 text-quiet" />
      <input
        type="search"
        aria-label={label}
        placeholder={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !first) return;
          // In a form it would send what is not chosen yet.
          event.preventDefault();
          if (value.trim() !== '') hurry();
        }}
        className="min-h-9 w-full rounded-sm border border-ink/40 bg-paper px-2"
      />
    </label>
  );
}
