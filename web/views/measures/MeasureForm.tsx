import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import type { OwnMeasure } from '#contract/practice';
import {
  MEASURES,
  type Measure,
  type MeasureBook,
  type MeasureId,
  measureOf,
  measureSchema,
} from '#core/outcomes/measures';
import { api, failureWords, fieldProblem, read } from '../../data/api';
import { KEYS } from '../../data/keys';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field, FieldError } from '../../parts/Field';
import { idFrom } from '../../parts/id-from';

const EMPTY: Measure = {
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
  const queries = useQueryClient();
  const isStandard = id !== null && id in MEASURES;
  const { register, handleSubmit, watch, setValue, formState } = useForm<Measure>({
    resolver: zodResolver(measureSchema),
    defaultValues: id === null ? EMPTY : measureOf(book, id),
  });
  const keep = useMutation({
    mutationFn: (json: OwnMeasure) => read(api.practice.measures.$post({ json })),
    onSuccess: async (practice) => {
      queries.setQueryData(KEYS.practice, practice);
      // Records carry the practice's measures with them.
      await queries.invalidateQueries({ queryKey: ['client'] });
      done();
    },
  });
  const values = watch();
  const { errors } = formState;
  const problem = (
    field: 'label' | 'unit' | 'cue' | 'repeats' | 'lowest' | 'highest' | 'decimals' | 'setting',
  ) => errors[field]?.message ?? fieldProblem(keep.error, field);
  const submit = handleSubmit((measure) =>
    keep.mutate({ id: id ?? idFrom(measure.label, 'measure', (one) => one in book), measure }),
  );
  const numeric = { setValueAs: (typed: unknown) => Number(String(typed).replace(',', '.')) };
  return (
    <form
      onSubmit={submit}
      noValidate
      aria-label={id === null ? 'Add a measure' : `Change ${values.label}`}
      className="my-3 max-w-4xl space-y-3 border-l-4 border-plum pl-4"
    >
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label="Name" autoFocus {...register('label')} error={problem('label')} />
        <Field
          label="Counted in"
          hint="A unit, or what is counted"
          readOnly={isStandard}
          {...register('unit')}
          error={problem('unit')}
        />
        <Field
          label="The same each time"
          hint="Joint, load; may be empty"
          readOnly={isStandard}
          {...register('setting', { setValueAs: (typed) => typed || undefined })}
          error={problem('setting')}
        />
      </div>
      <Field label="How it is taken, in one line" {...register('cue')} error={problem('cue')} />
      {!isStandard && (
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <Choice
            label="Taken of"
            value={values.of}
            onChange={(value) => setValue('of', value)}
            options={[
              { value: 'limb', label: 'each limb' },
              { value: 'leg', label: 'legs' },
              { value: 'arm', label: 'arms' },
              { value: 'person', label: 'the person' },
            ]}
          />
          <Choice
            label="Better is"
            value={values.better}
            onChange={(value) => setValue('better', value)}
            options={[
              { value: 'higher', label: 'more' },
              { value: 'lower', label: 'less' },
              { value: 'neither', label: 'neither' },
            ]}
          />
          <Choice
            label="Of several"
            value={values.take}
            onChange={(value) => setValue('take', value)}
            options={[
              { value: 'mean', label: 'the mean' },
              { value: 'best', label: 'the best' },
            ]}
          />
          <Choice
            label="Asked of them"
            value={values.isAsked ? 'yes' : 'no'}
            onChange={(value) => setValue('isAsked', value === 'yes' ? true : undefined)}
            options={[
              { value: 'no', label: 'no' },
              { value: 'yes', label: 'on a screen handed over' },
            ]}
          />
        </div>
      )}
      <div className="flex flex-wrap items-end gap-4">
        <Field
          className="w-28"
          label="Times"
          number="whole"
          {...register('repeats', numeric)}
          error={problem('repeats')}
        />
        <Field
          className="w-28"
          label="Lowest"
          number="decimal"
          {...register('lowest', numeric)}
          error={problem('lowest')}
        />
        <Field
          className="w-28"
          label="Highest"
          number="decimal"
          {...register('highest', numeric)}
          error={problem('highest')}
        />
        <Field
          className="w-28"
          label="Decimals"
          number="whole"
          {...register('decimals', numeric)}
          error={problem('decimals')}
        />
        <Field
          className="w-28"
          label="Error"
          number="decimal"
          {...register('error.value', numeric)}
          error={errors.error?.value?.message}
        />
        <Choice
          label="Error in"
          hideLabel
          value={values.error.kind}
          onChange={(value) => setValue('error.kind', value)}
          options={[
            { value: 'absolute', label: values.unit || 'its unit' },
            { value: 'percent', label: '%' },
          ]}
        />
      </div>
      {id !== null && (
        <Choice
          label="Offered"
          value={values.isLeftOut ? 'no' : 'yes'}
          onChange={(value) => setValue('isLeftOut', value === 'no' ? true : undefined)}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no longer; what was taken stays' },
          ]}
        />
      )}
      {keep.error && <FieldError>{failureWords(keep.error)}</FieldError>}
      <div className="flex gap-3">
        <Button type="submit" kind="main" disabled={keep.isPending}>
          Keep
        </Button>
        <Button leaves onClick={done}>
          Leave as it was
        </Button>
      </div>
    </form>
  );
}
