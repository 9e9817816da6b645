import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { PracticeSettings } from '#contract/practice';
import { type OwnPlace, ownPlaceSchema, PLACE_KINDS, PLACE_LABELS } from '#core/quantity';
import { fieldProblem } from '../../../data/api';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { bySchema } from '../../../parts/forms/by-schema';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { reads, useFields } from '../../../parts/forms/use-fields';

type Change = (part: Pick<PracticeSettings, 'places'>, done: () => void) => void;

/** Places of the practice: each has its kit, hours and emergency number, and a plan may be done there. */
export function Places({
  settings: { places, emergencyPhone },
  change,
  isSending,
  error,
}: {
  settings: Pick<PracticeSettings, 'places' | 'emergencyPhone'>;
  change: Change;
  isSending: boolean;
  error: unknown;
}) {
  /** The id of the place that is changed, `new`, or none. */
  const [open, setOpen] = useState<string | null>(null);
  const close = () => setOpen(null);
  const wrong = fieldProblem(error, 'places');
  const form = (place?: OwnPlace) => (
    <PlaceForm
      place={place}
      usualPhone={emergencyPhone}
      isSending={isSending}
      save={(kept) =>
        change(
          { places: place ? places.map((one) => (one.id === kept.id ? kept : one)) : [...places, kept] },
          close,
        )
      }
      leave={close}
    />
  );
  return (
    <section aria-label={t`Places`}>
      <h3 className="text-[15px] font-semibold">{t`Places`}</h3>
      <p className="text-[14px] text-quiet">
        {places.length === 0
          ? t`One place, so far. A practice with several says at each piece of kit where it is, and at a plan where it is done.`
          : t`Where each piece of kit is, stands at the kit below; where a plan is done, at the plan.`}
      </p>
      <ul>
        {places.map((place) => (
          <li key={place.id} className="border-b border-rule py-1">
            {open === place.id ? (
              form(place)
            ) : (
              <div className="flex flex-wrap items-center gap-x-4">
                <strong>{place.name}</strong>
                <span>{translate(PLACE_LABELS[place.kind])}</span>
                {place.hours && <span>{place.hours}</span>}
                <span>{t`emergency ${place.emergencyPhone || emergencyPhone}`}</span>
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => setOpen(place.id)}
                >
                  {t`Change`}
                  <span className="sr-only"> {place.name}</span>
                </button>
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  disabled={isSending}
                  onClick={() => change({ places: places.filter(({ id }) => id !== place.id) }, close)}
                >
                  {t`Remove`}
                  <span className="sr-only"> {place.name}</span>
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {wrong && <FieldError>{wrong}</FieldError>}
      {open === 'new' ? (
        form()
      ) : (
        <Button className="mt-1" onClick={() => setOpen('new')}>{t`Add a place`}</Button>
      )}
    </section>
  );
}

function PlaceForm({
  place,
  usualPhone,
  isSending,
  save,
  leave,
}: {
  place: OwnPlace | undefined;
  usualPhone: string;
  isSending: boolean;
  save: (place: OwnPlace) => void;
  leave: () => void;
}) {
  const { typed, set, field, send } = useFields<Omit<OwnPlace, 'id'>, OwnPlace>(
    place ?? { kind: 'clinic', name: '', hours: '', emergencyPhone: '' },
    null,
    reads((words) =>
      bySchema(
        ownPlaceSchema,
        { ...words, id: place?.id ?? newId() },
        (path) => path as keyof Omit<OwnPlace, 'id'>,
      ),
    ),
  );
  return (
    <form className="flex flex-wrap items-end gap-3 py-2" {...send(save)}>
      <Field className="w-56" label={t`Name of the place`} autoFocus {...field('name')} />
      <div className="w-44">
        <Picker
          label={t`Kind of place`}
          value={typed.kind}
          onChange={(kind) => set('kind', kind)}
          options={PLACE_KINDS.map((kind) => ({ value: kind, label: translate(PLACE_LABELS[kind]) }))}
        />
      </div>
      <Field className="w-56" label={t`Opening hours`} {...field('hours')} />
      <Field
        className="w-44"
        label={t`Emergency number there`}
        type="tel"
        placeholder={usualPhone}
        {...field('emergencyPhone')}
      />
      <FormFooter send={t`Save the place`} isSending={isSending} leave={leave} />
    </form>
  );
}
