import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format, subMinutes } from 'date-fns';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { NewEnteredSession } from '#contract/session';
import { exerciseWords, type Plan, plannedAt } from '#core/plan';
import { daySignsAsked, type PlanInForce } from '#core/record';
import { BLOOD_PRESSURE_MOMENTS, EFFORT_SCALES, SIGNS, signIdSchema } from '#core/session';
import { api, read } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { KEYS } from '../../../data/keys';
import { useEffortIn } from '../../../data/use-effort-in';
import { translate } from '../../../language/translate';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Ticks } from '../../../parts/fields/Ticks';
import { TimeField } from '../../../parts/fields/TimeField';
import { YesNo } from '../../../parts/fields/YesNo';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { reads, useFields } from '../../../parts/forms/use-fields';
import { amountWords } from '../../../parts/plan/PlanSummary';
import { DayQuestions } from '../../../parts/record/DayQuestions';
import { paperColumns } from '../../../words/paper-columns';
import { emptyEntry, PRESSURES, readEntry, type Typed } from './entered-session';

const SIGN_OPTIONS = signIdSchema.options.map((value) => ({ value, label: translate(SIGNS[value].label) }));

/** A session of a plan that was done on paper or elsewhere: its day, its sets, how it was. */
export function EnterSession({
  client,
  inHand,
  plan,
}: {
  client: ClientRecord;
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
          client={client}
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

function EnterForm({
  client,
  inHand: { coursePlan, prescription },
  plan: asked,
  close,
}: {
  client: ClientRecord;
  inHand: PlanInForce;
  plan: Plan;
  close: () => void;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { plan } = prescription;
  const scale = EFFORT_SCALES[useEffortIn()];
  const signs = daySignsAsked(client.facts, client.judgedAtMs);
  const write = useMutation({
    mutationFn: (json: NewEnteredSession) => read(api.sessions.entered.$post({ json })),
    onSuccess: ({ id }) => {
      void queries.invalidateQueries({ queryKey: KEYS.client(client.id) });
      navigate(`/sessions/${id}`);
    },
  });
  const [now] = useState(() => new Date(serverNow()));
  const { typed, set, field, problem, send } = useFields<Typed, NewEnteredSession>(
    emptyEntry(plan, format(now, 'yyyy-MM-dd'), format(subMinutes(now, USUAL_MINUTES), 'HH:mm')),
    write.error,
    reads((entry) =>
      readEntry(entry, plan, { scale, asked: signs, ids: { id: newId(), coursePlanId: coursePlan.id } }),
    ),
  );
  const nothingDone = problem('sets');
  const asPlanned = () => {
    for (const [place, at] of typed.sets.entries()) {
      const { sets } = plan.exercises[at.exerciseIndex] ?? { sets: [] };
      const isAsked = at.setIndex < (asked.exercises[at.exerciseIndex]?.sets.length ?? sets.length);
      set(`sets.${place}.cells.amount`, isAsked ? amountWords(plannedAt(plan, at)) : '');
    }
  };
  return (
    <form
      className="max-w-4xl space-y-4 border-l-4 border-plum pl-4"
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
      <details>
        <summary className="min-h-9 cursor-pointer font-semibold">{t`Well today`}</summary>
        <DayQuestions signs={signs} well={typed.well} setWell={(well) => set('well', well)} />
        <Field className="mt-2 w-40" label={t`Pain now 0–10`} number="whole" {...field('painNow')} />
      </details>
      <fieldset>
        <legend className="font-semibold">{t`Blood pressure, if it was taken`}</legend>
        <div className="flex flex-wrap gap-x-4">
          {PRESSURES.map((moment) => (
            <Field
              key={moment}
              className="w-36"
              label={translate(BLOOD_PRESSURE_MOMENTS[moment])}
              placeholder="124/78"
              inputMode="text"
              {...field(`pressures.${moment}`)}
            />
          ))}
        </div>
      </fieldset>
      {plan.exercises.map((exercise, exerciseIndex) => (
        <fieldset key={`${exercise.exerciseId} ${exercise.limbs.map(({ limb }) => limb).join()}`}>
          <legend className="font-semibold">
            {exerciseIndex + 1}. {translate(exerciseWords(plan, exerciseIndex))}
          </legend>
          {typed.sets.map((row, place) =>
            row.exerciseIndex !== exerciseIndex ? null : (
              <div key={row.setIndex} className="flex flex-wrap items-end gap-x-3 border-b border-rule py-1">
                <span className="figures w-16 pb-2.5">
                  {row.setIndex + 1}. {amountWords(plannedAt(plan, row))}
                </span>
                {paperColumns(exercise, translate(scale.asked)).map((column) =>
                  column.is === 'colour' ? (
                    <span key={column.key} className="pb-1">
                      <YesNo
                        isShown
                        question={column.label}
                        answer={row.colour === '' ? undefined : row.colour === 'good'}
                        counts="no"
                        onAnswer={(good) => set(`sets.${place}.colour`, good ? 'good' : 'not')}
                      />
                    </span>
                  ) : (
                    <Field
                      key={column.key}
                      className={column.unit === undefined ? 'w-24' : 'w-36'}
                      label={column.label}
                      aria-label={t`${column.label}, set ${row.setIndex + 1}`}
                      {...(column.unit === undefined ? {} : { unit: column.unit })}
                      {...(column.is === 'duration'
                        ? { inputMode: 'text' as const }
                        : { number: 'decimal' as const })}
                      {...field(`sets.${place}.cells.${column.key}`)}
                    />
                  ),
                )}
              </div>
            ),
          )}
        </fieldset>
      ))}
      <p className="text-[14px] text-quiet">
        {t`A set left empty was not done; a figure left empty is not known. Rests are the plan’s.`}{' '}
        <button type="button" className="min-h-9 underline underline-offset-4" onClick={asPlanned}>
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
          onChange={(chosen) => set('signs', chosen)}
        />
      </details>
      <FormFooter send={t`Enter it`} isSending={write.isPending} error={write.error} leave={close} />
    </form>
  );
}

/** A sheet is usually typed in right after: it began about so long ago. */
const USUAL_MINUTES = 30;
