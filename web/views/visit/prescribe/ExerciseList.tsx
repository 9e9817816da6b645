import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { t } from '@lingui/core/macro';
import { GripVertical, Plus, X } from 'lucide-react';
import { useState } from 'react';
import {
  alternate,
  type FigureKind,
  keepSupersets,
  type PlannedExercise,
  type SessionChoice,
} from '#core/plan';
import { LIMB_NAMES, limbKind, POSITION_NAMES } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Figure } from '../../../parts/base/Figure';
import { Tick } from '../../../parts/fields/Tick';
import { useUndoable } from '../../../parts/forms/use-undoable';
import { ExercisePicker } from '../../../parts/plan/ExercisePicker';
import { restWords, setsWords } from '../../../parts/plan/PlanSummary';
import { Strapped } from '../../../parts/plan/Strapped';
import { plain } from '../../../words/format';
import { MovementWords } from './MovementWords';
import { changeSet, mayShare, newExercise, sideWords, trainableLimbs } from './state/choices';
import type { ComposerState } from './state/use-composer';

/** The exercises in order: drag one by its grip, or move it with the arrow keys; between two, what they share. */
export function ExerciseList({ composer, session }: { composer: ComposerState; session: SessionChoice }) {
  const { change, setSelected, basis, wish } = composer;
  const leaveOut = useUndoable(session, change);
  const [isAdding, setAdding] = useState(false);
  const [refused, setRefused] = useState('');
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { exercises } = session;
  const ids = exercises.map((_, place) => t`exercise ${place}`);
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const to = ids.indexOf(String(over.id));
    const moved = arrayMove(exercises, ids.indexOf(String(active.id)), to);
    change(keepSupersets(exercises, { ...session, exercises: moved }));
    setSelected(to);
  };
  const add = (id: string) => {
    // An exercise of the other kind of limb is done by the limbs of that kind that were measured.
    const kind = basis.library[id]?.limbKind;
    const wished = wish.limbs.filter((limb) => limbKind(limb) === kind);
    const limbs = wished.length > 0 || !kind ? wished : trainableLimbs(basis, kind);
    const made = newExercise(id, exercises.at(-1), limbs, wish, basis);
    setRefused(made ? '' : t`Measure this limb first: its pressure is not on record.`);
    if (!made) return;
    setAdding(false);
    change({ ...session, exercises: [...exercises, made] });
    setSelected(exercises.length);
  };
  return (
    <div>
      <DndContext
        accessibility={{
          screenReaderInstructions: {
            draggable: t`Space takes it in hand, the arrows move it, Space puts it down, Escape leaves it where it was.`,
          },
        }}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="border-t border-ink/40" aria-label={t`Exercises in order`}>
            {exercises.map((_, place) => (
              <Row
                key={ids[place]}
                id={ids[place] ?? ''}
                place={place}
                composer={composer}
                session={session}
                leaveOut={leaveOut}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {exercises.length < 8 && !isAdding && (
        <button
          type="button"
          className="inline-flex min-h-11 items-center gap-1 underline underline-offset-4"
          onClick={() => setAdding(true)}
        >
          <Plus size={16} aria-hidden /> {t`Add an exercise`}
        </button>
      )}
      {exercises.length < 8 && isAdding && (
        <div className="mt-3">
          <ExercisePicker
            label={t`Add an exercise`}
            library={Object.fromEntries(
              Object.entries(basis.library).filter(
                ([, exercise]) => trainableLimbs(basis, exercise.limbKind).length > 0,
              ),
            )}
            value={null}
            onChange={add}
          />
          {refused && <p className="notched py-1 text-ochre">{refused}</p>}
        </div>
      )}
    </div>
  );
}

function Row({
  id,
  place,
  composer,
  session,
  leaveOut,
}: {
  /** Where it can be taken back: the list stays, its line goes. */
  leaveOut: (words: string, next: SessionChoice) => void;
  id: string;
  place: number;
  composer: ComposerState;
  session: SessionChoice;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const { selected, setSelected, change, changeExercise, composed, basis, findings } = composer;
  const choice = session.exercises[place];
  if (!choice) return null;
  const exercise = basis.library[choice.exerciseId];
  const name = translate(exercise?.label ?? choice.exerciseId);
  const mine = findings.filter(
    ({ exerciseIndex, level }) => exerciseIndex === place && level !== 'note',
  ).length;
  const last = choice.sets.length - 1;
  const shares = choice.sets[last]?.release === false;
  const alternates = session.exercises[place + 1]?.alternates === true;
  const planned = composed?.plan.exercises[place];
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
      className={`border-b border-rule bg-paper ${isDragging ? 'relative z-10 outline-2 outline-plum' : ''}`}
    >
      <div className={`flex items-stretch ${place === selected ? 'bg-tint' : ''}`}>
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={t`Move ${name}, ${sideWords(choice)}`}
          className="flex w-8 touch-none items-center justify-center text-quiet"
        >
          <GripVertical size={18} />
        </button>
        <div className="@container min-w-0 flex-1 py-2">
          <div className="grid grid-cols-2 items-start gap-x-3 gap-y-1 @lg:grid-cols-[minmax(6.5rem,1fr)_8.5rem_6.75rem_9.5rem]">
            <button
              type="button"
              aria-pressed={place === selected}
              onClick={() => setSelected(place)}
              className="col-span-2 min-h-11 text-left @lg:col-span-1"
            >
              <span className={`block ${place === selected ? 'font-semibold' : ''}`}>
                {place + 1}. {name}
              </span>
              <span className="block text-[14px] text-quiet">
                {sideWords(choice)}, {translate(POSITION_NAMES[choice.position])}
              </span>
              {mine > 0 && <span className="notched block text-[14px] text-ochre">{t`${mine} to fix`}</span>}
            </button>
            {planned ? (
              <Figures
                planned={planned}
                isMoved={exercise?.kind !== 'passive'}
                moves={(kind) => (
                  <MovementWords
                    choice={choice}
                    planned={planned}
                    kind={kind}
                    session={session}
                    basis={basis}
                    change={(next) => changeExercise(place, next)}
                  />
                )}
              />
            ) : (
              <span className="text-[14px] text-quiet">{t`a figure is missing`}</span>
            )}
          </div>
        </div>
        <button
          type="button"
          aria-label={t`Leave out ${name}, ${sideWords(choice)}`}
          disabled={session.exercises.length === 1}
          onClick={() =>
            leaveOut(
              t`${name} is left out.`,
              keepSupersets(session.exercises, {
                ...session,
                exercises: session.exercises.filter((_, i) => i !== place),
              }),
            )
          }
          className="flex w-9 items-center justify-center text-quiet disabled:opacity-30"
        >
          <X size={18} />
        </button>
      </div>
      {session.exercises[place + 1] && (
        <Tick
          className="pl-8 text-[14px]"
          checked={alternates}
          onChange={(next) => change(alternate(session, place + 1, next))}
        >
          {t`alternates with the next, set by set`}
        </Tick>
      )}
      {!alternates && mayShare(choice, session.exercises[place + 1]) && (
        <Tick
          className="pl-8 text-[14px]"
          checked={shares}
          onChange={(next) =>
            changeExercise(place, changeSet(choice, last, { release: !next, restMs: next ? 30_000 : 60_000 }))
          }
        >
          {t`shares its inflation with the next`}
        </Tick>
      )}
    </li>
  );
}

/** What comes of the choices: the pressure of each limb, the load, the sets, each with its working. */
function Figures({
  planned,
  isMoved,
  moves,
}: {
  planned: PlannedExercise;
  isMoved: boolean;
  /** How a figure moves, in words that change it. */
  moves: (kind: FigureKind) => React.ReactNode;
}) {
  const one = planned.limbs.length === 1;
  return (
    <>
      <div className="space-y-2">
        {planned.limbs.map((target) =>
          target.kind === 'by-feel' ? (
            <Strapped key={target.limb} {...target} />
          ) : (
            <div key={target.limb}>
              <Figure
                label={one ? t`Target pressure` : t`Target, ${translate(LIMB_NAMES[target.limb])}`}
                derived={target.pressure}
              />
              {target.kind === 'measured' ? (
                <Figure
                  label={t`Truly`}
                  derived={target.trueRange}
                  words={t`${target.percentLop} %, truly ${plain(target.trueRange.interval?.low ?? 0)}–${plain(target.trueRange.interval?.high ?? 0)}`}
                />
              ) : (
                <p className="text-[15px] text-ochre">{t`arbitrary pressure, no LOP`}</p>
              )}
            </div>
          ),
        )}
        {moves('pressure')}
      </div>
      <div>
        {!isMoved ? null : planned.load.kind === 'weighed' ? (
          <>
            <Figure label={translate(planned.load.recipe)} derived={planned.load.load} />
            <p className="text-[13px] text-quiet">
              {t`${plain(planned.load.percentOneRepMax)} %, truly ${plain(planned.load.truePercent)} %`}
            </p>
          </>
        ) : (
          <p className="pt-4 text-lg leading-tight">{translate(planned.load.recipe)}</p>
        )}
        {isMoved && moves('load')}
      </div>
      <div className="@max-lg:col-span-2">
        <p className="text-[13px] text-quiet">{translate(planned.protocolLabel)}</p>
        <p className="figures text-xl leading-tight">{setsWords(planned).replaceAll(' ', '')}</p>
        <p className="text-[13px] text-quiet">{restWords(planned)}</p>
        {moves('volume')}
      </div>
    </>
  );
}
