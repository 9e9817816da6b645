import { t } from '@lingui/core/macro';
import { useState } from 'react';
import {
  EQUIPMENT_NAMES,
  type Exercise,
  type ExerciseId,
  type Library,
  musclesText,
  teachingOf,
} from '#core/protocol';
import { POSITION_NAMES } from '#core/quantity';
import { translate } from '../../language/translate';
import { searchExercises } from '../../words/search-exercises';
import { ExerciseFigure } from '../drawing/ExerciseFigure';
import { Field } from '../fields/Field';
import { HowTaught } from './HowTaught';

const MOST_SHOWN = 6;

const kitOf = (exercise: Exercise | undefined): string =>
  exercise ? translate(EQUIPMENT_NAMES[exercise.equipment]) : '';

/** An exercise by a few letters of its name, muscle or kit. */
export function ExercisePicker({
  label = t`Exercise`,
  library,
  value,
  onChange,
}: {
  label?: string;
  library: Library;
  /** Null while none is chosen. */
  value: ExerciseId | null;
  onChange: (id: ExerciseId) => void;
}) {
  const [sought, setSought] = useState('');
  const { ids: found, meant } = searchExercises(sought, library);
  const shown = sought.trim() === '' ? (value === null ? [] : [value]) : found.slice(0, MOST_SHOWN);
  const take = (id: ExerciseId) => {
    onChange(id);
    setSought('');
  };
  const chosen = value === null ? undefined : library[value];
  return (
    <div>
      <Field
        label={label}
        placeholder={t`Search ${Object.keys(library).length}: name, muscle, kit`}
        autoComplete="off"
        value={sought}
        onChange={(event) => setSought(event.target.value)}
        onKeyDown={(event) => {
          const [first] = found;
          if (event.key !== 'Enter' || sought.trim() === '' || first === undefined) return;
          // In a form it would send what is not chosen yet.
          event.preventDefault();
          take(first);
        }}
        error={found.length === 0 ? t`Nothing found: try fewer letters.` : undefined}
        hint={meant === null ? undefined : t`“${meant}”?`}
      />
      <ul className="mt-1">
        {shown.map((id) => (
          <li key={id} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={id === value}
              onClick={() => take(id)}
              className="flex min-h-11 w-full items-center gap-2 px-2 text-left aria-pressed:bg-tint aria-pressed:font-semibold"
            >
              <ExerciseFigure id={id} className="h-11 shrink-0" />
              <span>
                {translate(library[id]?.label)}
                <span className="ml-2 text-[13px] font-normal text-quiet">
                  {translate(musclesText(library[id]?.muscle ?? ''))},{' '}
                  {translate(library[id]?.position && POSITION_NAMES[library[id]?.position])},{' '}
                  {kitOf(library[id])}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {chosen && value !== null && (
        <div className="space-y-1 py-1">
          <p className="text-[14px] text-quiet">{translate(chosen.cue)}</p>
          {teachingOf(value) && (
            <details className="text-[14px]">
              <summary className="cursor-pointer">{t`How it is taught`}</summary>
              <HowTaught id={value} exercise={chosen} />
            </details>
          )}
        </div>
      )}
    </div>
  );
}
