import { t } from '@lingui/core/macro';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import {
  type ExerciseChoice,
  proposedMovements,
  RUNG_LABELS,
  type SessionChoice,
  withMovements,
  workOn,
} from '#core/plan';
import { type Rung, rungSchema } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import { translate } from '../../../language/translate';
import { FindingsFor } from '../../../parts/base/FindingLine';
import { IconButton } from '../../../parts/base/IconButton';
import { Why } from '../../../parts/base/Why';
import { ExercisePicker } from '../../../parts/plan/ExercisePicker';
import { newExercise } from './state/choices';
import type { ComposerState } from './state/use-composer';

type Rungs = NonNullable<SessionChoice['rungs']>;

/** The work of every rung of the ladder, which one signature covers: what is done is that of the rung the limb is on (PRO-5). */
export function RungsAhead({
  composer,
  session,
  isSigned,
}: {
  composer: ComposerState;
  session: SessionChoice;
  /** Whether the version in force has rungs: what is entered then needs no other signature. */
  isSigned: boolean;
}) {
  const { basis, change, wish, findings, fixOf } = composer;
  const [adding, setAdding] = useState<Rung | null>(null);
  const { rungs } = session;
  if (!rungs) return null;
  const setWork = (rung: Rung, exercises: ExerciseChoice[]) =>
    change({ ...session, rungs: withWork(session, rungs, rung, exercises) });
  const add = (rung: Rung, id: string) => {
    const made = newExercise(
      id,
      workOn(session, rung).at(-1) ?? session.exercises[0],
      [rungs.limb],
      wish,
      basis,
    );
    if (!made) return;
    const moves = proposedMovements(made, session.goal, { schoolId: session.schoolId, basis });
    setWork(rung, [...workOn(session, rung), withMovements(made, moves, basis)]);
    setAdding(null);
  };
  return (
    <section aria-label={t`Rungs`} className="max-w-3xl">
      <h3 className="font-semibold">
        {t`Rungs, ${translate(LIMB_NAMES[rungs.limb])}: all covered by this signature`} <Why rule="PRO-5" />
      </h3>
      <p className="text-[15px] text-quiet">
        {t`Up with a clinician’s word, down by itself. The work of the rung it is on is what opens.`}{' '}
        {isSigned && t`It is signed: sign again only to change it.`}
      </p>
      <ol className="mt-1 border-t border-rule">
        {rungSchema.options.map((rung, place) => (
          <li
            key={rung}
            aria-current={rung === rungs.rung ? 'step' : undefined}
            className="grid grid-cols-[9.5rem_minmax(0,1fr)] gap-x-4 border-b border-rule py-1 aria-[current]:border-l-4 aria-[current]:border-l-plum aria-[current]:pl-2 max-sm:grid-cols-1"
          >
            <span className={rung === rungs.rung ? 'font-semibold' : ''}>
              {place + 1}. {translate(RUNG_LABELS[rung])}
            </span>
            <span className="flex flex-wrap items-center gap-x-3">
              {workOn(session, rung).length === 0 && (
                <span className="text-quiet">{t`nothing signed ahead: it stays on the rung below`}</span>
              )}
              {workOn(session, rung).map((choice, at) => {
                const label = translate(basis.library[choice.exerciseId]?.label ?? choice.exerciseId);
                return (
                  // biome-ignore lint/suspicious/noArrayIndexKey: one exercise may be there twice
                  <span key={at} className="inline-flex items-center">
                    {label}
                    {rung !== rungs.rung && (
                      <IconButton
                        label={t`Leave out ${label}`}
                        onClick={() =>
                          setWork(
                            rung,
                            workOn(session, rung).filter((_, other) => other !== at),
                          )
                        }
                      >
                        <X size={15} aria-hidden="true" />
                      </IconButton>
                    )}
                  </span>
                );
              })}
              {rung === rungs.rung ? (
                <span className="text-quiet">{t`now, as above`}</span>
              ) : (
                <IconButton
                  label={t`Add to ${translate(RUNG_LABELS[rung])}`}
                  onClick={() => setAdding(adding === rung ? null : rung)}
                >
                  <Plus size={15} aria-hidden="true" />
                </IconButton>
              )}
            </span>
            {adding === rung && (
              <div className="col-span-full max-w-md py-2">
                <ExercisePicker library={basis.library} value={null} onChange={(id) => add(rung, id)} />
              </div>
            )}
          </li>
        ))}
      </ol>
      <FindingsFor subjects={['rungs']} findings={findings} fixOf={fixOf} />
    </section>
  );
}

/** The rungs with other work on one of them; one without any is left out. */
const withWork = (session: SessionChoice, rungs: Rungs, rung: Rung, exercises: ExerciseChoice[]): Rungs => ({
  ...rungs,
  others: rungSchema.options.flatMap((one) => {
    const work = one === rung ? exercises : workOn(session, one);
    return work.length === 0 || one === rungs.rung ? [] : [{ rung: one, exercises: work }];
  }),
});
