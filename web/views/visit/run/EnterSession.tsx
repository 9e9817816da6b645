import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v4 as newId } from 'uuid';
import { type NewEnteredSession, newEnteredSessionSchema } from '#contract/session';
import { exerciseWords, type Plan, type PlannedSet, plannedAt } from '#core/plan';
import { pacedReps } from '#core/protocol';
import { MS_PER_MINUTE, toNumber, toNumberOrNull } from '#core/quantity';
import type { PlanInForce } from '#core/record';
import { EFFORT_SCALES, SIGNS, type SignId, signIdSchema } from '#core/session';
import { api, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useEffortIn } from '../../../data/use-effort-in';
import { inSentence, translate } from '../../../language/translate';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Ticks } from '../../../parts/fields/Ticks';
import { TimeField } from '../../../parts/fields/TimeField';
import { bySchema } from '../../../parts/forms/by-schema';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { reads, useFields } from '../../../parts/forms/use-fields';

const SIGN_OPTIONS = signIdSchema.options.map((value) => ({ value, label: translate(SIGNS[value].label) }));

/** A session of a plan that was done on paper or elsewhere: its day, its sets, how it was. */
export function EnterSession({
  clientId,
  inHand,
  plan,
}: {
  clientId: string;
  inHand: PlanInForce;
  /** What it asks for today: sets of the signed plan beyond it are left empty. */
  plan: Plan;
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
          plan={plan}
          close={() => setOpen(false)}
        />
      ) : (
        <button type="button" className="min-h-9 underline underline-offset-4" onClick={() => setOpen(true)}>
          {t`Enter a session of ${translate(inHand.coursePlan.name)} done on paper or elsewhere`}
        </button>
      )}
    </section>
  );
}

/** What a set was to be, in the figure that is typed: repetitions, or minutes. */
const plannedAmount = ({ work, lastsMs }: PlannedSet): string =>
  String(pacedReps(work) ?? Math.round((lastsMs / MS_PER_MINUTE) * 100) / 100);

/** A session as it is typed; a set without an amount was not done. */
type Typed = Record<'day' | 'time' | 'jointPain', string> & {
  /** How much of each: repetitions, or minutes where it is timed. */
  sets: { exerciseIndex: number; setIndex: number; amount: string; effort: string }[];
  signs: SignId[];
};

