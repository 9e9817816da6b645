import { t } from '@lingui/core/macro';
import type { z } from 'zod';
import type { OwnMeasure } from '#contract/practice';
import {
  MEASURES,
  type Measure,
  type MeasureBook,
  type MeasureId,
  measureOf,
  measureSchema,
} from '#core/outcomes';
import { api, read } from '../../../data/api';
import { translate } from '../../../language/translate';
import { Choice } from '../../../parts/fields/Choice';
import { Field } from '../../../parts/fields/Field';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { idFrom } from '../../../parts/forms/id-from';
import { unlessChanged } from '../../../parts/forms/unless-changed';
import { usePracticeEntry } from '../../../parts/forms/use-practice-entry';

type Typed = Omit<Measure, 'label' | 'unit' | 'cue' | 'setting'> & {
  label: string;
  unit: string;
  cue: string;
  setting?: string | undefined;
};

const toTyped = (measure: Measure): Typed => ({
  ...measure,
  label: translate(measure.label),
  unit: translate(measure.unit),
  cue: translate(measure.cue),
  setting: translate(measure.setting),
});
/** @param known the measure that is changed: what was left as it was stays its message */
const fromTyped = ({ label, unit, cue, setting, ...rest }: Typed, known: Measure | undefined): Measure => ({
  ...rest,
  label: unlessChanged(known?.label, label),
  unit: unlessChanged(known?.unit, unit),
  cue: unlessChanged(known?.cue, cue),
  ...(setting === undefined ? {} : { setting: unlessChanged(known?.setting, setting) }),
});

const EMPTY: Typed = {
  label: '',
  unit: '',
  better: 'higher',
  of: 'limb',
  cue: '',
  repeats: 2,
  take: 'mean',
  lowest: 0,
  highest: 100,
  decimals: 1,
  error: { kind: 'percent', value: 5 },
};

/** One measure to add or to change. What its figures say stays once there are some. @param id null for a new one */
export function MeasureForm({
  id,
  book,
  done,
}: {
  id: MeasureId | null;
  book: MeasureBook;
  done: () => void;
}) {
  const isStandard = id !== null && id in MEASURES;
  const known = id === null ? undefined : measureOf(book, id);
  const form = usePracticeEntry<Typed, OwnMeasure>({
    schema: measureSchema as z.ZodType<Typed>,
    values: known ? toTyped(known) : EMPTY,
    entryOf: (typed) => ({
      id: id ?? idFrom(typed.label, 'measure', (one) => one in book),
      measure: fromTyped(typed, known),
    }),
    send: (json) => read(api.practice.measures.$post({ json })),
    done,
  });
  const { register, setValue, values, problem } = form;
  const numeric = { setValueAs: (typed: unknown) => Number(String(typed).replace(',', '.')) };
  return (
    <form
      onSubmit={form.submit}
      noValidate
      aria-label={id === null ? t`Add a measure` : t`Change ${values.label}`}
      className="my-3 max-w-4xl space-y-3 border-l-4 border-plum pl-4"
    >
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label={t`Name`} autoFocus {...register('label')} error={problem('label')} />
        <Field
          label={t`Counted in`}
          hint={t`A unit, or what is counted`}
          readOnly={isStandard}
          {...register('unit')}
          error={problem('unit')}
        />
        <Field
          label={t`The same each time`}
          hint={t`Joint, load; may be empty`}
          readOnly={isStandard}
          {...register('setting', { setValueAs: (typed) => typed || undefined })}
          error={problem('setting')}
        />
      </div>
      <Field label={t`How it is taken, in one line`} {...register('cue')} error={problem('cue')} />
      {!isStandard && (
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <Choice
            label={t`Taken of`}
            value={values.of}
            onChange={(value) => setValue('of', value)}
            options={[
              { value: 'limb', label: t`each limb` },
              { value: 'leg', label: t`legs` },
              { value: 'arm', label: t`arms` },
              { value: 'person', label: t`the person` },
            ]}
          />
          <Choice
            label={t`Better is`}
            value={values.better}
            onChange={(value) => setValue('better', value)}
            options={[
              { value: 'higher', label: t`more` },
              { value: 'lower', label: t`less` },
              { value: 'neither', label: t`neither` },
            ]}
          />
          <Choice
            label={t`Of several`}
            value={values.take}
            onChange={(value) => setValue('take', value)}
            options={[
              { value: 'mean', label: t`the mean` },
              { value: 'best', label: t`the best` },
            ]}
          />
          <Choice
            label={t`Asked of them`}
            value={values.isAsked ? 'yes' : 'no'}
            onChange={(value) => setValue('isAsked', value === 'yes' ? true : undefined)}
            options={[
              { value: 'no', label: t`no` },
              { value: 'yes', label: t`on a screen handed over` },
            ]}
          />
        </div>
      )}
      <div className="flex flex-wrap items-end gap-4">
        <Field
          className="w-28"
          label={t`Times`}
          number="whole"
          {...register('repeats', numeric)}
          error={problem('repeats')}
        />
        <Field
          className="w-28"
          label={t`Lowest`}
          number="decimal"
          {...register('lowest', numeric)}
          error={problem('lowest')}
        />
        <Field
          className="w-28"
          label={t`Highest`}
          number="decimal"
          {...register('highest', numeric)}
          error={problem('highest')}
        />
        <Field
          className="w-28"
          label={t`Decimals`}
          number="whole"
          {...register('decimals', numeric)}
          error={problem('decimals')}
        />
        <Field
          className="w-28"
          label={t`Error`}
          number="decimal"
          {...register('error.value', numeric)}
          error={problem('error.value')}
        />
        <Choice
          label={t`Error in`}
          hideLabel
          value={values.error.kind}
          onChange={(value) => setValue('error.kind', value)}
          options={[
            { value: 'absolute', label: values.unit || t`its unit` },
            { value: 'percent', label: '%' },
          ]}
        />
      </div>
      {id !== null && (
        <Choice
          label={t`Offered`}
          value={values.isLeftOut ? 'no' : 'yes'}
          onChange={(value) => setValue('isLeftOut', value === 'no' ? true : undefined)}
          options={[
            { value: 'yes', label: t`yes` },
            { value: 'no', label: t`no longer; what was taken stays` },
          ]}
        />
      )}
      <FormFooter send={t`Save`} isSending={form.isPending} error={form.error} leave={done} />
    </form>
  );
}
