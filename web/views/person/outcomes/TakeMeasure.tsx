import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import { type Reached, reachedSchema } from '#core/aerobic';
import {
  checkTaken,
  limbsFor,
  type Measure,
  type MeasureBook,
  type MeasureId,
  measureOf,
  type Taken,
  takenHere,
} from '#core/outcomes';
import { LIMB_LABELS, type Limb, toNumber } from '#core/quantity';
import { failureWords } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { useKeepOutcome } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Choice } from '../../../parts/fields/Choice';
import { Field, FieldError } from '../../../parts/fields/Field';
import { NumberInput } from '../../../parts/fields/NumberInput';
import { Picker } from '../../../parts/fields/Picker';
import { bySchema } from '../../../parts/forms/by-schema';
import { type Reading, reads, useFields } from '../../../parts/forms/use-fields';
import { AskScreen } from './AskScreen';

/** What is to be taken: a measure, its limb and what has to be the same as last time. */
export type ToTake = { measureId: MeasureId; limb: Limb | null; setting: string };

type Typed = { repeats: string[]; setting: string; note: string; reached: Record<keyof Reached, string> };

const NOTHING_READ: Typed['reached'] = { watts: '', kmPerHour: '', gradientPercent: '', beatsPerMinute: '' };

/** What machine and heart may show at the end of a test. */
const READINGS: Record<
  NonNullable<Measure['reads']>[number],
  readonly { name: keyof Reached; label: string; unit: string; number: 'decimal' | 'whole' }[]
> = {
  watts: [{ name: 'watts', label: t`Power`, unit: 'W', number: 'decimal' }],
  speed: [
    { name: 'kmPerHour', label: t`Speed`, unit: 'km/h', number: 'decimal' },
    { name: 'gradientPercent', label: t`Gradient`, unit: '%', number: 'decimal' },
  ],
  'heart-rate': [{ name: 'beatsPerMinute', label: t`Heart rate`, unit: '/min', number: 'whole' }],
};

/** What was read, without what was left empty; undefined where nothing was. */
function readingsOf(typed: Typed['reached']): Reached | undefined {
  const read = Object.entries(typed).flatMap(([name, text]) =>
    text.trim() === '' ? [] : [[name, toNumber(text)] as const],
  );
  return read.length === 0 ? undefined : Object.fromEntries(read);
}

