import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from 'react-hook-form';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import {
  COMPARISON_LIMITS,
  type ComparisonWish,
  comparisonWishSchema,
  limbsFor,
  type MeasureBook,
  type MeasureId,
  measureOf,
  takenHere,
} from '#core/outcomes';
import { dayAt, isoOf, LIMB_LABELS, limbKind } from '#core/quantity';
import { fieldProblem } from '../../../data/api';
import { useBeginComparison } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Choice } from '../../../parts/fields/Choice';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { schemaResolver } from '../../../parts/forms/schema-resolver';

const FIRST: MeasureId = 'girth-mid-thigh';

/** What is compared, for how long; which limb or time has the cuff is drawn when it is kept. */
export function ComparisonForm({
  client,
  book,
  done,
}: {
  client: ClientRecord;
  book: MeasureBook;
  done: () => void;
}) {
  const begin = useBeginComparison(client.id);
  const startsOn = isoOf(dayAt(client.judgedAtMs, client.facts.zoneOffsetMs));
  const limbsWish = (measureId: MeasureId): ComparisonWish => ({
    kind: 'limbs',
    measureId,
    setting: '',
    startsOn,
    limbs: limbKind(limbsFor(measureOf(book, measureId))[0] ?? 'left-thigh'),
    weeks: 8,
  });
  const periodsWish = (measureId: MeasureId): ComparisonWish => ({
    kind: 'periods',
    measureId,
    setting: '',
    startsOn,
    limb: limbsFor(measureOf(book, measureId))[0] ?? null,
    weeksEach: 4,
    pairs: 2,
  });
  const { register, handleSubmit, watch, setValue, reset, formState } = useForm<ComparisonWish>({
    resolver: schemaResolver(comparisonWishSchema),
    defaultValues: limbsWish(FIRST),
  });
  const wish = watch();
  const measure = measureOf(book, wish.measureId);
  const limbs = limbsFor(measure);
  const errors = formState.errors as Partial<Record<string, { message?: string }>>;
  const problem = (field: string) => errors[field]?.message ?? fieldProblem(begin.error, field);
  const numeric = { valueAsNumber: true } as const;
  return (
    <form
      noValidate
      aria-label={t`Begin a comparison`}
      className="max-w-3xl space-y-3 border-l-4 border-plum pl-4"
      onSubmit={handleSubmit((asked) => begin.mutate({ id: newId(), wish: asked }, { onSuccess: done }))}
    >
      <Picker
        label={t({ message: 'Measure', context: 'what is measured' })}
        value={wish.measureId}
        onChange={(id) =>
          reset(
            wish.kind === 'limbs' && limbsFor(measureOf(book, id)).length > 0
              ? limbsWish(id)
              : periodsWish(id),
          )
        }
        options={takenHere(book).map(({ value, label }) => ({ value, label: translate(label) }))}
      />
      {limbs.length > 0 && (
        <Choice
          label={t`Compare`}
          value={wish.kind}
          onChange={(kind) =>
            reset(kind === 'limbs' ? limbsWish(wish.measureId) : periodsWish(wish.measureId))
          }
          options={[
            { value: 'limbs', label: t`one limb with the cuff, the other without` },
            { value: 'periods', label: t`times with it, times without` },
          ]}
        />
      )}
      {measure.setting !== undefined && (
        <Field label={translate(measure.setting)} {...register('setting')} error={problem('setting')} />
      )}
      {wish.kind === 'limbs' && measure.of === 'limb' && (
        <Choice
          label={t`Limbs`}
          value={wish.limbs}
          onChange={(value) => setValue('limbs', value)}
          options={[
            { value: 'leg', label: t`thighs` },
            { value: 'arm', label: t`arms` },
          ]}
        />
      )}
      {wish.kind === 'periods' && wish.limb !== null && (
        <Choice
          label={t`Limb (the person’s own left and right)`}
          value={wish.limb}
          onChange={(value) => setValue('limb', value)}
          options={limbs.map((value) => ({ value, label: translate(LIMB_LABELS[value]) }))}
        />
      )}
      <div className="flex flex-wrap items-end gap-4">
        <DateField
          className="w-60"
          label={t`Starts on`}
          value={wish.startsOn ?? ''}
          onChange={(startsOn) => setValue('startsOn', startsOn)}
          error={problem('startsOn')}
        />
        {wish.kind === 'limbs' ? (
          <Field
            className="w-28"
            label={t`Weeks`}
            number="whole"
            {...register('weeks', numeric)}
            error={problem('weeks')}
          />
        ) : (
          <>
            <Field
              className="w-28"
              label={t`Weeks each`}
              number="whole"
              {...register('weeksEach', numeric)}
              error={problem('weeksEach')}
            />
            <Field
              className="w-28"
              label={t`Pairs of times`}
              number="whole"
              {...register('pairs', numeric)}
              error={problem('pairs')}
            />
          </>
        )}
      </div>
      <p className="text-[15px]">
        <Trans>
          It can say {translate(COMPARISON_LIMITS[wish.kind].can)}{' '}
          <span className="text-quiet">
            It cannot say more: {translate(COMPARISON_LIMITS[wish.kind].cannot)}
          </span>
        </Trans>
      </p>
      <p className="text-[15px] text-quiet">
        {t`Which ${wish.kind === 'limbs' ? t`limb` : t`time of each pair`} has the cuff is drawn when you keep it, and is not drawn again. Load and sets stay alike in both.`}
      </p>
      {(problem('measureId') || problem('limb')) && (
        <FieldError>{problem('measureId') ?? problem('limb')}</FieldError>
      )}
      <FormFooter send={t`Draw and begin`} isSending={begin.isPending} error={begin.error} leave={done} />
    </form>
  );
}
