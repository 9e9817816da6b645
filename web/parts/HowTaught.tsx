import { t } from '@lingui/core/macro';
import type { Exercise } from '#core/protocol/exercise';
import { breathingOf, teachingOf } from '#core/protocol/teaching';
import { told } from '../language/told';

/** How an exercise is taught, each part on its line; nothing for one the practice has added, whose cue says it. */
export function HowTaught({ id, exercise }: { id: string; exercise: Exercise }) {
  const teaching = teachingOf(id);
  if (!teaching) return null;
  const { setUp, range, wrong, forMuscle, formMayBreak } = teaching;
  const lines = [
    [t`Set up`, setUp],
    [t`Range`, range],
    [t`Breathing`, breathingOf(exercise)],
    [t`Watch for`, wrong],
    [t`Form`, formMayBreak ? t`May break a little when tired.` : t`Ends where form breaks.`],
    ...(forMuscle ? [[t`It is for`, t`The ${told(forMuscle)}.`]] : []),
  ];
  return (
    <dl className="grid grid-cols-[6rem_1fr] gap-x-3 text-[15px]">
      {lines.map(([about, words]) => (
        <div key={about} className="contents">
          <dt className="text-quiet">{told(about)}</dt>
          <dd>{told(words)}</dd>
        </div>
      ))}
    </dl>
  );
}
