import { t } from '@lingui/core/macro';
import { Link } from 'react-router';
import type { LineExercise, LoggedSession } from '#core/outcomes';
import { LIMB_NAMES, limbSide, limbsWords } from '#core/quantity';
import { EFFORT_SCALES, type EffortScale, SIGNS } from '#core/session';
import { useEffortIn } from '../../../data/use-effort-in';
import { figure, inSentence, translate } from '../../../language/translate';
import { clock, dayAndTime, plain } from '../../../words/format';
import { type Measure, useUnits } from '../../../words/units';

/** One session: when, what of each exercise, and what it gave; a set opens its place on the strip. */
export function LogLine({
  session: { id, startedAtMs, line },
  planName,
}: {
  session: LoggedSession;
  planName: string;
}) {
  const { mass } = useUnits();
  const scale = EFFORT_SCALES[useEffortIn()];
  const noticed = line.signs.filter((sign) => SIGNS[sign].level !== 'expected');
  const relative = line.limbs.flatMap((dose) =>
    dose.relativePressureTimePercentLopMin === null
      ? []
      : [
          {
            percentLopMin: dose.relativePressureTimePercentLopMin,
            side: limbSide(dose.limb),
            words: `${translate(LIMB_NAMES[dose.limb])} ${plain(dose.pressureTimeMmHgMin ?? 0, 0)} mmHg·min`,
          },
        ],
  );
  return (
    <div className="grid grid-cols-[8.5rem_1fr] gap-x-4 py-2 lg:grid-cols-[8.5rem_1fr_auto]">
      <div>
        <Link to={`/sessions/${id}`} className="figures underline-offset-4 hover:underline">
          {dayAndTime(startedAtMs)}
        </Link>
        <p className="text-[14px] leading-snug text-quiet">
          {planName}
          {line.isEnteredLater && t`, entered later`}
        </p>
      </div>
      <ul className="min-w-0">
        {line.exercises.map((exercise, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
          <li key={place}>
            <ExerciseWords sessionId={id} exercise={exercise} mass={mass} scale={scale} />
          </li>
        ))}
        {noticed.length > 0 && (
          <li className="notched text-[15px] text-ochre">
            {noticed.map((sign) => translate(SIGNS[sign].label)).join(', ')}
          </li>
        )}
      </ul>
      <dl className="col-start-2 flex flex-wrap gap-x-5 text-[15px] lg:col-start-3 lg:justify-end">
        <Figure label={t`occluded`} value={clock(line.occludedMs)} />
        <Figure
          label={t`longest`}
          value={clock(Math.max(0, ...line.limbs.map((limb) => limb.longestContinuousMs)))}
        />
        {relative.length > 0 && (
          <Figure
            label={`%LOP·min${relative.length > 1 ? ` ${relative.map(({ side }) => side).join(' | ')}` : ''}`}
            value={relative.map(({ percentLopMin }) => plain(percentLopMin, 0)).join(' | ')}
            title={relative.map(({ words }) => words).join(', ')}
          />
        )}
        {line.volumeKgReps > 0 && (
          <Figure label={t`${mass.unit}·reps`} value={plain(mass.inUnit(line.volumeKgReps), 0)} />
        )}
        <Figure
          label={inSentence(scale.asked)}
          value={line.effort === null ? '–' : `${scale.toSaid(line.effort)}`}
        />
        <Figure label={t`pain`} value={line.worstPain === null ? '–' : `${line.worstPain}`} />
      </dl>
    </div>
  );
}

function Figure({ label, value, title }: { label: string; value: string; title?: string }) {
  return (
    <div className="min-w-12" title={title}>
      <dd className="figures text-lg leading-tight">{value}</dd>
      <dt className="text-[13px] text-quiet">{label}</dt>
    </div>
  );
}

/** "Knee extension, left thigh: 30 15 15 13 of 75, 12.5 kg, rests 0:30 0:31 0:30". */
function ExerciseWords({
  sessionId,
  exercise: { label, limbs, sets },
  mass,
  scale,
}: {
  sessionId: string;
  exercise: LineExercise;
  mass: Measure;
  scale: EffortScale;
}) {
  const planned = sets.reduce((sum, { plannedReps }) => sum + (plannedReps ?? 0), 0);
  const loads = [...new Set(sets.map(({ loadKg }) => loadKg))];
  const rests = sets.flatMap(({ restMs }) => (restMs === null ? [] : [clock(restMs)]));
  return (
    <p>
      {translate(label)}
      <span className="text-quiet">, {translate(limbsWords(limbs.map(({ limb }) => limb)))}: </span>
      {sets.map((set) => (
        <Link
          key={set.setIndex}
          to={`/sessions/${sessionId}?at=${set.fromMs}`}
          title={t`Set ${set.setIndex + 1}${set.effort === null ? '' : `, ${inSentence(scale.asked)} ${figure(scale.toSaid(set.effort))}`}`}
          className="figures mr-2 underline-offset-4 hover:underline"
        >
          {set.plannedReps === null ? t`timed` : set.reps}
        </Link>
      ))}
      <span className="text-quiet">
        {planned > 0 && t`of ${planned}`}
        {loads.map((loadKg) => (loadKg === null ? '' : `, ${mass.words(loadKg)}`)).join('')}
        {rests.length > 0 && t`, rests ${rests.join(' ')}`}
      </span>
    </p>
  );
}
