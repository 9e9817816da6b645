import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo } from 'react';
import type { Plan } from '#core/plan';
import { EVENTS, type Log, loadInHand, MOST_LOAD_KG, type SessionState, undoable } from '#core/session';
import type { Act } from '../../act/act';
import { translate } from '../../language/translate';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { FieldError } from '../fields/Field';
import { NumberInput } from '../fields/NumberInput';
import { reads, useFields } from '../forms/use-fields';
import { useAction } from '../keys/use-action';

const LATE_MS = 5_000;

/** What was noted late or wrong: when the set began, what was lifted; and the last correction taken back (rule RUN-2). */
export const Corrections = memo(function Corrections({
  plan,
  state,
  log,
  act,
}: {
  plan: Plan;
  state: SessionState;
  log: Log;
  act: Act;
}) {
  const { mass } = useUnits();
  const { typed, empty, field, send } = useFields(
    { load: '' },
    null,
    reads(({ load }) => {
      const loadKg = mass.parse(load);
      return loadKg >= 0 && loadKg <= MOST_LOAD_KG
        ? { sent: loadKg }
        : { wrong: { load: t`Enter a load up to ${mass.words(MOST_LOAD_KG)}.` } };
    }),
  );
  const set = state.sets.at(-1);
  const exercise = set && plan.exercises[set.exerciseIndex];
  const last = undoable(log).at(-1);
  const undo = () => last && act({ do: 'undo', eventId: last.id });
  useAction('undo', undo, { enabled: last !== undefined });
  if (!set || !exercise) return null;
  const nowKg = loadInHand(state, set.exerciseIndex, exercise.load);
  const shift = (byMs: number) => act({ do: 'correct-start', byMs });
  const { error, ...load } = field('load');
  return (
    <div className="border-t border-rule pt-1">
      {last && (
        <Button does="undo" onClick={undo}>
          {t`Undo ${translate(EVENTS[last.type].words)}`}
        </Button>
      )}
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[15px]">{t`Correct set ${set.setIndex + 1}`}</summary>
        <div className="space-y-2 pb-2">
          <div className="flex items-center gap-2">
            <span className="mr-auto text-[15px]">{t`It began`}</span>
            <Button onClick={() => shift(-LATE_MS)}>{t`5 s earlier`}</Button>
            <Button onClick={() => shift(LATE_MS)}>{t`5 s later`}</Button>
          </div>
          {nowKg !== null && (
            <form
              className="flex flex-wrap items-center gap-x-2"
              {...send((loadKg) => {
                act({ do: 'correct-load', loadKg });
                empty();
              })}
            >
              <label className="mr-auto flex items-center gap-2 text-[15px]">
                <Trans>
                  Lifted {mass.words(nowKg)}; really
                  <NumberInput
                    kind="decimal"
                    {...load}
                    className="figures min-h-11 w-20 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
                  />
                  {mass.unit}
                </Trans>
              </label>
              <Button type="submit" disabled={typed.load.trim() === ''}>
                {t`Save`}
              </Button>
              {error && <FieldError>{error}</FieldError>}
            </form>
          )}
        </div>
      </details>
    </div>
  );
});
