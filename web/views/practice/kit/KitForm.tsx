import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import { type KitItem, kitItemSchema } from '#contract/practice';
import { PLACE_KINDS, PLACE_LABELS } from '#core/quantity';
import { api, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useOwnPlaces } from '../../../data/use-places';
import { translate } from '../../../language/translate';
import { DateField } from '../../../parts/fields/DateField';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';
import { bySchema } from '../../../parts/forms/by-schema';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { reads, useFields } from '../../../parts/forms/use-fields';
import { useUnits } from '../../../words/units';
import { fromTyped, KINDS, type KitField, type KitKind, toTyped, unitOf } from './kit-fields';

/** One piece of kit to add or change, made from the table of its kind; each error is at its field. */
export function KitForm({
  kind,
  item,
  known = item,
  done,
}: {
  kind: KitKind;
  item?: KitItem['item'] | undefined;
  /** What is known of a piece that is not in the kit yet. */
  known?: Readonly<Record<string, unknown>> | undefined;
  done: (isSaved: boolean) => void;
}) {
  const queries = useQueryClient();
  const units = useUnits();
  const ownPlaces = useOwnPlaces();
  const { list, fixed, fields } = KINDS[kind];
  const [id] = useState(item?.id ?? newId());
  const write = useMutation({
    mutationFn: (json: KitItem) => read(api.practice.kit.$post({ json })),
    onSuccess: (practice) => queries.setQueryData(KEYS.practice, practice),
  });
  const { typed, set, field, problem, send } = useFields<Record<string, string>, KitItem>(
    Object.fromEntries(
      fields.map((one: KitField) => [
        one.key,
        toTyped(one, (known as Record<string, unknown> | undefined)?.[one.key], units),
      ]),
    ),
    write.error,
    reads((words) => {
      const values = fields.map((one: KitField) => [one.key, fromTyped(one, words[one.key] ?? '', units)]);
      const made = { list, item: { id, ...fixed, ...Object.fromEntries(values) } };
      // A weight among several is corrected where they all stand.
      return bySchema(kitItemSchema, made, (path) => path.split('.')[1] ?? path);
    }),
  );
  return (
    <form
      className="my-3 max-w-3xl border-y border-ink/40 py-3"
      {...send((kit) => write.mutate(kit, { onSuccess: () => done(true) }))}
    >
      <div className="grid gap-3 sm:grid-cols-3">
        {fields.map(({ key, label, type }: KitField) => {
          const change = (value: string) => set(key, value);
          const choices =
            type === 'yes-no' ? { yes: t`yes`, no: t`no` } : typeof type === 'object' ? type.choices : null;
          if (choices) {
            return (
              <Picker
                key={key}
                label={label}
                value={typed[key] ?? ''}
                onChange={change}
                options={Object.entries(choices).map(([value, words]) => ({
                  value,
                  label: words,
                }))}
              />
            );
          }
          if (type === 'places') {
            const options = [
              ...ownPlaces.map(({ id, name }) => ({ value: id, label: name })),
              ...PLACE_KINDS.map((kind) => ({ value: kind, label: translate(PLACE_LABELS[kind]) })),
            ];
            const chosen = options
              .map(({ value }) => value)
              .filter((place) => (typed[key] ?? '').split(' ').includes(place));
            return (
              <div key={key} className="sm:col-span-3">
                <Ticks
                  label={label}
                  options={options}
                  chosen={chosen}
                  onChange={(places) => change(places.join(' '))}
                />
              </div>
            );
          }
          if (type === 'day-or-none') {
            return (
              <DateField
                key={key}
                label={label}
                value={typed[key] ?? ''}
                onChange={change}
                hint={t`Empty: never`}
                error={problem(key, `item.${key}`)}
              />
            );
          }
          const unit = unitOf({ type }, units);
          return (
            <Field
              key={key}
              label={label}
              {...(unit ? { unit } : {})}
              className={type === 'masses' || type === 'words' || type === 'pairs' ? 'sm:col-span-2' : ''}
              autoComplete="off"
              {...field(key, `item.${key}`)}
            />
          );
        })}
      </div>
      <FormFooter
        className="mt-3"
        send={t`Save`}
        isSending={write.isPending}
        error={write.error}
        leave={() => done(false)}
      />
    </form>
  );
}
