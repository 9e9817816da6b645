import { useState } from 'react';
import { EXERCISES, type ExerciseId, findExercises } from '#core/protocol/exercises';
import { Field } from '../../parts/Field';

const MOST_SHOWN = 6;

/** An exercise by a few letters of its name, muscle or kit. */
export function ExercisePicker({
  among,
  value,
  onChange,
}: {
  among: readonly ExerciseId[];
  value: ExerciseId;
  onChange: (id: ExerciseId) => void;
}) {
  const [sought, setSought] = useState('');
  const found = findExercises(sought, among);
  const shown = sought.trim() === '' ? [value] : found.slice(0, MOST_SHOWN);
  return (
    <div>
      <Field
        label="Exercise"
        placeholder={`Search ${among.length}: name, muscle, kit`}
        autoComplete="off"
        value={sought}
        onChange={(event) => setSought(event.target.value)}
        error={found.length === 0 ? 'Nothing found: try fewer letters.' : undefined}
      />
      <ul className="mt-1">
        {shown.map((id) => (
          <li key={id} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={id === value}
              onClick={() => {
                onChange(id);
                setSought('');
              }}
              className="min-h-11 w-full px-2 text-left aria-pressed:bg-tint aria-pressed:font-semibold"
            >
              {EXERCISES[id].label}
              <span className="ml-2 text-[13px] font-normal text-quiet">
                {EXERCISES[id].muscle}, {EXERCISES[id].position}, {EXERCISES[id].equipment.replace('-', ' ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <p className="text-[14px] text-quiet">{EXERCISES[value].cue}</p>
    </div>
  );
}
