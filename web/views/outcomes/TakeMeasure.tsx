import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import { limbsFor, type MeasureBook, type MeasureId, measureOf, takenHere } from '#core/outcomes/measures';
import { checkTaken, type Taken } from '#core/outcomes/taken';
import { LIMB_LABELS, type Limb } from '#core/quantity/limb';
import { toNumber } from '#core/quantity/units';
import { failureWords, fieldProblem } from '../../data/api';
import { serverNow } from '../../data/clock';
import { useKeepOutcome } from '../../data/outcomes';
import { told } from '../../language/told';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field, FieldError } from '../../parts/Field';
import { NumberInput } from '../../parts/NumberInput';
import { Picker } from '../../parts/Picker';
import { AskScreen } from './AskScreen';

/** What is to be taken: a measure, its limb and what has to be the same as last time. */
export type ToTake = { measureId: MeasureId; limb: Limb | null; setting: string };

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
  kept: () => void;
}) {
  const { measureId, limb, setting } = toTake;
  const measure = measureOf(book, measureId);
  const [typed, setTyped] = useState<string[]>([]);
  const [note, setNote] = useState('');
  const [tried, setTried] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const keep = useKeepOutcome(client.id);
  const limbs = limbsFor(measure);
  const repeats = typed.filter((one) => one.trim() !== '').map(toNumber);
  const taken: Taken = { measureId, limb, setting, repeats, note };
  const wrong = [
    ...(repeats.length === 0 ? [{ field: 'repeats', message: t`Enter at least one figure.` }] : []),
    ...(repeats.some(Number.isNaN)
      ? [{ field: 'repeats', message: t`Enter numbers.` }]
      : checkTaken(taken, measure)),
  ];
  const errorOf = (field: keyof Taken) =>
    (tried ? wrong.find((one) => one.field === field)?.message : undefined) ??
    fieldProblem(keep.error, field);
  const send = async (values: Taken) => {
    await keep.mutateAsync({ ...values, id: newId(), atMs: Math.round(serverNow()) });
    setTyped([]);
    setNote('');
    setTried(false);
    kept();
  };
  const choose = (id: MeasureId) => {
    const of = limbsFor(measureOf(book, id));
    setTyped([]);
    onToTake({ measureId: id, limb: of.includes(limb as Limb) ? limb : (of[0] ?? null), setting: '' });
  };
  return (
    <form
      aria-label={t`Take a measure`}
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (wrong.length === 0 && !keep.isPending) void send(taken).catch(() => undefined);
      }}
    >
      <Picker
        label={t({ message: 'Measure', context: 'what is measured' })}
        value={measureId}
        onChange={choose}
        options={takenHere(book)}
      />
      <p className="text-[15px] text-quiet">{told(measure.cue)}</p>
      {limbs.length > 0 && (
        <Choice
          label={t`Limb (the person’s own left and right)`}
          value={limb ?? limbs[0] ?? 'left-thigh'}
          onChange={(value) => onToTake({ ...toTake, limb: value })}
          options={limbs.map((value) => ({ value, label: told(LIMB_LABELS[value]) }))}
        />
      )}
      {measure.setting !== undefined && (
        <Field
          label={measure.setting}
          value={setting}
          maxLength={80}
          onChange={(event) => onToTake({ ...toTake, setting: event.target.value })}
          error={errorOf('setting')}
          hint={t`The same as last time, or it is another measure.`}
        />
      )}
      {measure.isAsked ? (
        <Button
          kind="main"
          onClick={() => {
            setTried(true);
            if (checkTaken({ ...taken, repeats: [measure.lowest] }, measure).length === 0) setAsking(true);
          }}
        >
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
                { length: Math.min(10, Math.max(measure.repeats, typed.length + 1)) },
                (_, place) => (
                  <NumberInput
                    // biome-ignore lint/suspicious/noArrayIndexKey: a repeat is its place
                    key={place}
                    aria-label={t`Figure ${place + 1}, ${told(measure.unit)}`}
                    kind="decimal"
                    value={typed[place] ?? ''}
                    onChange={(event) => {
                      const next = [...typed];
                      next[place] = event.target.value;
                      setTyped(Array.from(next, (one) => one ?? ''));
                    }}
                    className="figures min-h-11 w-24 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
                  />
                ),
              )}
              <span className="text-quiet">{told(measure.unit)}</span>
            </div>
            {errorOf('repeats') && <FieldError>{errorOf('repeats')}</FieldError>}
          </fieldset>
          <Field
            label={t`Note`}
            value={note}
            maxLength={200}
            onChange={(event) => setNote(event.target.value)}
            hint={t`Why it may say less than it should: pain-limited, to form failure.`}
          />
          <Button type="submit" kind="main" does="accept" disabled={keep.isPending}>
            {t`Keep`}
          </Button>
        </>
      )}
      {errorOf('limb') && <FieldError>{errorOf('limb')}</FieldError>}
      {keep.error && <FieldError>{failureWords(keep.error)}</FieldError>}
      {isAsking && (
        <AskScreen
          measure={measure}
          setting={setting}
          answer={(value) => {
            setAsking(false);
            void send({ ...taken, repeats: [value] }).catch(() => undefined);
          }}
          close={() => setAsking(false)}
        />
      )}
    </form>
  );
}
