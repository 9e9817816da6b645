import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import { capital } from '#core/message';
import type { Given, LogPeriod, LogTotals } from '#core/outcomes';
import { muscleName } from '#core/protocol';
import { LIMB_LABELS, LIMB_NAMES } from '#core/quantity';
import { translate } from '../../../language/translate';
import { clock, plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import { useUnits } from '../../../words/units';

/** "3:07 h" from an hour on, else "52:10". */
const long = (ms: number): string => {
  const minutes = Math.round(ms / 60_000);
  return minutes < 60 ? clock(ms) : `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')} h`;
};

/** What it all adds up to: large, then by limb and by muscle. */
export function LogTotalsLine({ totals }: { totals: LogTotals }) {
  const { mass } = useUnits();
  const figures: [string, string][] = [
    [t`Sessions`, `${totals.sessions}`],
    [t`Occluded in all`, long(totals.occludedMs)],
    [t`Sets`, `${totals.sets}`],
    [t`Repetitions`, totals.plannedReps > 0 ? t`${totals.reps} of ${totals.plannedReps}` : `${totals.reps}`],
    [t`Volume, ${mass.unit}·reps`, plain(mass.inUnit(totals.volumeKgReps), 0)],
  ];
  return (
    <section aria-label={t`In all`}>
      <dl className="flex flex-wrap gap-x-10 gap-y-2">
        {figures.map(([label, value]) => (
          <div key={label}>
            <dt className="text-[14px] text-quiet">{label}</dt>
            <dd className="figures text-3xl">{value}</dd>
          </div>
        ))}
      </dl>
      <details className="mt-2">
        <summary className="min-h-9 cursor-pointer py-1">{t`By limb and muscle`}</summary>
        <div className="flex flex-wrap gap-x-12 gap-y-4">
          <GivenTable
            caption={t`Limb`}
            rows={totals.limbs.map((given) => ({ name: translate(LIMB_LABELS[given.limb]), given }))}
          />
          <GivenTable
            caption={t`Muscle`}
            rows={totals.muscles.map((given) => ({
              name: `${translate(capital(muscleName(given.muscle)))}, ${translate(LIMB_NAMES[given.limb])}`,
              given,
            }))}
          />
        </div>
      </details>
    </section>
  );
}

function GivenTable({ caption, rows }: { caption: string; rows: { name: string; given: Given }[] }) {
  const { mass } = useUnits();
  const heads = [caption, t`Sets`, t`Occluded`, 'mmHg·min', '%LOP·min', t`${mass.unit}·reps`];
  return (
    <table>
      <thead>
        <tr className="text-left text-[14px] text-quiet">
          {heads.map((head, place) => (
            <th key={head} className={`py-1 pr-6 font-normal ${place > 0 ? 'text-right' : ''}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, given }) => (
          <tr key={name} className="border-t border-rule">
            <th scope="row" className="py-1 pr-6 text-left font-normal">
              {name}
            </th>
            {[
              `${given.sets}`,
              long(given.occludedMs),
              given.pressureTimeMmHgMin === null ? '–' : plain(given.pressureTimeMmHgMin, 0),
              given.percentLopMin === null ? '–' : plain(given.percentLopMin, 0),
              plain(mass.inUnit(given.volumeKgReps), 0),
            ].map((figure, place) => (
              <td key={heads[place + 1]} className="figures pr-6 text-right">
                {figure}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The head of a day or a week in the log, with what it adds up to. */
export function PeriodHead({ period: { fromDay, totals }, isWeek }: { period: LogPeriod; isWeek: boolean }) {
  const limbs = totals.limbs
    .map(
      ({ limb, occludedMs, percentLopMin }) =>
        `${translate(LIMB_NAMES[limb])} ${long(occludedMs)}${percentLopMin === null ? '' : `, ${plain(percentLopMin, 0)} %LOP·min`}`,
    )
    .join('; ');
  return (
    <h3 className="bg-tint px-2 py-1.5 text-[15px]">
      <span className="font-semibold">
        {isWeek
          ? t`Week of ${format(noonOf(fromDay), t`d MMM yyyy`)}`
          : format(noonOf(fromDay), t`EEEE d MMM yyyy`)}
      </span>
      <span className="text-quiet">
        {t`: ${totals.sessions} ${totals.sessions === 1 ? t`session` : t`sessions`}, ${totals.sets} sets; ${limbs}`}
      </span>
    </h3>
  );
}
