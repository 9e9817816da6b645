import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewHeavyWork } from '#contract/course-plan';
import type { HeavyWork, HeavyWorkChoice } from '#core/course/heavy-work';
import { isWeighed } from '#core/protocol/exercise';
import { libraryOf } from '#core/protocol/exercises';
import { exerciseLabel } from '#core/record/facts';
import type { Side } from '#core/strength/side';
import { api, failureWords, fieldProblem, read } from '../data/api';
import { serverNow } from '../data/clock';
import { useRecordWrite } from '../data/queries';
import { Button } from './Button';
import { Choice } from './Choice';
import { ExercisePicker } from './ExercisePicker';
import { Field, FieldError } from './Field';
import { dayAndTime } from './format';
import { NumberField } from './NumberField';
import { useUnits } from './units';
import { Why } from './Why';

const SHOWN = 3;
const SIDES: { value: Side; label: string }[] = [
  { value: 'both', label: t`both` },
  { value: 'left', label: t`left` },
  { value: 'right', label: t`right` },
];

/** Heavy work beside the cuff in one line: typed, or as last time (rule PRO-4). Nothing else of a training diary. */
export function HeavyWorkLine({ client }: { client: ClientRecord }) {
  const [open, setOpen] = useState(false);
  const { mass } = useUnits();
  const write = useRecordWrite((json: NewHeavyWork) =>
    read(api.clients[':id']['heavy-work'].$post({ param: { id: client.id }, json })),
  );
  const keep = (work: HeavyWorkChoice) =>
    write.mutate({ ...work, atMs: Math.round(serverNow()) }, { onSuccess: () => setOpen(false) });
  const done = [...client.facts.heavyWork].sort((a, b) => b.atMs - a.atMs);
  const words = ({ exerciseId, side, sets, reps, loadKg, effort }: HeavyWork) =>
    `${exerciseLabel(client.facts, exerciseId)}${side === 'both' ? '' : `, ${side}`} ${sets} × ${reps} × ${mass.words(loadKg)}${effort === null ? '' : t`, effort ${effort}`}`;
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
            <Button disabled={write.isPending} onClick={() => keep(work)}>
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
  const [exerciseId, setExerciseId] = useState<string | null>(null);
  const [side, setSide] = useState<Side>('both');
  const [amount, setAmount] = useState({ sets: 3, reps: 5, effort: Number.NaN });
  const [load, setLoad] = useState('');
  const library = Object.fromEntries(
    Object.entries(libraryOf(client.facts.ownExercises)).filter(([, exercise]) => isWeighed(exercise)),
  );
  const loadKg = mass.parse(load);
  const isWhole = exerciseId !== null && loadKg > 0 && amount.sets > 0 && amount.reps > 0;
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isWhole) return;
        const { effort, ...rest } = amount;
        keep({ exerciseId, side, loadKg, ...rest, effort: Number.isNaN(effort) ? null : effort });
      }}
    >
      <ExercisePicker library={library} value={exerciseId} onChange={setExerciseId} />
      <div className="flex flex-wrap items-end gap-3">
        <Choice label={t`Side`} value={side} options={SIDES} onChange={setSide} />
        <NumberField
          className="w-24"
          label={t`Sets`}
          value={amount.sets}
          onValue={(sets) => setAmount({ ...amount, sets })}
          error={fieldProblem(error, 'sets')}
        />
        <NumberField
          className="w-24"
          label={t`Repetitions`}
          value={amount.reps}
          onValue={(reps) => setAmount({ ...amount, reps })}
          error={fieldProblem(error, 'reps')}
        />
        <Field
          className="w-36"
          label={t`Load`}
          unit={mass.unit}
          number="decimal"
          value={load}
          onChange={(event) => setLoad(event.target.value)}
          error={fieldProblem(error, 'loadKg')}
        />
        <Field
          className="w-28"
          label={t`Effort 0–10`}
          number="whole"
          value={Number.isNaN(amount.effort) ? '' : String(amount.effort)}
          onChange={(event) =>
            setAmount({
              ...amount,
              effort: event.target.value.trim() === '' ? Number.NaN : Number(event.target.value),
            })
          }
          error={fieldProblem(error, 'effort')}
        />
        <Button type="submit" kind="main" disabled={!isWhole || isPending}>
          {t`Keep`}
        </Button>
      </div>
    </form>
  );
}
