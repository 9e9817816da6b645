import { ChevronDown } from 'lucide-react';
import { type ReactNode, useId, useState } from 'react';

/**
 * What is chosen seldom and would push the work beneath it out of a phone's view: there it is one line that says what is chosen and
 * opens. On wider screens it is open, and there is no line.
 * @param label what the line is for, read aloud before it
 */
export function PhoneFold({
  label,
  summary,
  children,
}: {
  label: string;
  summary: string;
  children: ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={() => setOpen(!isOpen)}
        className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-rule text-left font-semibold sm:hidden"
      >
        <span className="min-w-0 truncate">
          <span className="sr-only">{label}: </span>
          {summary}
        </span>
        <ChevronDown size={18} aria-hidden className={`shrink-0 ${isOpen ? 'rotate-180' : ''}`} />
      </button>
      <div id={id} className={isOpen ? 'max-sm:mt-3' : 'max-sm:hidden'}>
        {children}
      </div>
    </>
  );
}
