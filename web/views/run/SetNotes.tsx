import { useHotkeys } from 'react-hotkeys-hook';
import type { Plan } from '#core/plan/plan';
import type { EventBody } from '#core/session/events';
import { correctedReps, type SessionState } from '#core/session/state';
import { Button } from '../../parts/Button';
import { Scale } from '../../parts/Scale';
import { usePlusMinus } from '../../parts/use-plus-minus';

/** Corrections and notes of the set in hand: repetitions, effort and joint pain, one key each (rule RUN-2). */
export function SetNotes({
  plan,
  state,
  append,
}: {
  plan: Plan;
  state: SessionState;
  append: (...bodies: EventBody[]) => Promise<void>;
}) {
  const set = state.sets.at(-1);
  const place = set && { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex };
  const ended = set?.endedAtMs != null;
  const correct = (byReps: number) => place && void append({ type: 'reps-corrected', ...place, byReps });
  const noteEffort = (effort: number) =>
    place && ended && void append({ type: 'set-noted', ...place, effort });
  const notePain = (jointPain: number) =>
    place && ended && void append({ type: 'set-noted', ...place, jointPain });
  usePlusMinus(correct);
  useHotkeys('0,1,2,3,4,5,6,7,8,9', (_, { keys }) => noteEffort(Number(keys?.[0])));
  useHotkeys(
    Array.from({ length: 10 }, (_, value) => `shift+${value}`),
    (_, { keys }) => notePain(Number(keys?.at(-1))),
  );
  if (!set || !place) return null;
  const name = `set ${set.setIndex + 1}`;
  const planned = plan.exercises[set.exerciseIndex]?.sets[set.setIndex]?.reps;
  return (
    <div className="space-y-2">
      <div className="flex items-center gap-2">
        <span className="mr-auto">
          {ended
            ? `Set ${set.setIndex + 1}: ${correctedReps(set)} of ${planned}`
            : `Set ${set.setIndex + 1} under way`}
        </span>
        <Button keyHint="−" onClick={() => correct(-1)}>
          −1<span className="sr-only"> repetition in {name}</span>
        </Button>
        <Button keyHint="+" onClick={() => correct(1)}>
          +1<span className="sr-only"> repetition in {name}</span>
        </Button>
      </div>
      {ended && <Scale label={`Effort, ${name}`} keys="0–9" value={set.effort} onChange={noteEffort} />}
      {ended && (
        <Scale label={`Joint pain, ${name}`} keys="Shift 0–9" value={set.jointPain} onChange={notePain} />
      )}
    </div>
  );
}