function EnterForm({
  clientId,
  inHand: { coursePlan, prescription },
  plan: asked,
  close,
}: {
  clientId: string;
  inHand: PlanInForce;
  plan: Plan;
  close: () => void;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { plan } = prescription;
  const scale = EFFORT_SCALES[useEffortIn()];
  const write = useMutation({
    mutationFn: (json: NewEnteredSession) => read(api.sessions.entered.$post({ json })),
    onSuccess: ({ id }) => {
      void queries.invalidateQueries({ queryKey: KEYS.client(clientId) });
      navigate(`/sessions/${id}`);
    },
  });
  const { typed, set, field, problem, send } = useFields<Typed, NewEnteredSession>(
    {
      day: '',
      time: '',
      jointPain: '',
      signs: [],
      sets: plan.exercises.flatMap(({ sets }, exerciseIndex) =>
        sets.map((_, setIndex) => ({ exerciseIndex, setIndex, amount: '', effort: '' })),
      ),
    },
    write.error,
    reads(({ day, time, sets, jointPain, signs }) => {
      const done = sets.map((row, place) => ({ row, place })).filter(({ row }) => row.amount.trim() !== '');
      const made = {
        id: newId(),
        coursePlanId: coursePlan.id,
        // Without a day or a time it is no moment.
        startedAtMs: new Date(`${day}T${time}`).getTime(),
        sets: done.map(({ row: { amount, effort, ...at } }) => {
          const said = toNumberOrNull(effort);
          const figure = toNumber(amount);
          const { work } = plannedAt(plan, at);
          return {
            ...at,
            ...(work.kind === 'timed'
              ? { reps: null, lastedMs: Math.round(figure * MS_PER_MINUTE) }
              : { reps: figure, lastedMs: null }),
            effort: said === null ? null : scale.toEffort(said),
          };
        }),
        jointPain: toNumberOrNull(jointPain),
        signs,
      };
      const reading = bySchema<Typed, NewEnteredSession>(newEnteredSessionSchema, made, (path) => {
        if (path === 'startedAtMs') return day === '' ? 'day' : 'time';
        const [, at, name] = /^sets\.(\d+)\.(reps|lastedMs|effort)$/.exec(path) ?? [];
        const place = done[Number(at)]?.place;
        if (place === undefined) return path as keyof Typed;
        return `sets.${place}.${name === 'effort' ? 'effort' : 'amount'}`;
      });
      // On another scale the schema's own bounds would be other figures than those that are typed.
      const offScale = done.filter(({ row: { effort } }) => {
        const said = toNumberOrNull(effort);
        return said !== null && !scale.said.includes(said);
      });
      if (offScale.length === 0) return reading;
      const words = t`From ${scale.said[0] ?? 0} to ${scale.said.at(-1) ?? 0}.`;
      const efforts = Object.fromEntries(offScale.map(({ place }) => [`sets.${place}.effort`, words]));
      return { wrong: { ...('wrong' in reading ? reading.wrong : {}), ...efforts } };
    }),
  );
  const nothingDone = problem('sets');
  return (
    <form
      className="max-w-3xl space-y-4 border-l-4 border-plum pl-4"
      {...send((session) => write.mutate(session))}
    >
      <h3 className="font-semibold">{t`${translate(coursePlan.name)}, done on paper or elsewhere`}</h3>
      <div className="flex flex-wrap gap-4">
        <DateField
          className="w-72"
          label={t`It began on`}
          value={typed.day}
          onChange={(day) => set('day', day)}
          error={problem('day', 'startedAtMs')}
        />
        <TimeField
          className="w-28"
          label={t`At`}
          value={typed.time}
          onChange={(time) => set('time', time)}
          error={problem('time')}
        />
      </div>
      {plan.exercises.map((exercise, exerciseIndex) => (
        <fieldset key={`${exercise.exerciseId} ${exercise.limbs.map(({ limb }) => limb).join()}`}>
          <legend className="font-semibold">
            {exerciseIndex + 1}. {translate(exerciseWords(plan, exerciseIndex))}
          </legend>
          <div className="flex flex-wrap gap-x-4 gap-y-2">
            {typed.sets.map((row, place) =>
              row.exerciseIndex !== exerciseIndex ? null : (
                <div key={row.setIndex} className="flex gap-3">
                  <Field
                    className="w-28"
                    label={t`Set ${row.setIndex + 1}`}
                    {...(plannedAt(plan, row).work.kind === 'timed'
                      ? { unit: t`min`, number: 'decimal' as const }
                      : { unit: t`reps`, number: 'whole' as const })}
                    {...field(`sets.${place}.amount`, `sets.${place}.reps`)}
                  />
                  <Field
                    className="w-16"
                    label={inSentence(scale.asked)}
                    aria-label={t`Effort of set ${row.setIndex + 1}`}
                    number="whole"
                    {...field(`sets.${place}.effort`)}
                  />
                </div>
              ),
            )}
          </div>
        </fieldset>
      ))}
      <p className="text-[14px] text-quiet">
        {t`A set left empty was not done. Rests and pressures are the plan’s.`}{' '}
        <button
          type="button"
          className="min-h-9 underline underline-offset-4"
          onClick={() => {
            for (const [place, at] of typed.sets.entries()) {
              const { sets } = plan.exercises[at.exerciseIndex] ?? { sets: [] };
              const isAsked = at.setIndex < (asked.exercises[at.exerciseIndex]?.sets.length ?? sets.length);
              set(`sets.${place}.amount`, isAsked ? plannedAmount(plannedAt(plan, at)) : '');
            }
          }}
        >
          {t`All as planned`}
        </button>
      </p>
      {nothingDone && <FieldError>{nothingDone}</FieldError>}
      <Field className="w-40" label={t`Worst joint pain 0–10`} number="whole" {...field('jointPain')} />
      <details>
        <summary className="min-h-9 cursor-pointer">{t`Anything felt or seen`}</summary>
        <Ticks
          label={t`Symptoms`}
          options={SIGN_OPTIONS}
          chosen={typed.signs}
          onChange={(signs) => set('signs', signs)}
        />
      </details>
      <FormFooter send={t`Enter it`} isSending={write.isPending} error={write.error} leave={close} />
    </form>
  );
}
