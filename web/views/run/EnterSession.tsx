import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v4 as newId } from 'uuid';
import type { NewEnteredSession } from '#contract/session';
import { setsAtShare } from '#core/plan/cut-sets';
import { exerciseWords } from '#core/plan/plan';
import { pacedReps } from '#core/protocol/set-work';
import type { PlanInForce } from '#core/record/plans-in-force';
import { EFFORT_SCALES } from '#core/session/effort';
import { SIGNS, type SignId, signIdSchema } from '#core/session/signs';
import { api, failureWords, fieldProblem, read } from '../../data/api';
import { KEYS } from '../../data/keys';
import { useEffortIn } from '../../data/use-effort-in';
import { told } from '../../language/told';
import { Button } from '../../parts/Button';
import { DateField } from '../../parts/DateField';
import { Field, FieldError } from '../../parts/Field';
import { Ticks } from '../../parts/Ticks';
import { TimeField } from '../../parts/TimeField';

const SIGN_OPTIONS = signIdSchema.options.map((value) => ({ value, label: told(SIGNS[value].label) }));

/** A session of a plan that was done on paper or elsewhere: its day, its sets, how it was. */
export function EnterSession({
  clientId,
  inHand,
  setsShare,
}: {
  clientId: string;
  inHand: PlanInForce;
  /** Less than 1 in a deload week: the sets beyond it are left empty. */
  setsShare: number;
}) {
  // The code on a sheet of paper opens it.
  const [search] = useSearchParams();
  const [open, setOpen] = useState(search.get('enter') === 'paper');
  return (
    <section aria-label={t`A session done elsewhere`}>
      {open ? (
        <EnterForm
          key={inHand.prescription.id}
          clientId={clientId}
          inHand={inHand}
          setsShare={setsShare}
          close={() => setOpen(false)}
        />
      ) : (
        <button type="button" className="min-h-9 underline underline-offset-4" onClick={() => setOpen(true)}>
          {t`Enter a session of ${told(inHand.coursePlan.name)} done on paper or elsewhere`}
        </button>
      )}
    </section>
  );
}

function EnterForm({
  clientId,
  inHand: { coursePlan, prescription },
  setsShare,
  close,
}: {
  clientId: string;
  inHand: PlanInForce;
  setsShare: number;
  close: () => void;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { plan } = prescription;
  const scale = EFFORT_SCALES[useEffortIn()];
  const [began, setBegan] = useState({ day: '', time: '' });
  const [pain, setPain] = useState('');
  const [signs, setSigns] = useState<SignId[]>([]);
  // What was done of each set as it is typed; a set left empty was not done.
  const [rows, setRows] = useState(() =>
    plan.exercises.flatMap(({ sets }, exerciseIndex) =>
      sets.map(({ work }, setIndex) => ({
        exerciseIndex,
        setIndex,
        reps: setIndex < setsAtShare(sets.length, setsShare) ? String(pacedReps(work) ?? 0) : '',
        effort: '',
      })),
    ),
  );
  const write = useMutation({
    mutationFn: (json: NewEnteredSession) => read(api.sessions.entered.$post({ json })),
    onSuccess: ({ id }) => {
      void queries.invalidateQueries({ queryKey: KEYS.client(clientId) });
      navigate(`/sessions/${id}`);
    },
  });
  const change = (place: number, part: Partial<(typeof rows)[number]>) =>
    setRows(rows.map((row, i) => (i === place ? { ...row, ...part } : row)));
  // Without a day or a time it is no moment.
  const startedAtMs = new Date(`${began.day}T${began.time}`).getTime();
  const keep = () =>
    write.mutate({
      id: newId(),
      coursePlanId: coursePlan.id,
      startedAtMs,
      sets: rows
        .filter(({ reps }) => reps.trim() !== '')
        .map(({ exerciseIndex, setIndex, reps, effort }) => ({
          exerciseIndex,
          setIndex,
          reps: Number(reps),
          effort: effort.trim() === '' ? null : scale.toEffort(Number(effort)),
        })),
      jointPain: pain.trim() === '' ? null : Number(pain),
      signs,
    });
  return (
    <form
      className="max-w-3xl space-y-4 border-l-4 border-plum pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!Number.isNaN(startedAtMs)) keep();
      }}
    >
      <h3 className="font-semibold">{t`${told(coursePlan.name)}, done on paper or elsewhere`}</h3>
      <div className="flex flex-wrap gap-4">
        <DateField
          className="w-72"
          label={t`It began on`}
          value={began.day}
          onChange={(day) => setBegan({ ...began, day })}
          error={fieldProblem(write.error, 'startedAtMs')}
        />
        <TimeField
          className="w-28"
          label={t`At`}
          value={began.time}
          onChange={(time) => setBegan({ ...began, time })}
        />
      </div>
      {plan.exercises.map((exercise, exerciseIndex) => (
        <fieldset key={`${exercise.exerciseId} ${exercise.limbs.map(({ limb }) => limb).join()}`}>
          <legend className="font-semibold">
            {exerciseIndex + 1}. {told(exerciseWords(plan, exerciseIndex))}
          </legend>
          <div className="flex flex-wrap gap-x-4 gap-y-2">
            {rows.map((row, place) =>
              row.exerciseIndex !== exerciseIndex ? null : (
                <div key={row.setIndex} className="flex gap-1">
                  <Field
                    className="w-20"
                    label={t`Set ${row.setIndex + 1}`}
                    number="whole"
                    value={row.reps}
                    onChange={(event) => change(place, { reps: event.target.value })}
                  />
                  <Field
                    className="w-16"
                    label={scale.asked.toLowerCase()}
                    aria-label={t`Effort of set ${row.setIndex + 1}`}
                    number="whole"
                    value={row.effort}
                    onChange={(event) => change(place, { effort: event.target.value })}
                  />
                </div>
              ),
            )}
          </div>
        </fieldset>
      ))}
      <p className="text-[14px] text-quiet">
        {t`A set left empty was not done. Times and pressures are the plan’s.`}
      </p>
      <Field
        className="w-40"
        label={t`Worst joint pain 0–10`}
        number="whole"
        value={pain}
        onChange={(event) => setPain(event.target.value)}
      />
      <details>
        <summary className="min-h-9 cursor-pointer">{t`Anything felt or seen`}</summary>
        <Ticks label={t`Signs`} options={SIGN_OPTIONS} chosen={signs} onChange={setSigns} />
      </details>
      <div className="flex gap-3">
        <Button type="submit" kind="main" disabled={Number.isNaN(startedAtMs) || write.isPending}>
          {t`Enter it`}
        </Button>
        <Button leaves onClick={close}>
          {t`Not now`}
        </Button>
      </div>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </form>
  );
}
