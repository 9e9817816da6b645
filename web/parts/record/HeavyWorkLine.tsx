import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewHeavyWork } from '#contract/course-plan';
import { isWeighed, libraryOf } from '#core/protocol';
import { toNumber, toNumberOrNull } from '#core/quantity';
import { type HeavyWork, type HeavyWorkChoice, heavyWorkChoiceSchema, type Side } from '#core/strength';
import { api, failureWords, read } from '../../data/api';
import { serverNow } from '../../data/clock';
import { useRecordWrite } from '../../data/queries';
import { dayAndTime } from '../../words/format';
import { heavyWorkWords } from '../../words/heavy-work-words';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { Choice } from '../fields/Choice';
import { Field, FieldError } from '../fields/Field';
import { bySchema } from '../forms/by-schema';
import { reads, useFields } from '../forms/use-fields';
import { ExercisePicker } from '../plan/ExercisePicker';

const SHOWN = 3;
const SIDES: { value: Side; label: string }[] = [
  { value: 'both', label: t`both` },
  { value: 'left', label: t`left` },
  { value: 'right', label: t`right` },
];

/** Heavy work without a cuff in one line: typed, or as last time (rule PRO-4). Nothing else of a training diary. */
export function HeavyWorkLine({ client }: { client: ClientRecord }) {
  const [open, setOpen] = useState(false);
  const { mass } = useUnits();
  const write = useRecordWrite((json: NewHeavyWork) =>
    read(api.clients[':id']['heavy-work'].$post({ param: { id: client.id }, json })),
  );
  const keep = (work: HeavyWorkChoice) =>
    write.mutate({ ...work, atMs: Math.round(serverNow()) }, { onSuccess: () => setOpen(false) });
  const done = [...client.facts.heavyWork].sort((a, b) => b.atMs - a.atMs);
  const words = ({ effort, pain, ...work }: HeavyWork) =>
    [
      heavyWorkWords(client.facts, work, mass),
      ...(effort === null ? [] : [t`effort ${effort}`]),
      ...(pain === null ? [] : [t`joint pain ${pain}`]),
    ].join(', ');
  return (
    <section aria-label={t`Heavy work`} className="max-w-3xl space-y-2">
      <h3 className="font-semibold">{t`Heavy work`}</h3>
      {done.length === 0 && (
        <p className="text-[15px] text-quiet">
          {t`None in half a year. One line for each exercise makes deload shares and muscle totals figures.`}{' '}
          <Why rule="PRO-4" />
        </p>
      )}
      <ul>
        {done.slice(0, SHOWN).map((work) => (
          <li key={work.id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <span className="figures w-36 text-[15px]">{dayAndTime(work.atMs)}</span>
            <span className="flex-1">{words(work)}</span>
            <Button disabled={write.isPending} onClick={() => keep({ ...work, pain: null })}>
              {t`As then, today`}
            </Button>
          </li>
        ))}
      </ul>
      {open ? (
        <HeavyForm client={client} keep={keep} isPending={write.isPending} error={write.error} />
      ) : (
        <Button onClick={() => setOpen(true)}>{t`Note heavy work`}</Button>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}

/** Heavy work as it is typed. */
type Typed = Record<'exerciseId' | 'sets' | 'reps' | 'load' | 'effort' | 'pain', string> & { side: Side };

function HeavyForm({
  client,
  keep,
  isPending,
  error,
}: {
  client: ClientRecord;
  keep: (work: HeavyWorkChoice) => void;
  isPending: boolean;
  error: unknown;
}) {
  const { mass } = useUnits();
  const { typed, set, field, problem, send } = useFields<Typed, HeavyWorkChoice>(
    { exerciseId: '', side: 'both', sets: '3', reps: '5', load: '', effort: '', pain: '' },
    error,
    reads(({ load, sets, reps, effort, pain, ...rest }) =>
      bySchema(
        heavyWorkChoiceSchema,
        {
          ...rest,
          sets: toNumber(sets),
          reps: toNumber(reps),
          loadKg: mass.parse(load),
          effort: toNumberOrNull(effort),
          pain: toNumberOrNull(pain),
        },
        (path) => (path === 'loadKg' ? 'load' : (path as keyof Typed)),
      ),
    ),
  );
  const library = Object.fromEntries(
    Object.entries(libraryOf(client.facts.ownExercises)).filter(([, exercise]) => isWeighed(exercise)),
  );
  const noExercise = problem('exerciseId');
  return (
    <form className="space-y-3" {...send(keep)}>
      <ExercisePicker
        library={library}
        value={typed.exerciseId || null}
        onChange={(id) => set('exerciseId', id)}
      />
      {noExercise && <FieldError>{noExercise}</FieldError>}
      <div className="flex flex-wrap items-start gap-3">
        <Choice label={t`Side`} value={typed.side} options={SIDES} onChange={(side) => set('side', side)} />
        <Field className="w-24" label={t`Sets`} number="whole" {...field('sets')} />
        <Field className="w-24" label={t`Repetitions`} number="whole" {...field('reps')} />
        <Field
          className="w-36"
          label={t`Load`}
          unit={mass.unit}
          number="decimal"
          {...field('load', 'loadKg')}
        />
        <Field className="w-28" label={t`Effort 0–10`} number="whole" {...field('effort')} />
        <Field className="w-32" label={t`Joint pain 0–10`} number="whole" {...field('pain')} />
        <Button type="submit" kind="main" className="beside-input" disabled={isPending}>
          {t`Save`}
        </Button>
      </div>
    </form>
  );
}
