import type { Exercise } from '#core/protocol/exercise';
import { breathingOf, teachingOf } from '#core/protocol/teaching';

/** How an exercise is taught, each part on its line; nothing for one the practice has added, whose cue says it. */
export function HowTaught({ id, exercise }: { id: string; exercise: Exercise }) {
  const teaching = teachingOf(id);
  if (!teaching) return null;
  const { setUp, range, wrong, forMuscle, formMayBreak } = teaching;
  const lines = [
    ['Set up', setUp],
    ['Range', range],
    ['Breathing', breathingOf(exercise)],
    ['Watch for', wrong],
    ['Form', formMayBreak ? 'May break a little when tired.' : 'Ends where form breaks.'],
    ...(forMuscle ? [['It is for', `The ${forMuscle}.`]] : []),
  ];
  return (
    <dl className="grid grid-cols-[6rem_1fr] gap-x-3 text-[15px]">
      {lines.map(([about, words]) => (
        <div key={about} className="contents">
          <dt className="text-quiet">{about}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}
