import { Search } from 'lucide-react';

/** A field that finds as one types. */
export function SearchField({
  label,
  value,
  onChange,
  className = '',
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  className?: string;
}) {
  return (
    <label className={`flex items-center gap-2 ${className}`}>
      <Search size={18} aria-hidden className="shrink-0 text-quiet" />
      <input
        type="search"
        aria-label={label}
        placeholder={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="min-h-9 w-full rounded-sm border border-ink/40 bg-paper px-2"
      />
    </label>
  );
}
