import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { list } from '#core/message';
import { RUNG_NAMES } from '#core/plan';
import {
  EQUIPMENT_NAMES,
  EVERY_EXERCISE,
  EXERCISE_KIND_NAMES,
  EXERCISES,
  equipmentSchema,
  exerciseKindSchema,
  isAmong,
  jointName,
  type Library,
  libraryOf,
  musclesText,
  teachingOf,
} from '#core/protocol';
import { POSITION_NAMES } from '#core/quantity';
import { api, failureWords, read } from '../../../data/api';
import { useMay, usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { useRetire } from '../../../parts/forms/use-retire';
import { HowTaught } from '../../../parts/plan/HowTaught';
import { searchExercises } from '../../../words/search-exercises';
import { ExerciseForm } from './ExerciseForm';

/** The exercise library: searched, changed, and added to; what the practice made its own is marked. */
export function ExercisesView() {
  const { data: practice } = usePractice();
  const isClinician = useMay('keep-limits');
  const [asked] = useSearchParams();
  const [sought, setSought] = useState(asked.get('find') ?? '');
  const [filter, setFilter] = useState(EVERY_EXERCISE);
  const [open, setOpen] = useState<string | null>(null);
  const { retire, error } = useRetire((id: string, isRetired) =>
    read(api.practice.exercises.retire.$post({ json: { id, isRetired } })),
  );
  if (!practice) return <Reading inFrame>{t`Reading the practice…`}</Reading>;
  const library = libraryOf(practice.ownExercises);
  const { ids, meant } = searchExercises(sought, library);
  const found = ids.filter((id) => {
    const exercise = library[id];
    return exercise !== undefined && isAmong(exercise, filter);
  });
  const isKept = found.length < Object.keys(library).length;
  return (
    <div className="p-6">
      <h1 className="text-3xl font-semibold">{t`Exercises`}</h1>
      <p className="text-quiet">
        {t`${Object.keys(library).length} in the library, ${Object.keys(practice.ownExercises).length} of the practice’s own. Sessions already signed keep what they were signed with.`}
      </p>
      <div className="my-4 flex flex-wrap items-start gap-x-4 gap-y-2">
        <Field
          label={t`Search`}
          className="w-96 max-w-full"
          placeholder={t`Name, muscle, kit, kind or position`}
          autoComplete="off"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
          hint={meant === null ? undefined : t`“${meant}”?`}
          error={
            found.length === 0 ? t`Nothing found: try fewer letters, or any limb, kind and kit.` : undefined
          }
        />
        <Picker
          label={t`For`}
          value={filter.limbKind}
          onChange={(limbKind) => setFilter({ ...filter, limbKind })}
          options={[
            { value: 'any', label: t`any limb` },
            { value: 'arm', label: t`arm` },
            { value: 'leg', label: t`thigh` },
          ]}
        />
        <Picker
          label={t`Kind`}
          value={filter.kind}
          onChange={(kind) => setFilter({ ...filter, kind })}
          options={[
            { value: 'any', label: t`any kind` },
            ...exerciseKindSchema.options.map((value) => ({
              value,
              label: translate(EXERCISE_KIND_NAMES[value]),
            })),
          ]}
        />
        <Picker
          label={t`Kit`}
          value={filter.equipment}
          onChange={(equipment) => setFilter({ ...filter, equipment })}
          options={[
            { value: 'any', label: t`any kit` },
            ...equipmentSchema.options.map((value) => ({ value, label: translate(EQUIPMENT_NAMES[value]) })),
          ]}
        />
        <Button className="beside-input" onClick={() => setOpen('new')}>{t`Add an exercise`}</Button>
      </div>
      {isKept && found.length > 0 && (
        <p role="status" className="mb-2 text-[15px] text-quiet">
          {t`${found.length} of them.`}{' '}
          <button
            type="button"
            className="min-h-9 underline underline-offset-4"
            onClick={() => {
              setSought('');
              setFilter(EVERY_EXERCISE);
            }}
          >
            {t`Show all`}
          </button>
        </p>
      )}
      {open === 'new' && <ExerciseForm id={null} library={library} done={() => setOpen(null)} />}
      {error && <FieldError>{failureWords(error)}</FieldError>}
      <ul className="max-w-5xl border-t border-ink/40">
        {found.map((id) => (
          <li key={id} className="border-b border-rule">
            <Line
              id={id}
              library={library}
              own={id in practice.ownExercises}
              mayChange={isClinician || !(id in EXERCISES)}
              onChange={() => setOpen(open === id ? null : id)}
              onRetire={() => {
                const label = translate(library[id]?.label ?? id);
                const words =
                  id in EXERCISES ? t`${label} is the standard one again.` : t`${label} is no longer in use.`;
                retire(id, words);
              }}
            />
            {open === id && <ExerciseForm id={id} library={library} done={() => setOpen(null)} />}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Line({
  id,
  library,
  own,
  mayChange,
  onChange,
  onRetire,
}: {
  id: string;
  library: Library;
  own: boolean;
  /** A standard exercise is a clinician's to change (rule SCR-4). */
  mayChange: boolean;
  onChange: () => void;
  onRetire: () => void;
}) {
  const exercise = library[id];
  if (!exercise) return null;
  const { label, muscle, joints, position, kind, sides, equipment, rung, cue, limbKind } = exercise;
  const isTaught = teachingOf(id) !== null;
  const words = [
    translate(musclesText(muscle)),
    joints.length > 0 ? translate(list(joints.map(jointName), 'and')) : t`no joint moves`,
    limbKind === 'arm' ? t`arm` : t`thigh`,
    translate(POSITION_NAMES[position]),
    translate(EXERCISE_KIND_NAMES[kind]),
    sides === 'either' ? t`one or both` : sides === 'one' ? t`one` : t`both`,
    translate(EQUIPMENT_NAMES[equipment]),
    t`rung: ${translate(RUNG_NAMES[rung])}`,
  ];
  return (
    <div className="flex flex-wrap items-center gap-x-4 py-1">
      <span className="w-36 shrink-0">
        <ExerciseFigure id={id} />
      </span>
      <div className="min-w-72 flex-1">
        <p>
          <strong>{translate(label)}</strong>
          {own && <span className="ml-2 text-[14px] text-plum">{t`the practice’s own`}</span>}
        </p>
        <p className="text-[15px]">{words.join(' · ')}</p>
        <p className="text-[15px] text-quiet">{translate(cue)}</p>
        {isTaught && (
          <details className="text-[15px]">
            <summary className="min-h-9 cursor-pointer">
              <Trans>
                How it is taught<span className="sr-only">, {translate(label)}</span>
              </Trans>
            </summary>
            <HowTaught id={id} exercise={exercise} />
          </details>
        )}
      </div>
      {mayChange && (
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={onChange}>
          <Trans>
            Change<span className="sr-only"> {translate(label)}</span>
          </Trans>
        </button>
      )}
      {mayChange && own && (
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={onRetire}>
          {id in EXERCISES ? t`Back to the standard` : t`Retire`}
          <span className="sr-only">, {translate(label)}</span>
        </button>
      )}
    </div>
  );
}
