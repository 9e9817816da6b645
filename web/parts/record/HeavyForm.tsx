import { t } from '@lingui/core/macro';
import type { NewHeavyWork } from '#contract/course-plan';
import { isWeighed, libraryOf } from '#core/protocol';
import { toNumber, toNumberOrNull } from '#core/quantity';
import type { ClientFacts } from '#core/record';
import { type HeavyWork, type HeavyWorkChoice, heavyWorkChoiceSchema, type Side } from '#core/strength';
import { api, read } from '../../data/api';
import { serverNow } from '../../data/clock';
import { useRecordWrite } from '../../data/queries';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { Choice } from '../fields/Choice';
import { Field, FieldError } from '../fields/Field';
import { bySchema } from '../forms/by-schema';
import { reads, useFields } from '../forms/use-fields';
import { ExercisePicker } from '../plan/ExercisePicker';

const SIDES: { value: Side; label: string }[] = [
  { value: 'both', label: t`both` },
  { value: 'left', label: t`left` },
  { value: 'right', label: t`right` },
];

/** Heavy work as it is typed. */
type Typed = Record<'exerciseId' | 'sets' | 'reps' | 'load' | 'effort' | 'pain', string> & { side: Side };

/** Heavy work in one line; figures of last time are offered, where there is one (rule PRO-4). */
export function HeavyForm({
  facts,
  last,
  keep,
  isPending,
  error,
}: {
  facts: Pick<ClientFacts, 'ownExercises'>;
  last?: HeavyWork | undefined;
  keep: (work: HeavyWorkChoice) => void;
  isPending: boolean;
  error: unknown;
}) {
  const { mass } = useUnits();
  const { typed, set, field, problem, send } = useFields<Typed, HeavyWorkChoice>(
    {
      exerciseId: last?.exerciseId ?? '',
      side: last?.side ?? 'both',
      sets: String(last?.sets ?? 3),
      reps: String(last?.reps ?? 5),
      load: last ? mass.show(last.loadKg) : '',
      effort: '',
      pain: '',
    },
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
    Object.entries(libraryOf(facts.ownExercises)).filter(([, exercise]) => isWeighed(exercise)),
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

/** Keeps heavy work, done now or at a time that has passed. */
export function useHeavyWork(
  clientId: string,
  onKept: (work: HeavyWorkChoice) => void,
  atMs?: number | null,
) {
  const write = useRecordWrite((json: NewHeavyWork) =>
    read(api.clients[':id']['heavy-work'].$post({ param: { id: clientId }, json })),
  );
  const keep = (work: HeavyWorkChoice) =>
    write.mutate({ ...work, atMs: Math.round(atMs ?? serverNow()) }, { onSuccess: () => onKept(work) });
  return { write, keep };
}
