import { t } from '@lingui/core/macro';
import { Plus, X } from 'lucide-react';
import type { ExerciseChoice } from '#core/plan';
import { pacedReps, type SetWork } from '#core/protocol';
import { Tip } from '../../../../parts/base/Tip';
import { NumberField } from '../../../../parts/fields/NumberField';
import { NumberInput } from '../../../../parts/fields/NumberInput';
import { Tick } from '../../../../parts/fields/Tick';
import { useTypedNumber } from '../../../../parts/fields/use-typed-number';
import { useUndoable } from '../../../../parts/forms/use-undoable';
import { plain } from '../../../../words/format';
import { changeSet } from '../state/choices';

/** Every set by itself: repetitions or minutes, the rest after it, and whether the cuff comes down in it. */
export function SetsTable({
  choice,
  change,
}: {
  choice: ExerciseChoice;
  change: (to: ExerciseChoice) => void;
}) {
  const { sets } = choice;
  const last = sets.length - 1;
  const rests = [...new Set(sets.slice(0, -1).map(({ restMs }) => restMs))];
  const leave = useUndoable(choice, change);
  const add = () => {
    const like = sets[last];
    if (!like) return;
    const before = { ...like, restMs: rests[0] ?? 30_000, release: sets[0]?.release ?? false };
    change({ ...choice, sets: [...sets.slice(0, -1), before, like] });
  };
  const leaveOut = (place: number) => {
    const kept = sets.filter((_, i) => i !== place);
    const end = sets[last];
    leave(t`Set ${place + 1} is left out.`, {
      ...choice,
      // The last set keeps the way to the next exercise.
      sets: kept.map((set, i) =>
        i === kept.length - 1 && end ? { ...set, restMs: end.restMs, release: end.release } : set,
      ),
    });
  };
  return (
    <div>
      {last > 0 && (
        <NumberField
          label={t`Rest`}
          unit={t`s, all`}
          className="mb-2 w-44"
          value={rests.length === 1 && rests[0] !== undefined ? rests[0] / 1000 : Number.NaN}
          error={
            rests.length > 1
              ? t`Each its own: ${rests.map((ms) => plain(ms / 1000)).join(', ')} s`
              : undefined
          }
          onValue={(seconds) =>
            change({
              ...choice,
              sets: sets.map((set, i) => (i < last ? { ...set, restMs: Math.round(seconds * 1000) } : set)),
            })
          }
        />
      )}
      <table className="w-full text-left">
        <thead>
          <tr className="text-[14px] text-quiet">
            <th className="pr-2 font-normal">{t`Set`}</th>
            <th className="font-normal">{sets[0]?.work.kind === 'timed' ? t`Minutes` : t`Reps`}</th>
            <th className="pr-2 font-normal">{t`Failure`}</th>
            <th className="font-normal">{t`Rest, s`}</th>
            <th className="font-normal">{t`Cuff down`}</th>
            <th>
              <span className="sr-only">{t`Leave out`}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sets.map((set, place) => (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a set is its place
              key={place}
              className="border-t border-rule"
            >
              <td className="figures py-1">{place + 1}</td>
              <td>
                {set.work.kind === 'timed' ? (
                  <Cell
                    label={t`Set ${place + 1}, minutes`}
                    value={set.work.workMs / 60_000}
                    onValue={(minutes) =>
                      change(
                        changeSet(choice, place, {
                          work: { kind: 'timed', workMs: Math.round(minutes * 60_000) },
                        }),
                      )
                    }
                  />
                ) : (
                  <Cell
                    label={t`Set ${place + 1}, repetitions`}
                    value={pacedReps(set.work) ?? Number.NaN}
                    onValue={(reps) =>
                      change(
                        changeSet(choice, place, { work: repsWork(reps, set.work.kind === 'to-failure') }),
                      )
                    }
                  />
                )}
              </td>
              <td>
                {set.work.kind !== 'timed' && (
                  <Tick
                    name={t`Set ${place + 1}, to failure`}
                    checked={set.work.kind === 'to-failure'}
                    onChange={(next) =>
                      change(
                        changeSet(choice, place, { work: repsWork(pacedReps(set.work) ?? Number.NaN, next) }),
                      )
                    }
                  />
                )}
              </td>
              <td>
                {place < last ? (
                  <Cell
                    label={t`Set ${place + 1}, rest after it, seconds`}
                    value={set.restMs / 1000}
                    onValue={(seconds) =>
                      change(changeSet(choice, place, { restMs: Math.round(seconds * 1000) }))
                    }
                  />
                ) : (
                  <Tip words={t`To the next exercise`}>
                    <span className="figures pl-2 text-quiet">{plain(set.restMs / 1000)} →</span>
                  </Tip>
                )}
              </td>
              <td>
                <Tick
                  name={t`Set ${place + 1}, cuff down after it`}
                  checked={set.release}
                  onChange={(release) => change(changeSet(choice, place, { release }))}
                />
              </td>
              <td>
                <button
                  type="button"
                  aria-label={t`Leave out set ${place + 1}`}
                  disabled={sets.length === 1}
                  onClick={() => leaveOut(place)}
                  className="flex size-9 items-center justify-center text-quiet disabled:opacity-30"
                >
                  <X size={16} />
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sets.length < 12 && (
        <button
          type="button"
          onClick={add}
          className="mt-1 inline-flex min-h-9 items-center gap-1 underline underline-offset-4"
        >
          <Plus size={16} /> {t`One more set`}
        </button>
      )}
    </div>
  );
}

const repsWork = (reps: number, toFailure: boolean): SetWork =>
  toFailure ? { kind: 'to-failure', pacedTo: reps } : { kind: 'reps', reps };

/** A number in a cell; the column says what it is. */
function Cell({ label, value, onValue }: { label: string; value: number; onValue: (value: number) => void }) {
  const { typed, type, untyped } = useTypedNumber(value, onValue);
  return (
    <NumberInput
      kind="decimal"
      aria-label={label}
      aria-invalid={untyped || undefined}
      value={typed}
      onChange={(event) => type(event.target.value)}
      className="figures my-0.5 min-h-9 w-16 rounded-sm border border-ink/40 bg-paper px-2 aria-invalid:border-ochre"
    />
  );
}
