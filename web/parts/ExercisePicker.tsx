import { useState } from 'react';
import { type ExerciseId, findExercises, type Library } from '#core/protocol/exercises';
import { Field } from './Field';

const MOST_SHOWN = 6;

/** An exercise by a few letters of its name, muscle or kit. */
export function ExercisePicker({
  label = 'Exercise',
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
  const found = findExercises(sought, library);
  const shown = sought.trim() === '' ? (value === null ? [] : [value]) : found.slice(0, MOST_SHOWN);
  const chosen = value === null ? undefined : library[value];
  return (
    <div>
      <Field
        label={label}
        placeholder={`Search ${Object.keys(library).length}: name, muscle, kit`}
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
              {library[id]?.label}
              <span className="ml-2 text-[13px] font-normal text-quiet">
                {library[id]?.muscle}, {library[id]?.position}, {library[id]?.equipment.replace('-', ' ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {chosen && <p className="text-[14px] text-quiet">{chosen.cue}</p>}
    </div>
  );
}
