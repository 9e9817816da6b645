import { t } from '@lingui/core/macro';
import { breathingOf, type Exercise, JOINT_NAMES, musclesText, rangesOf, teachingOf } from '#core/protocol';
import { translate } from '../../language/translate';

/** How an exercise is taught, each part on its line; nothing for one the practice has added, whose cue says it. */
export function HowTaught({ id, exercise }: { id: string; exercise: Exercise }) {
  const teaching = teachingOf(id);
  if (!teaching) return null;
  const { setUp, range, wrong, forMuscle, formMayBreak } = teaching;
  const ranges = rangesOf(id, exercise).map(
    ({ joint, fromDegrees, toDegrees }) =>
      t`${translate(JOINT_NAMES[joint])} ${fromDegrees} to ${toDegrees}°`,
  );
  const lines = [
    [t`Set up`, setUp],
    [t`Range`, range],
    ...(ranges.length > 0 ? [[t`Bends`, ranges.join(', ')]] : []),
    [t`Breathing`, breathingOf(exercise)],
    [t`Watch for`, wrong],
    [t`Form`, formMayBreak ? t`May break a little when tired.` : t`Ends where form breaks.`],
    ...(forMuscle ? [[t`It is for`, t`The ${translate(musclesText(forMuscle))}.`]] : []),
  ];
  return (
    <dl className="grid grid-cols-[6rem_1fr] gap-x-3 text-[15px]">
      {lines.map(([about, words]) => (
        <div key={translate(about)} className="contents">
          <dt className="text-quiet">{translate(about)}</dt>
          <dd>{translate(words)}</dd>
        </div>
      ))}
    </dl>
  );
}