/** One measure, taken: its cue, its repeats, left or right, and Enter keeps it. */
export function TakeMeasure({
  client,
  book,
  toTake,
  onToTake,
  kept,
}: {
  client: ClientRecord;
  book: MeasureBook;
  toTake: ToTake;
  onToTake: (to: ToTake) => void;
  /** With the setting it was taken in. */
  kept: (taken: ToTake) => void;
}) {
  const { measureId } = toTake;
  const measure = measureOf(book, measureId);
  const limbs = limbsFor(measure);
  const limb = toTake.limb ?? limbs[0] ?? null;
  const [isAsking, setAsking] = useState(false);
  const keep = useKeepOutcome(client.id);
  const readTaken = ({ setting, note, repeats, reached: read }: Typed): Reading<Typed, Taken> => {
    const figures = measure.isAsked
      ? // The person answers on the screen that is handed over next.
        [measure.lowest]
      : repeats.filter((one) => one.trim() !== '').map(toNumber);
    if (figures.length === 0) return { wrong: { repeats: t`Enter at least one figure.` } };
    if (figures.some(Number.isNaN)) return { wrong: { repeats: t`Enter numbers.` } };
    const reached = measure.reads && readingsOf(read);
    const readings = bySchema(
      reachedSchema.optional(),
      reached,
      (path) => `reached.${path}` as `reached.${keyof Reached}`,
    );
    if ('wrong' in readings) return readings;
    const taken = { measureId, limb, setting, note, repeats: figures, ...(reached ? { reached } : {}) };
    const wrong = checkTaken(taken, measure);
    return wrong.length === 0
      ? { sent: taken }
      : { wrong: Object.fromEntries(wrong.map(({ field: at, message }) => [at, translate(message)])) };
  };
  const { typed, set, empty, field, problem, send } = useFields<Typed, Taken>(
    { repeats: [], setting: toTake.setting, note: '', reached: NOTHING_READ },
    keep.error,
    reads(readTaken),
  );
  const keepTaken = (taken: Taken) =>
    keep.mutate(
      { ...taken, id: newId(), atMs: Math.round(serverNow()) },
      {
        onSuccess: () => {
          empty();
          kept(taken);
        },
      },
    );
  const choose = (id: MeasureId) => {
    const of = limbsFor(measureOf(book, id));
    onToTake({ measureId: id, limb: of.find((one) => one === limb) ?? of[0] ?? null, setting: '' });
  };
  const wrongRepeats = problem('repeats');
  return (
    <form
      aria-label={t`Take a measure`}
      className="space-y-3"
      {...send((taken) => {
        if (measure.isAsked) setAsking(true);
        else if (!keep.isPending) keepTaken(taken);
      })}
    >
      <Picker
        label={t({ message: 'Measure', context: 'what is measured' })}
        value={measureId}
        onChange={choose}
        options={takenHere(book).map(({ value, label }) => ({ value, label: translate(label) }))}
      />
      <p className="text-[15px] text-quiet">{translate(measure.cue)}</p>
      {limbs.length > 0 && (
        <Choice
          label={t`Limb (the person’s own left and right)`}
          value={limb ?? 'left-thigh'}
          onChange={(value) => onToTake({ ...toTake, limb: value })}
          options={limbs.map((value) => ({ value, label: translate(LIMB_LABELS[value]) }))}
        />
      )}
      {measure.setting !== undefined && (
        <Field
          label={translate(measure.setting)}
          maxLength={80}
          {...field('setting')}
          hint={t`The same as last time, or it is another measure.`}
        />
      )}
      {measure.isAsked ? (
        <Button type="submit" kind="main">
          {t`Hand the screen over and ask`}
        </Button>
      ) : (
        <>
          <fieldset>
            <legend className="text-[15px] font-semibold">
              {measure.repeats > 1
                ? t`${measure.repeats} figures; the ${measure.take === 'best' ? t`best` : t`mean`} counts`
                : t`Figure`}
            </legend>
            <div className="mt-1 flex flex-wrap items-baseline gap-2">
              {Array.from(
                { length: Math.min(10, Math.max(measure.repeats, typed.repeats.length + 1)) },
                (_, place) => (
                  <NumberInput
                    // biome-ignore lint/suspicious/noArrayIndexKey: a repeat is its place
                    key={place}
                    aria-label={t`Figure ${place + 1}, ${translate(measure.unit)}`}
                    kind="decimal"
                    value={typed.repeats[place] ?? ''}
                    onChange={(event) => {
                      const next = [...typed.repeats];
                      next[place] = event.target.value;
                      set(
                        'repeats',
                        Array.from(next, (one) => one ?? ''),
                      );
                    }}
                    className="figures min-h-11 w-24 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
                  />
                ),
              )}
              <span className="text-quiet">{translate(measure.unit)}</span>
            </div>
            {wrongRepeats && <FieldError>{wrongRepeats}</FieldError>}
          </fieldset>
          {measure.reads && (
            <fieldset>
              <legend className="text-[15px] font-semibold">{t`At the end, as far as it was read`}</legend>
              <div className="mt-1 grid grid-cols-2 gap-2">
                {measure.reads
                  .flatMap((kind) => READINGS[kind])
                  .map(({ name, label, unit, number }) => (
                    <Field
                      key={name}
                      label={label}
                      unit={unit}
                      number={number}
                      {...field(`reached.${name}`)}
                    />
                  ))}
              </div>
            </fieldset>
          )}
          <Field
            label={t`Note`}
            maxLength={200}
            {...field('note')}
            hint={t`Why it may say less than it should: pain-limited, to form failure.`}
          />
          <Button type="submit" kind="main" does="accept" disabled={keep.isPending}>
            {t`Save`}
          </Button>
        </>
      )}
      {keep.error && <FieldError>{failureWords(keep.error)}</FieldError>}
      {isAsking && (
        <AskScreen
          measure={measure}
          setting={typed.setting}
          answer={(value) => {
            setAsking(false);
            const reading = readTaken(typed);
            if ('sent' in reading) keepTaken({ ...reading.sent, repeats: [value] });
          }}
          close={() => setAsking(false)}
        />
      )}
    </form>
  );
}
