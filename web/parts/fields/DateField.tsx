import { t } from '@lingui/core/macro';
import { CalendarDays } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { DATE_ORDERS, readTypedDay } from '#core/table';
import { useDateOrder } from '../../data/use-date-order';
import { translate } from '../../language/translate';
import { isoWords } from '../../words/noon';
import { Field } from './Field';

const Calendar = lazy(() => import('./Calendar').then(({ Calendar }) => ({ default: Calendar })));

/** A day: typed as one writes it here, or chosen from a calendar. @param value an ISO day, or empty */
export function DateField({
  label,
  value,
  onChange,
  hint,
  error,
  className = '',
}: {
  label: string;
  value: string;
  onChange: (iso: string) => void;
  hint?: ReactNode;
  error?: string | undefined;
  className?: string;
}) {
  const order = useDateOrder();
  // What is being typed is as it is typed; what is chosen is written out.
  const [typed, setTyped] = useState<string | null>(null);
  const [isOpen, setOpen] = useState(false);
  const isWrong = typed !== null && typed.trim() !== '' && readTypedDay(typed, order) === null;
  const type = (text: string) => {
    setTyped(text);
    const iso = readTypedDay(text, order);
    if (iso !== null || text.trim() === '') onChange(iso ?? '');
  };
  return (
    <div className={`flex items-start gap-1 ${className}`}>
      <Field
        className="min-w-0 flex-1"
        label={label}
        autoComplete="off"
        inputMode="text"
        value={typed ?? isoWords(value)}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          if (!isWrong) setTyped(null);
        }}
        hint={hint}
        error={isWrong ? t`Write it like 4 May 2026, or as ${translate(DATE_ORDERS[order].label)}.` : error}
      />
      <Popover.Root open={isOpen} onOpenChange={setOpen}>
        <Popover.Trigger
          aria-label={t`${label}, choose from the calendar`}
          className="beside-input inline-flex min-h-11 min-w-11 items-center justify-center rounded-sm border border-ink/40 hover:bg-tint"
        >
          <CalendarDays aria-hidden className="size-5" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={4}
            collisionPadding={12}
            aria-label={label}
            onKeyDown={(event) => event.stopPropagation()}
            className="z-50 rounded-sm border border-ink/40 bg-paper p-3"
          >
            <Suspense>
              <Calendar
                iso={value}
                onChoose={(iso) => {
                  setTyped(null);
                  setOpen(false);
                  onChange(iso);
                }}
              />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
