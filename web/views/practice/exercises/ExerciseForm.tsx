import { t } from '@lingui/core/macro';
import { z } from 'zod';
import type { OwnExercise } from '#contract/practice';
import { RUNG_LABELS } from '#core/plan';
import {
  EQUIPMENT_NAMES,
  EXERCISE_KIND_NAMES,
  type Exercise,
  equipmentSchema,
  exerciseKindSchema,
  exerciseSchema,
  type Library,
  rungSchema,
} from '#core/protocol';
import { POSITION_NAMES, POSITIONS } from '#core/quantity';
import { api, read } from '../../../data/api';
import { translate } from '../../../language/translate';
import { Choice } from '../../../parts/fields/Choice';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { idFrom } from '../../../parts/forms/id-from';
import { unlessChanged } from '../../../parts/forms/unless-changed';
import { usePracticeEntry } from '../../../parts/forms/use-practice-entry';

const typedSchema = exerciseSchema.extend({ joints: z.string() });
type Typed = Omit<Exercise, 'label' | 'cue' | 'joints'> & { label: string; cue: string; joints: string };

const EMPTY: Typed = {
  label: '',
  muscle: '',
  joints: '',
  limbKind: 'leg',
  position: 'sitting',
  kind: 'isolated',
  sides: 'either',
  equipment: 'stack',
  rung: 'loaded',
  cue: '',
};

const toTyped = (exercise: Exercise): Typed => ({
  ...exercise,
  label: translate(exercise.label),
  cue: translate(exercise.cue),
  joints: exercise.joints.join(', '),
});
/** @param known the exercise that is changed: what was left as it was stays its message */
const fromTyped = ({ label, cue, joints, ...rest }: Typed, known: Exercise | undefined): Exercise => ({
  ...rest,
  label: unlessChanged(known?.label, label),
  cue: unlessChanged(known?.cue, cue),
  joints: joints
    .split(',')
    .map((joint) => joint.trim())
    .filter(Boolean),
});

/** One exercise to add or to change. @param id null for a new one */
export function ExerciseForm({
  id,
  library,
  done,
}: {
  id: string | null;
  library: Library;
  done: () => void;
}) {
  const known = id === null ? undefined : library[id];
  const form = usePracticeEntry<Typed, OwnExercise>({
    schema: typedSchema as z.ZodType<Typed>,
    values: known ? toTyped(known) : EMPTY,
    entryOf: (typed) => ({
      id: id ?? idFrom(typed.label, 'exercise', (one) => one in library),
      exercise: fromTyped(typed, known),
    }),
    send: (json) => read(api.practice.exercises.$post({ json })),
    done,
  });
  const { register, setValue, values, problem } = form;
  return (
    <form onSubmit={form.submit} noValidate className="my-3 max-w-4xl space-y-3 border-l-4 border-plum pl-4">
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label={t`Name`} autoFocus {...register('label')} error={problem('label')} />
        <Field label={t`Muscle group`} {...register('muscle')} error={problem('muscle')} />
        <Field
          label={t`Joints that move`}
          hint={t`Separated by commas; none for a hold`}
          {...register('joints')}
          error={problem('joints')}
        />
      </div>
      <Field label={t`Cue, one line`} {...register('cue')} error={problem('cue')} />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          label={t`Cuff on`}
          value={values.limbKind}
          onChange={(value) => setValue('limbKind', value)}
          options={[
            { value: 'leg', label: t`thigh` },
            { value: 'arm', label: t`arm` },
          ]}
        />
        <Choice
          label={t`Position`}
          value={values.position}
          onChange={(value) => setValue('position', value)}
          options={POSITIONS.map((value) => ({ value, label: translate(POSITION_NAMES[value]) }))}
        />
        <Choice
          label={t`Limbs at once`}
          value={values.sides}
          onChange={(value) => setValue('sides', value)}
          options={[
            { value: 'one', label: t`one` },
            { value: 'both', label: t`both` },
            { value: 'either', label: t`either way` },
          ]}
        />
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <Picker
          label={t`Kind`}
          value={values.kind}
          onChange={(value) => setValue('kind', value as Typed['kind'])}
          options={exerciseKindSchema.options.map((value) => ({
            value,
            label: translate(EXERCISE_KIND_NAMES[value]),
          }))}
        />
        <Picker
          label={t`Kit`}
          value={values.equipment}
          onChange={(value) => setValue('equipment', value as Typed['equipment'])}
          options={equipmentSchema.options.map((value) => ({
            value,
            label: translate(EQUIPMENT_NAMES[value]),
          }))}
        />
        <Picker
          label={t`Rung of the ladder`}
          value={values.rung}
          onChange={(value) => setValue('rung', value)}
          options={rungSchema.options.map((value) => ({ value, label: translate(RUNG_LABELS[value]) }))}
        />
      </div>
      <FormFooter send={t`Save`} isSending={form.isPending} error={form.error} leave={done} />
    </form>
  );
}
