import { t } from '@lingui/core/macro';
import { Plus, X } from 'lucide-react';
import { LIMB_LABELS, LIMBS } from '#core/quantity';
import type { Procedure } from '#core/screening';
import { translate } from '../../../language/translate';
import { DateField } from '../../../parts/fields/DateField';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';

/** An operation as it is typed; the date as `2026-11-02`. */
export type TypedProcedure = { limb: Procedure['limb'] | ''; what: string; on: string };

/** Which limb is asked: none is taken for it. */
export const NEW_OPERATION: TypedProcedure = { limb: '', on: '', what: '' };

export const readProcedures = (typed: readonly TypedProcedure[]): Procedure[] =>
  typed.flatMap(({ on, limb, what }) => {
    const atMs = Date.parse(on);
    return Number.isNaN(atMs) || what.trim() === '' || limb === '' ? [] : [{ limb, what, atMs }];
  });

const PLACES: { value: TypedProcedure['limb']; label: string }[] = [
  { value: '', label: t`Choose` },
  ...LIMBS.map((limb) => ({ value: limb, label: translate(LIMB_LABELS[limb]) })),
  { value: 'no-limb', label: t`None of the limbs` },
];

/** Which limb was operated on, when, and what was done: the rules for after an operation are of that limb (SCR-1). */
export function Procedures({
  typed,
  onChange,
}: {
  typed: readonly TypedProcedure[];
  onChange: (next: TypedProcedure[]) => void;
}) {
  const set = (place: number, part: Partial<TypedProcedure>) =>
    onChange(typed.map((one, i) => (i === place ? { ...one, ...part } : one)));
  return (
    <fieldset className="space-y-2 border-l-4 border-ochre pl-3">
      <legend className="font-semibold">{t`Surgery in the last 12 weeks`}</legend>
      {typed.map((one, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an operation is its place
        <div key={place} className="flex flex-wrap items-start gap-2">
          <Picker
            label={t`Limb`}
            value={one.limb}
            onChange={(limb) => set(place, { limb })}
            options={PLACES.map(({ value, label }) => ({ value, label: label }))}
          />
          <DateField
            label={t({ message: 'On', context: 'a day' })}
            value={one.on}
            onChange={(on) => set(place, { on })}
          />
          <Field
            label={t`What was done`}
            value={one.what}
            maxLength={120}
            onChange={(event) => set(place, { what: event.target.value })}
          />
          <button
            type="button"
            aria-label={t`Leave out operation ${place + 1}`}
            className="beside-input flex size-11 items-center justify-center text-quiet"
            onClick={() => onChange(typed.filter((_, i) => i !== place))}
          >
            <X size={16} />
          </button>
        </div>
      ))}
      <button
        type="button"
        className="inline-flex min-h-9 items-center gap-1 underline underline-offset-4"
        onClick={() => onChange([...typed, NEW_OPERATION])}
      >
        <Plus size={16} /> {t`Add an operation`}
      </button>
      {typed.length === 0 && (
        <p className="text-[14px] text-quiet">{t`Say which limb it was, or none of them.`}</p>
      )}
    </fieldset>
  );
}
