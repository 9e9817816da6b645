import { t } from '@lingui/core/macro';
import { heldMmHg, type LineExercise, type LoggedSession } from '#core/outcomes';
import { limbsWords } from '#core/quantity';
import { EFFORT_SCALES, SIGNS } from '#core/session';
import { useEffortIn } from '../../../data/use-effort-in';
import { translate } from '../../../language/translate';
import { usePage } from '../../../parts/paper/sheets';
import { clock, day } from '../../../words/format';
import { useUnits } from '../../../words/units';

const MARGIN_MM = 12;

/** The log for paper: a row for each exercise of each session, with what was noticed of the session at its first. */
export function LogTable({
  sessions,
  planName,
}: {
  sessions: readonly LoggedSession[];
  planName: (coursePlanId: string) => string;
}) {
  const { mass } = useUnits();
  const scale = EFFORT_SCALES[useEffortIn()];
  usePage('auto', MARGIN_MM);
  const heads = [
    t`Day`,
    t`Plan`,
    t`Exercise`,
    t`Repetitions`,
    t`Load`,
    'mmHg',
    t`Occluded`,
    translate(scale.asked),
    t`Pain`,
    t`Symptoms`,
  ];
  return (
    <table className="w-full border-collapse text-[12px]">
      <thead>
        <tr className="text-left">
          {heads.map((head) => (
            <th key={head} className="border-b border-ink py-1 pr-2 font-semibold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sessions.flatMap(({ id, startedAtMs, coursePlanId, line }) =>
          line.exercises.map((exercise, place) => {
            const isFirst = place === 0;
            const noticed = line.signs.filter((sign) => SIGNS[sign].level !== 'expected');
            return (
              <tr
                key={`${id} ${exercise.exerciseId} ${exercise.limbs[0]?.limb}`}
                className="break-inside-avoid border-b border-rule align-baseline leading-relaxed"
              >
                <td className="pr-2 whitespace-nowrap">{isFirst && day(startedAtMs)}</td>
                <td className="pr-2">{isFirst && planName(coursePlanId)}</td>
                <td className="pr-2">
                  {translate(exercise.label)}, {translate(limbsWords(exercise.limbs.map(({ limb }) => limb)))}
                </td>
                <td className="figures pr-2">{repsWords(exercise)}</td>
                <td className="figures pr-2 whitespace-nowrap">
                  {[...new Set(exercise.sets.flatMap(({ loadKg }) => loadKg ?? []))]
                    .map(mass.words)
                    .join(', ') || '–'}
                </td>
                <td className="figures pr-2">{heldWords(exercise)}</td>
                <td className="figures pr-2">{isFirst && clock(line.occludedMs)}</td>
                <td className="figures pr-2">
                  {isFirst && (line.effort === null ? '–' : scale.toSaid(line.effort))}
                </td>
                <td className="figures pr-2">{isFirst && (line.worstPain ?? '–')}</td>
                <td>{isFirst && noticed.map((sign) => translate(SIGNS[sign].label)).join(', ')}</td>
              </tr>
            );
          }),
        )}
      </tbody>
    </table>
  );
}

/** "30/15/15/13 of 75"; the clock for timed work. */
function repsWords({ sets }: LineExercise): string {
  const planned = sets.reduce((sum, { plannedReps }) => sum + (plannedReps ?? 0), 0);
  const done = sets
    .map(({ reps, plannedReps }) => (plannedReps === null ? t`timed` : String(reps)))
    .join('/');
  return planned > 0 ? t`${done} of ${planned}` : done;
}

/** The mean pressure held on each limb; a dash where none is known. */
function heldWords({ limbs }: LineExercise): string {
  const held = limbs.flatMap((limb) => heldMmHg(limb) ?? []);
  return held.length === 0 ? '–' : [...new Set(held)].join(' | ');
}
